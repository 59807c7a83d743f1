import { isBending, shapingDown } from './shaping';

test('what bends glass brings it down by its depth or its drop; nothing else does', () => {
  expect(shapingDown({ kind: 'hollow', span_m: 0.2, depth_m: 0.04 })).toBe(0.04);
  expect(shapingDown({ kind: 'former', overhang_m: 0.05, drop_m: 0.03 })).toBe(0.03);
  expect(shapingDown({ kind: 'strips', sheet_m: 0.003 })).toBeNull();
  expect([isBending({ kind: 'former', overhang_m: 0.05, drop_m: 0.03 }), isBending({ kind: 'ring', gap_m: 0.001 }), isBending(undefined)]).toEqual([
    true,
    false,
    false,
  ]);
});
