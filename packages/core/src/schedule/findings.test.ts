import { METRIC, type Units } from '../units/convert';
import { sheetsOf } from '../testCases';
import { type Finding, findingSentences } from './findings';

const IMPERIAL: Units = { temperature: 'F', length: 'in', mass: 'oz' };
const thick: Finding = { name: 'Rims of clear', look: 'fullFuse', factor: 'thickness', from: 0.0052, to: 0.0071, shortBelow: false };

test('a plan outside of what a series found is told on which side, in the units of the studio; one inside is not', () => {
  expect(findingSentences(sheetsOf(1, 0.003), [thick], METRIC)).toEqual([
    "Test series 'Rims of clear': a full fuse changes at 5.2 to 7.1 mm of thickness. Here it is 3 mm, where it went too far.",
  ]);
  expect(findingSentences(sheetsOf(3, 0.003), [thick], IMPERIAL)[0]).toMatch(/in of thickness\. Here it is .* in, where it fell short/);
  expect(findingSentences(sheetsOf(2, 0.003), [thick], METRIC)).toEqual([]);
  expect(findingSentences(sheetsOf(1, 0.003), [{ ...thick, shortBelow: true }], METRIC)[0]).toMatch(/fell short/);
});

test('nothing is told of another kind, of what it does not have, nor of temperature and hold, which its firings themselves bound', () => {
  const tack = { ...sheetsOf(1, 0.003), look: 'tack' as const };
  expect(findingSentences(tack, [thick], METRIC)).toEqual([]);
  for (const factor of ['height', 'amount', 'temperature', 'hold'] as const)
    expect(findingSentences(sheetsOf(1, 0.003), [{ ...thick, factor }], METRIC)).toEqual([]);
});
