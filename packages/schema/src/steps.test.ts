/** What is declared of a step of the hands is what a document may hold of it. */
import { BENCH_KINDS, BENCH_STEPS, type BenchStep, type StepField, benchKind, stepWords, usualStep } from '@torvin/core/piece';
import { METRIC } from '@torvin/core/units';
import { JourneyStepSchema } from './pieces';

const ID = '0198c5a2-0000-7000-8000-000000000001';
const about = { footprint: { shape: 'disc', diameter_m: 0.2 } as const, glassId: 'clear-90' };
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

test('what is cleaned off brings its soaking: primer an hour or what was set, all else none', () => {
  const { fields } = BENCH_STEPS.clean;
  const brings = fields.flatMap((field) => (field.as === 'choice' && field.brings ? [field.brings] : []))[0];
  const soaked = (off: string, soak_s: number) => brings({ id: ID, kind: 'clean', off: 'primer', soak_s }, off);
  expect([soaked('primer', 0), soaked('primer', 7200), soaked('dust', 7200)]).toEqual([{ soak_s: 3600 }, { soak_s: 7200 }, { soak_s: 0 }]);
  expect(fields.map(({ asks }) => asks?.({ id: ID, kind: 'clean', off: 'scale', soak_s: 0 }))).toEqual([undefined, false]);
});
