import { isTakenOver, takenOverOf } from './takenOver';

const told = { offset_K: 5.4, workFactor: 1.1234, looks: [{ look: 'tack' as const, factor: 1.2345 }] };

test('is rounded to whole degrees of the studio, and is then what plans go by', () => {
  expect(takenOverOf(told, 'C')).toEqual({ offset_K: 5, workFactor: 1.12, lookFactors: { tack: 1.23 } });
  expect(takenOverOf(told, 'F').offset_K * 1.8).toBeCloseTo(10, 9);
  for (const unit of ['C', 'F'] as const) expect(isTakenOver(told, takenOverOf(told, unit))).toBe(true);
});

test('is not what plans go by once one of its figures has moved', () => {
  const taken = takenOverOf(told, 'C');
  expect(isTakenOver({ ...told, offset_K: 8 }, taken)).toBe(false);
  expect(isTakenOver({ ...told, looks: [{ look: 'tack', factor: 1.4 }] }, taken)).toBe(false);
  expect(isTakenOver(told, {})).toBe(false);
  // Of a look that nothing is known of any more.
  expect(isTakenOver({ ...told, looks: [] }, taken)).toBe(false);
  expect(isTakenOver({ offset_K: 0.5, workFactor: 1.02, looks: [] }, {})).toBe(true);
});
