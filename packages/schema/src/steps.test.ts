/** What is declared of a step of the hands is what a document may hold of it. */
import { BENCH_KINDS, BENCH_STEPS, type BenchStep, type StepField, benchKind, stepWords, usualStep } from '@torvin/core/piece';
import { METRIC } from '@torvin/core/units';
import { JourneyStepSchema } from './pieces';

const ID = '0198c5a2-0000-7000-8000-000000000001';
const about = { length: 'mm' as const, footprint: { shape: 'disc', diameter_m: 0.2 } as const, glassId: 'clear-90' };
const takes = (step: object): boolean => JourneyStepSchema.safeParse(step).success;

/** Values that a field bears, and some that it does not. */
function tried(field: StepField<BenchStep>): { right: readonly unknown[]; wrong: readonly unknown[] } {
  switch (field.as) {
    case 'length':
    case 'mass':
    case 'count':
    case 'share': {
      const { least, most } = field.range;
      return { right: [least, most], wrong: [most * 1.01 + (field.as === 'count' ? 1 : 0), least - 1, NaN, `${most}`] };
    }
    case 'time':
      return { right: [0, 60 * 24 * 3600], wrong: [-1, 61 * 24 * 3600] };
    case 'choice':
      return { right: field.options.map(({ value }) => value), wrong: ['none of them', 1] };
    case 'glass':
      return { right: ['clear-90'], wrong: ['', 7] };
    case 'words':
      return { right: ['a seed near the rim'], wrong: ['x'.repeat(2000), 7] };
  }
}

describe.each(BENCH_KINDS)('%s', (kind) => {
  const step = usualStep(kind, ID, about);

  test('as it usually is, is whole and has words', () => {
    expect(JourneyStepSchema.safeParse(step).error).toBeUndefined();
    expect(stepWords(step, METRIC)).toMatch(/\w/);
    expect(benchKind(step).name).toMatch(/^[A-Z]/);
  });

  test('takes of each field what is declared, and nothing else', () => {
    for (const field of benchKind(step).fields) {
      const { right, wrong } = tried(field);
      expect(right.filter((value) => !takes({ ...step, [field.key]: value }))).toEqual([]);
      expect(wrong.filter((value) => takes({ ...step, [field.key]: value }))).toEqual([]);
    }
  });

  test('all that it has beside its id and kind can be set, but for a cut, which has fields of its own', () => {
    const set = benchKind(step).fields.map(({ key }) => key);
    if (kind !== 'cut') expect(Object.keys(step).filter((key) => !['id', 'kind', ...set].includes(key))).toEqual([]);
  });
});

test('what is cleaned off brings the soaking that it takes; what comes off dry asks for none', () => {
  const { fields } = BENCH_STEPS.clean;
  const brings = fields.flatMap((field) => (field.as === 'choice' && field.brings ? [field.brings] : []))[0];
  const soaked = (off: string, soak_s: number) => brings({ id: ID, kind: 'clean', off: 'primer', soak_s }, off);
  expect([soaked('primer', 0), soaked('plaster', 60), soaked('dust', 7200)]).toEqual([{ soak_s: 3600 }, { soak_s: 7200 }, { soak_s: 0 }]);
  expect(fields.map(({ asks }) => asks?.({ id: ID, kind: 'clean', off: 'scale', soak_s: 0 }))).toEqual([undefined, false]);
});

describe('a step begun after a firing knows what that left', () => {
  test.each([
    ['scale', 'scale', 0],
    ['plaster', 'plaster', 2 * 3600],
    ['nitride', 'nitride', 900],
  ] as const)('%s is what is cleaned off', (left, off, soak_s) => {
    expect(usualStep('clean', ID, { ...about, left: [left, 'primer'] })).toMatchObject({ off, soak_s });
  });

  test('nothing fired yet is dusty; devitrified skin is blasted off all of the face', () => {
    expect(usualStep('clean', ID, about)).toMatchObject({ off: 'dust', soak_s: 0 });
    expect(usualStep('blast', ID, { ...about, left: ['primer', 'haze'] })).toMatchObject({ why: 'haze', depth_m: 0.00005, cover: 1 });
    expect(stepWords(usualStep('blast', ID, { ...about, left: ['haze'] }), METRIC)).toBe('0.05 mm deep on all of the fire face, to take off devitrified skin');
  });

  test('what is suggested is round in the unit of the studio', () => {
    expect(stepWords(usualStep('drill', ID, { ...about, length: 'in' }), { ...METRIC, length: 'in' })).toBe('1 × 0.25 in');
    expect(stepWords(usualStep('fill', ID, about), METRIC)).toBe('0.1 g in a spot of 4 mm');
  });

  test('scale of stainless steel forms hotter than that of mild steel', () => {
    const of = (left: 'scale' | 'stainlessScale') => Number(/from (\d+) °C/.exec(stepWords(usualStep('clean', ID, { ...about, left: [left] }), METRIC))?.[1]);
    expect(of('stainlessScale')).toBeGreaterThan(of('scale') + 200);
  });
});
