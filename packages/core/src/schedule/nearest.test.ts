import { sheetsOf } from '../testCases';
import { seenBody } from './bounds';
import { type Comparable, apart, nearestFirst } from './nearest';

const of = (count: number, thickness_m: number): Comparable => ({
  ...{ look: 'slump', kilnId: 'a', formId: 'bowl' },
  body: seenBody(sheetsOf(count, thickness_m)),
  shaping: { kind: 'hollow', span_m: 0.2, depth_m: 0.03 },
});
const plate = of(2, 0.003);

test('nothing is nearer than what does not differ, and another kind is none', () => {
  expect(apart(plate, plate)).toBe(0);
  expect(apart(plate, { ...plate, look: 'drape' })).toBe(Infinity);
});

test('thickness weighs most, then the form, then the kiln; and it is as far there as back', () => {
  const others = {
    kiln: { ...plate, kilnId: 'b' },
    form: { ...plate, formId: 'dish' },
    thick: of(3, 0.003),
  };
  expect(nearestFirst(plate, [others.thick, others.form, others.kiln, plate], 3)).toEqual([plate, others.kiln, others.form]);
  for (const other of Object.values(others)) expect(apart(plate, other)).toBeCloseTo(apart(other, plate), 12);
  expect(apart(plate, of(4, 0.003))).toBeGreaterThan(apart(plate, others.thick));
});

test('a deeper form is further, a form of no depth is told from one with it', () => {
  const deeper = (depth_m: number): Comparable => ({ ...plate, shaping: { kind: 'hollow', span_m: 0.2, depth_m } });
  expect(apart(plate, deeper(0.06))).toBeGreaterThan(apart(plate, deeper(0.035)));
  const { shaping: _shaping, ...flat } = plate;
  expect(apart(plate, flat)).toBeGreaterThan(0.5);
});
