import { TYPICAL_CONTROLLERS } from '@torvin/core/controller';
import type { Program } from '@torvin/schema';
import { alreadyIn, keyedOverIn, slotFor, slotsOf, standingOf, standsWords } from './slots';

const hours = { ...TYPICAL_CONTROLLERS[0], programs: 6, builtIn: 2 };
const rows = [{ rate: 200, target: 790, hold_min: 15 }];
const AT = new Date(2026, 2, 10, 18, 0).getTime();
const program = (slot: number, more: Partial<Program> = {}): Program => ({
  ...{ id: `p${slot}`, controllerId: 'box', slot, scheduleId: `s${slot}`, rows, keyedAt: AT + slot, readAt: null, slips: null },
  ...{ pieceId: 'x', pieceName: 'Tray', stepId: 'y', ahead_s: 0, keyedOverAt: null },
  ...more,
});

test('a program is found that nothing stands in, else the one keyed longest ago; those that came with it never', () => {
  expect(slotsOf(hours)).toEqual({ first: 3, last: 6 });
  expect(slotFor(hours, [])).toBe(3);
  expect(slotFor(hours, [program(3), program(4)])).toBe(5);
  expect(slotFor(hours, [program(3), program(4, { keyedAt: AT - 9 }), program(5), program(6)])).toBe(4);
  expect(slotFor({ unit: 'C', fullSpeedCode: 4000, mostSegments: 8 }, [])).toBe(1);
});

test('what stands there already is known by its figures, the one that was read back first', () => {
  const other = program(3, { rows: [{ ...rows[0], hold_min: 16 }] });
  const [read, unread] = [program(5, { slips: 0, readAt: AT }), program(4)];
  expect(alreadyIn([other, unread, read], rows)).toBe(read);
  expect(alreadyIn([other], rows)).toBeNull();
  expect(alreadyIn([program(4, { rows: [] })], [])).toMatchObject({ slot: 4 });
  expect(standingOf([program(3, { keyedOverAt: AT }), program(4), program(5, { controllerId: 'other' })], 'box').map(({ slot }) => slot)).toEqual([4]);
});

test('a schedule that was keyed over says where and by what; one that stands anywhere does not', () => {
  const over = program(3, { scheduleId: 's', keyedOverAt: AT + 100 });
  const by = program(3, { id: 'later', pieceName: 'Basin' });
  expect(keyedOverIn([by, over], 's', 'box')).toEqual({ program: over, by });
  expect(keyedOverIn([by, over, program(5, { scheduleId: 's' })], 's', 'box')).toBeNull();
  expect(keyedOverIn([by], 's', 'box')).toBeNull();
});

test('in words', () => {
  const now = new Date(AT);
  expect(standsWords(program(3, { slips: 0, readAt: AT }), now)).toBe('Tray, since 18:00, read back without a slip');
  expect(standsWords(program(3, { slips: 2, readAt: AT }), now)).toMatch(/with 2 slips$/);
  expect(standsWords(program(3, { pieceName: null, scheduleId: null }), now)).toBe('something else, since 18:00');
  expect(standsWords(undefined, now)).toBe('nothing that Torvin knows of');
});
