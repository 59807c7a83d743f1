import { sheetsOf } from '../testCases';
import type { FiringCase } from './firingCase';
import { METRIC, otherUnits } from '../units/convert';
import { simulateFiring } from '../heat/simulate';
import { evaluate } from './check';
import { type Evaluation, type Reading, brokenOf } from './reading';
import { compose } from './compose';
import { tightest } from './reading';
import type { PurposefulSegment, Role } from '../kiln/segment';
import { brokenSentence, readingPhrase, verdictOf, whyOf } from './words';

const firing = sheetsOf(2, 0.006);
const outcome = compose(firing);
if (!outcome.ok) throw new Error(outcome.problem.message);
const { segments, evaluation } = outcome.value;

const edited = (name: Role, change: Partial<PurposefulSegment>): PurposefulSegment[] =>
  segments.map((segment) => (segment.role === name ? { ...segment, ...change } : segment));

const broken = (list: PurposefulSegment[]): Reading[] => brokenOf(evaluate(firing, list).readings);

describe('an edit that goes too far breaks the limit it should', () => {
  test.each([
    ['warmUp', { rate_C_per_h: 500 }, 'pull', 0],
    ['squeeze', { target_C: 605, hold_s: 60 }, 'squeeze', 1],
    ['work', { target_C: 760 }, 'workLeast', 2],
    ['work', { target_C: 840 }, 'workMost', 2],
    ['work', { target_C: 950 }, 'kilnTop', 2],
    ['work', { rate_C_per_h: 600 }, 'kilnPace', 2],
    ['drop', { hold_s: 120 }, 'even', 3],
    ['drop', { hold_s: 0 }, 'soakTime', 3],
    ['firstCool', { rate_C_per_h: 90 }, 'setting', 4],
    ['lastCool', { target_C: 150 }, 'opening', 6],
  ] as const)('%s changed to %j breaks %s', (name, change, limit, segment) => {
    const found = broken(edited(name, change));
    expect(found.map((reading) => reading.limit)).toContain(limit);
    expect(found.find((reading) => reading.limit === limit)?.segment).toBe(segment);
  });

  test('and the calculated schedule breaks none', () => {
    expect(broken(segments)).toEqual([]);
  });

  test('a soak too cold to relax is a note where what stays is simulated, and a limit where it is not', () => {
    const cold = edited('drop', { target_C: 476, hold_s: 3600 });
    const relaxed = (told: Evaluation): Reading => told.readings.find(({ limit }) => limit === 'relaxed')!;
    const told = evaluate(firing, cold);
    expect(relaxed(told)).toMatchObject({ ok: true, note: true });
    expect(relaxed(told).value).toBeLessThan(relaxed(told).allowed);
    expect(readingPhrase(relaxed(told), METRIC)).toMatch(/^relaxed 0\.\d times$/);
    expect(told.readings.some(({ limit }) => limit === 'residual')).toBe(true);
    const without = evaluate(firing, cold, false, (input) => ({ ...simulateFiring(input), residual: undefined }));
    expect(relaxed(without)).toMatchObject({ ok: false });
    expect(relaxed(without)).not.toHaveProperty('note');
    // It is not what sets a segment either.
    expect(tightest([relaxed(told)], relaxed(told).segment)).toBeNull();
  });
});

describe('in words', () => {
  test('a broken limit names its amount in the unit asked for', () => {
    const reading: Reading = { limit: 'setting', segment: 4, value: 8, allowed: 5, sense: 'atMost', unit: 'K', ok: false };
    expect(brokenSentence(reading, METRIC, 'fullFuse')).toContain('3.0 °C too much');
    expect(brokenSentence(reading, { ...METRIC, temperature: 'F' }, 'fullFuse')).toContain('5.4 °F too much');
    expect(readingPhrase(reading, METRIC)).toBe('core–surface 8.0 of 5 °C');
    expect(brokenSentence(reading, METRIC, 'fullFuse')).toMatch(/^Core and skin are 8\.0 °C apart/);
    expect(brokenSentence({ ...reading, places: true }, METRIC, 'fullFuse')).toMatch(/^Its hottest and its coldest place are 8\.0 °C apart/);
  });

  test('every reading and every role has its words', () => {
    for (const reading of evaluation.readings) {
      for (const units of [METRIC, otherUnits(METRIC)]) {
        const said = [readingPhrase(reading, units), brokenSentence(reading, units, 'fullFuse')];
        for (const words of said) expect(words).not.toMatch(/NaN|undefined|Infinity/);
        if (units !== METRIC) for (const words of said) expect(words).not.toMatch(/°C|MPa|mm\b/);
        expect(said[1]).toMatch(/\.$/);
      }
    }
    for (const segment of segments) expect(whyOf(firing, segment, 'mm').length).toBeGreaterThan(10);
  });

  test('the warm-up names what lies there: a sheet, a slab, one solid, loose sheets, a casting', () => {
    const [warmUp] = segments;
    const named = (change: Partial<FiringCase['body']>): string => whyOf({ ...firing, body: { ...firing.body, ...change } }, warmUp, 'mm');
    const one = (thickness_m: number) => ({ layers: [{ form: 'sheet' as const, glass: 0, thickness_m }] });
    expect(named(one(0.004))).toMatch(/^one sheet of 4/);
    expect(named(one(0.019))).toMatch(/^one slab of 19/);
    expect(named({ joined: true })).toMatch(/^one solid/);
    expect(named({})).toMatch(/^loose sheets/);
    expect(named({ layers: [], casting: { glass: 0, volume_m3: 1e-4, thickest_m: 0.03, thinnest_m: 0.03 } })).toMatch(/^the glass of a casting 30/);
  });

  test('a kiln that gets no further is said so, and nothing is called kept', () => {
    const cold = edited('lastCool', { target_C: 15 });
    const [first, ...rest] = verdictOf(firing, evaluate(firing, cold), METRIC, cold);
    expect(first).toMatch(/gets no further than 2\d °C/);
    expect(rest.join()).not.toMatch(/Keeps/);
  });

  test('the verdict warns of a body that runs out', () => {
    expect(verdictOf(firing, evaluation, METRIC, segments)).toEqual([
      'Keeps every limit.',
      expect.stringMatching(/About 0\.\d+ MPa of tension stays/),
      expect.stringContaining('runs out'),
      expect.stringMatching(/kiln is not judged/),
    ]);
    expect(verdictOf(sheetsOf(1, 0.003), evaluate(sheetsOf(1, 0.003), segments), METRIC, segments).join(' ')).toContain('draws in');
  });
});
