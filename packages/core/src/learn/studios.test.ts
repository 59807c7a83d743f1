import { fireStudios } from './studios.testCases';

const LONG = process.env.LONG === '1';

test('studios that learn come out right more often than by a chart, and what they are told of its range holds', () => {
  const { chart, learnt, rangesHold, offsetsHold } = fireStudios(LONG ? 200 : 20, 12, 8);
  const last = (shares: readonly number[]): number => shares.slice(-4).reduce((sum, share) => sum + share / 4, 0);
  expect(last(learnt) - last(chart)).toBeGreaterThan(0.25);
  // At its first firing nothing was learnt yet.
  expect(Math.abs(learnt[0] - chart[0])).toBeLessThan(0.1);
  // Of twenty studios a share is known to within some four hundredths.
  const [least, most] = LONG ? [0.85, 0.95] : [0.81, 0.98];
  for (const share of [rangesHold, offsetsHold]) {
    expect(share).toBeGreaterThan(least);
    expect(share).toBeLessThan(most);
  }
});
