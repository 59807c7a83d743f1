import { resolved } from './resolved';
import { sheetsOf } from '../testCases';
import { METRIC, otherUnits } from '../units/convert';
import { diffusivity } from '../glass/constants';
import { compose } from './compose';
import { evaluate } from './check';
import { brokenOf } from './reading';
import { glassOf } from './firingCase';
import { reckoningOf } from './reckoning';
import { SETUPS } from './setups';

const firing = sheetsOf(4, 0.003);
const made = compose(firing);
if (!made.ok) throw new Error(made.problem.message);
const { segments, evaluation } = made.value;
const of = (limit: string, unit: 'C' | 'F' = 'C'): string[] => {
  const reading = evaluation.readings.find((one) => one.limit === limit);
  if (!reading) throw new Error(`No reading of ${limit}.`);
  return reckoningOf({ firing, segments, evaluation, reading, units: { ...METRIC, temperature: unit } });
};

describe('the reckoning behind a reading', () => {
  test('is there for every reading of a schedule, with figures in each first line', () => {
    expect(evaluation.readings.length).toBeGreaterThan(9);
    for (const reading of evaluation.readings) {
      const lines = reckoningOf({ firing, segments, evaluation, reading, units: METRIC });
      // A sentence that needs no figure, then the figures.
      expect(lines[0]).toMatch(/^[^\d=·]{40,}\.$/);
      expect(lines[1]).toMatch(/^Simulated .*\d.*; at (most|least) .*\d.*: \d+ % to spare\.$/);
      expect(lines.length).toBeGreaterThan(1);
      expect(lines.join(' ')).not.toMatch(/NaN|undefined|Infinity/);
    }
  });

  test('puts the closed form in so that it can be followed: lag, rate and their product', () => {
    const lines = of('setting').join(' ');
    const lag = Number(/one face open: .* = (\d+) s/.exec(lines)?.[1]);
    expect(lag).toBe(Math.round(resolved(firing).depth_m.fired ** 2 / (2 * diffusivity(glassOf(firing)))));
    const across = Number(/in this kiln: (\d+) s/.exec(lines)?.[1]);
    const [, rate, settled] = /At ([\d.]+) °C\/h they settle at .* = ([\d.]+) °C/.exec(lines) ?? [];
    expect(Number(settled)).toBeCloseTo((Number(rate) / 3600) * (lag + across), 1);
  });

  test('says what a look takes on two sheets where it goes by that, and by which law a shape comes down', () => {
    expect(of('workLeast').join(' ')).toMatch(/On two sheets of 3 mm a full fuse takes /);
    const bent = { ...firing, look: 'slump' as const, setup: { ...SETUPS.inMould, shaping: { kind: 'hollow' as const, span_m: 0.2, depth_m: 0.03 } } };
    const planned = compose(bent);
    if (!planned.ok) throw new Error(planned.problem.message);
    const { segments: rows, evaluation: told } = planned.value;
    const reading = told.readings.find(({ limit }) => limit === 'workLeast')!;
    const lines = reckoningOf({ firing: bent, segments: rows, evaluation: told, reading, units: METRIC }).join(' ');
    expect(lines).toMatch(/A plate over an opening sinks/);
    expect(lines).not.toMatch(/On two sheets|undefined/);
  });

  test('speaks the unit asked for', () => {
    expect(of('setting', 'F').join(' ')).toMatch(/°F\/h/);
    expect(of('setting', 'F').join(' ')).not.toMatch(/°C\/h/);
  });

  test('of a broken limit says by how much it is over', () => {
    const fast = segments.map((segment) => (segment.role === 'firstCool' ? { ...segment, rate_C_per_h: 400 } : segment));
    const broken = evaluate(firing, fast);
    const reading = brokenOf(broken.readings).find(({ limit }) => limit === 'setting');
    if (!reading) throw new Error('It was to break.');
    expect(reckoningOf({ firing, segments: fast, evaluation: broken, reading, units: METRIC })[1]).toMatch(/\d+ % over\.$/);
  });

  test('names no metric figure in a studio of °F and inches', () => {
    for (const reading of evaluation.readings) {
      const said = reckoningOf({ firing, segments, evaluation, reading, units: otherUnits(METRIC) }).join(' ');
      expect(said).not.toMatch(/°C|\bmm\b|MPa|m²\/s/);
    }
  });
});
