import { FiringChangeSchema, FiringSchema, NewFiringSchema } from './documents';
import { FIRING_FIELDS, FIRING_FIELD_NAMES, FIRING_WORDS, NOTHING_TOLD, NOT_MEASURED, type ToldOfFiring, firingColumns, toldIn } from './firingFields';
import { PIECE_FILE_LISTS } from './pieceFile';

const HASH = 'a'.repeat(64);
const told: ToldOfFiring = {
  ...NOTHING_TOLD,
  ...{ place: 'front left', result: 'short', lookReached: 'tack', released: 'tapped', note: 'edges sharp', photos: [HASH] },
  lesson: { leftOut: false, by: 'far', witness: { controller_C: 790, glass_C: 781 } },
  measured: { ...NOT_MEASURED, down_m: 0.0254, cone: { cone: '017', bent_deg: 40 }, stress: { retardation_nm: 120, path_m: 0.05 } },
};

test('every document and the piece file have each of it, and take it as not told where it is left out', () => {
  for (const name of FIRING_FIELD_NAMES) {
    for (const { shape } of [NewFiringSchema, FiringChangeSchema, FiringSchema, PIECE_FILE_LISTS.firings])
      expect((shape as Record<string, unknown>)[name]).toBe(FIRING_FIELDS[name].schema);
  }
  const { id, scheduleId } = { id: '0190a5d0-0000-7000-8000-000000000001', scheduleId: '0190a5d0-0000-7000-8000-000000000002' };
  const bare = { id, scheduleId, firedAt: 1, zone: 'UTC', createdAt: 2, asFiredResult: null };
  expect(toldIn(PIECE_FILE_LISTS.firings.parse(bare))).toEqual(NOTHING_TOLD);
});

test('what is told in words has its field, and only such', () => {
  expect([...FIRING_WORDS].sort()).toEqual(FIRING_FIELD_NAMES.filter((name) => typeof NOTHING_TOLD[name] === 'string').sort());
});

test('each has its columns in a table, empty where it is not told, in the degrees of the studio', () => {
  const { titles, cells } = firingColumns({ temperature: 'F', length: 'in' });
  expect(new Set(titles).size).toBe(titles.length);
  expect(Object.keys(cells(told))).toEqual(titles);
  expect(cells(told)).toMatchObject({
    ...{ place: 'front left', result: 'short', by_how_much: 'by far', controller_read_F: 1454, at_the_glass_F: 1438, left_out: 'no' },
    ...{ look_reached: 'Tack fuse', came_off: 'Came by tapping', note: 'edges sharp', pictures: `${HASH}.jpg` },
    ...{ came_down_in: 1, cone: '017', cone_bent_deg: 40, retardation_nm: 120, looked_through_in: 1.969 },
  });
  expect(Object.values(cells(NOTHING_TOLD)).filter((cell) => cell !== '' && cell !== 'no')).toEqual([]);
  expect(firingColumns({ temperature: 'C', length: 'mm' }).cells(told)).toMatchObject({ controller_read_C: 790, at_the_glass_C: 781, came_down_mm: 25.4 });
});
