import { SOFT_90, familyOfId } from '../testCases';
import type { BodyInput } from '../body/body';
import type { GlassConstants } from '../glass/constants';
import { coatingFindings, exposedCoatings } from './coating';
import { contactsOf } from './contacts';
import { type Evidence, fit } from './fit';
import { fitSentence } from './words';
import { reactionsBetween } from './reactions';
import { sealStress, settingGap, sharedStress, timoshenkoBow } from './seal';

const MELT = 27e-6;
const like = (change: Partial<GlassConstants>): GlassConstants => ({ ...SOFT_90, meltExpansion_perK: MELT, ...change });
const seal = (upper: GlassConstants, lower_m = 0.003, upper_m = 0.003) => ({ lower: like({}), upper, lower_m, upper_m });

describe('two glasses that set alike, by the full model', () => {
  const stiffer = seal(like({ expansion_perK: 9.2e-6 }));

  test('held flat pull at each other by EΔα(T−20)/(1−ν) shared by thickness, within 15 %', () => {
    for (const [lower_m, upper_m] of [
      [0.003, 0.003],
      [0.006, 0.002],
    ]) {
      const one = seal(like({ expansion_perK: 9.2e-6 }), lower_m, upper_m);
      expect(Math.abs(sealStress(one).flat_Pa / sharedStress(one) - 1)).toBeLessThan(0.15);
    }
  });

  test('bow by Timoshenko within 10 %, towards the one that shrinks more', () => {
    expect(sealStress(stiffer).bow_perM).toBeLessThan(0);
    expect(Math.abs(sealStress(stiffer).bow_perM / timoshenkoBow(stiffer) - 1)).toBeLessThan(0.1);
  });

  test('a layer much thicker than the other hardly bows and leaves the thin one all of the difference', () => {
    const thin = seal(like({ expansion_perK: 9.2e-6 }), 0.05, 0.0005);
    const alone = (SOFT_90.youngs_Pa / (1 - SOFT_90.poisson)) * 0.2e-6 * (498 - 20);
    expect(sealStress(thin).tension_Pa / alone).toBeGreaterThan(0.85);
    expect(sealStress(thin).tension_Pa / alone).toBeLessThan(1.05);
  });

  test('of one kind do not pull at all', () => {
    expect(sealStress(seal(like({}))).tension_Pa).toBeLessThan(1e3);
  });
});

describe('a gap of setting points', () => {
  const softer = (by: number): GlassConstants => like({ annealing_C: 515 - by, softening_C: 680 - by });

  test('counts although the expansions are equal, and the more the wider it is', () => {
    expect(settingGap(seal(softer(20)))).toBeCloseTo(-20, 0);
    expect(sharedStress(seal(softer(20)))).toBe(0);
    const [ten, twenty] = [10, 20].map((by) => sealStress(seal(softer(by))).tension_Pa);
    expect(ten).toBeGreaterThan(1e6);
    expect(twenty).toBeGreaterThan(1.5 * ten);
  });

  test('pulls alike whichever glass lies on top, and bows the other way', () => {
    const down = sealStress(seal(softer(20)));
    const up = sealStress({ lower: softer(20), upper: like({}), lower_m: 0.003, upper_m: 0.003 });
    expect(up.tension_Pa / down.tension_Pa).toBeCloseTo(1, 6);
    expect(up.bow_perM / down.bow_perM).toBeCloseTo(-1, 6);
  });
});

describe('the verdict', () => {
  const glasses = [SOFT_90, familyOfId('soft-96'), { ...SOFT_90, expansion_perK: 9.05e-6 }];
  const judge = (upper: number, evidence: Evidence[] = []) => fit({ glasses, contacts: [{ lower: 0, upper }], evidence });
  const says = (kind: Evidence['kind'], result: Evidence['result']): Evidence => ({ a: 1, b: 0, kind, result });

  test('from an estimate alone is likely at best', () => {
    expect(judge(2)).toMatchObject({ verdict: 'likely', basis: 'estimate' });
    expect(judge(1)).toMatchObject({ verdict: 'fails', basis: 'estimate' });
    expect(judge(1).stress_Pa).toBeGreaterThan(7e6);
  });

  test('a strip test overrules the estimate, a proven pair both', () => {
    expect(judge(1, [says('ownTest', 'holds')])).toMatchObject({ verdict: 'fits', basis: 'ownTest' });
    expect(judge(1, [says('proven', 'holds')])).toMatchObject({ verdict: 'fits', basis: 'proven' });
    expect(judge(1, [says('ownTest', 'cracked')])).toMatchObject({ verdict: 'fails', basis: 'ownTest' });
  });

  test('a proven pair that failed in the studio is doubtful, and said so', () => {
    const { verdict, basis, pairs } = judge(1, [says('proven', 'holds'), says('ownTest', 'strained')]);
    expect({ verdict, basis }).toEqual({ verdict: 'doubtful', basis: 'proven' });
    expect(pairs[0].contradicted).toBe(true);
  });

  test('of the same glass needs no evidence, and the whole is as good as its worst pair', () => {
    expect(judge(0)).toMatchObject({ verdict: 'fits', basis: 'sameGlass', stress_Pa: 0 });
    const many = fit({
      glasses,
      contacts: [
        { lower: 0, upper: 0 },
        { lower: 0, upper: 2 },
        { lower: 0, upper: 1 },
      ],
      evidence: [],
    });
    expect(many.verdict).toBe('fails');
    expect(many.pairs.map(({ verdict }) => verdict)).toEqual(['fits', 'likely', 'fails']);
  });

  test('tells what reacts', () => {
    const coloured = [
      { ...SOFT_90, contents: ['copper'] as const },
      { ...SOFT_90, contents: ['sulphur'] as const },
    ];
    expect(fit({ glasses: coloured, contacts: [{ lower: 0, upper: 1 }], evidence: [] }).pairs[0].reactions[0]).toMatch(/copper and sulphur/);
    expect(reactionsBetween(['lead'], ['copper', 'sulphur'])).toHaveLength(2);
    expect(reactionsBetween(['copper'], ['copper'])).toEqual([]);
  });
});

describe('what touches what', () => {
  const body: BodyInput = {
    glasses: [SOFT_90, SOFT_90, SOFT_90],
    footprint: { shape: 'disc', diameter_m: 0.2 },
    layers: [
      { form: 'sheet', glass: 0, thickness_m: 0.003 },
      { form: 'rod', glass: 1, diameter_m: 0.005, cover: 0.5 },
      { form: 'cap', glass: 2, thickness_m: 0.002 },
    ],
  };

  test('every layer the one under it, and through gaps the next', () => {
    expect(contactsOf(body).map(({ lower, upper }) => [lower, upper])).toEqual([
      [0, 1],
      [1, 2],
      [0, 2],
    ]);
  });

  test('parts touch what lies on top', () => {
    const parted = contactsOf({ ...body, layers: body.layers.slice(0, 1), parts: [{ glass: 2, thickness_m: 0.003, area_m2: 1e-4, count: 3 }] });
    expect(parted).toEqual([{ lower: 0, upper: 2, lower_m: 0.003, upper_m: 0.003 }]);
  });
});

describe('a coated sheet', () => {
  const coated = { form: 'sheet', glass: 0, thickness_m: 0.003 } as const;
  const base = { form: 'sheet', glass: 0, thickness_m: 0.003 } as const;
  const cap = (overhang_m: number) => ({ form: 'cap', glass: 0, thickness_m: 0.003, overhang_m }) as const;

  test.each([
    ['face down on a sheet', [base, { ...coated, coated: 'down' }], 'faceDown'],
    ['face down on the shelf', [{ ...coated, coated: 'down' }, base], 'onShelf'],
    ['up and bare', [base, { ...coated, coated: 'up' }], 'bare'],
    ['up under a bigger cap', [{ ...coated, coated: 'up' }, cap(0.003)], 'capped'],
    ['up under a cap of its size', [{ ...coated, coated: 'up' }, cap(0)], 'cappedFlush'],
    [
      'up under scattered pieces',
      [
        { ...coated, coated: 'up' },
        { ...base, cover: 0.4 },
      ],
      'bare',
    ],
  ] as const)('%s is told so', (_, layers, state) => {
    const found = coatingFindings({ layers });
    expect(found.map((one) => one.state)).toEqual([state]);
    expect(exposedCoatings({ layers })).toHaveLength(state === 'bare' ? 1 : 0);
    expect(exposedCoatings({ layers, joined: true })).toEqual([]);
  });

  test('two coated faces on each other never bond, and both are told', () => {
    const found = coatingFindings({
      layers: [
        { ...coated, coated: 'up' },
        { ...coated, coated: 'down' },
      ],
    });
    expect(found.map(({ state }) => state)).toEqual(['facing', 'facing']);
    expect(found[0].message).toMatch(/never bond/);
    const apart = coatingFindings({ layers: [{ ...coated, coated: 'up' }, base, { ...coated, coated: 'down' }] });
    expect(apart.map(({ state }) => state)).toEqual(['cappedFlush', 'faceDown']);
  });
});

test('found glass joins no other by an estimate, itself by being one, another by a strip test', () => {
  const contacts = [{ lower: 0, upper: 1 }];
  const glasses = [like({}), { ...like({}), unknown: true as const }];
  // The very same figures, and still nothing is known of it.
  expect(fit({ glasses, contacts, evidence: [] })).toMatchObject({ verdict: 'fails', basis: 'untested' });
  expect(fit({ glasses: [like({}), like({})], contacts, evidence: [] })).toMatchObject({ verdict: 'likely', basis: 'estimate' });
  expect(fit({ glasses, contacts: [{ lower: 1, upper: 1 }], evidence: [] })).toMatchObject({ verdict: 'fits', basis: 'sameGlass' });
  for (const [result, verdict] of [
    ['holds', 'fits'],
    ['strained', 'doubtful'],
    ['cracked', 'fails'],
  ] as const)
    expect(fit({ glasses, contacts, evidence: [{ a: 0, b: 1, kind: 'ownTest', result }] })).toMatchObject({ verdict, basis: 'ownTest' });
  expect(fitSentence(fit({ glasses, contacts, evidence: [] }).pairs[0], { lower: 'Clear', upper: 'Tumbler' }, 'mm')).toBe(
    'Tumbler on Clear: not known to fit. Found glass joins no other before a strip test of the two holds.',
  );
});
