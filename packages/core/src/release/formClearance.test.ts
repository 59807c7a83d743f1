import { settingPoint } from '../fit/seal';
import { FORM_MATERIALS } from '../form/materials';
import type { FormShape } from '../form/shape';
import { SOFT_90 } from '../testCases';
import { formClearance } from './formClearance';
import { formClearanceWords } from './formClearanceWords';

const METRIC = { temperature: 'C', length: 'mm', mass: 'g' } as const;
const form = (more: Partial<FormShape>): FormShape => ({
  ...{ use: 'hollow', plan: 'round', across_m: 0.36, deep_m: 0.06, thick_m: 0.01, material: 'earthenware' },
  ...more,
});
const fall_K = settingPoint(SOFT_90) - 20;
const told = (more: Partial<FormShape>, paper_m?: number) => {
  const one = formClearance(SOFT_90, form(more), paper_m);
  if (!one) throw new Error('no such form lets go of glass');
  return { ...one, said: formClearanceWords(one, form(more), METRIC, paper_m !== undefined) };
};

test('a hollow of clay lets go by the closed form, and says by how much', () => {
  const { room_m, glass_m, form_m, verdict, said, paper_m, instead } = told({});
  expect(room_m).toBeCloseTo((SOFT_90.expansion_perK - 6.5e-6) * fall_K * 0.36, 12);
  expect(glass_m - form_m).toBeCloseTo(room_m, 12);
  expect([verdict, paper_m, instead]).toEqual(['free', 0, []]);
  expect(said.verdict).toBe('It will fall out: 0.4 mm of room.');
  expect(said.why).toBe('Cooling from 497 °C, where it sets, the glass draws in 1.5 mm over 360 mm, the mould 1.1 mm.');
  expect(said.helps).toEqual([]);
});

test('what is removed in pieces has not to let go, and holds the glass until then', () => {
  const told = formClearance(SOFT_90, form({ use: 'former', material: 'cordierite' }));
  const words = told && formClearanceWords(told, { use: 'former', once: true }, METRIC);
  expect(words).toMatchObject({
    verdict: expect.stringMatching(/^It is removed from the glass in pieces\. Until then it holds it: 1 mm too tight/),
    helps: [],
  });
});

test('glass that shrinks less than a hollow is locked in where its walls are steep, and rides up where they lean', () => {
  const steep = told({ material: 'stainless', floor_m: 0.35 });
  expect(steep.verdict).toBe('grips');
  expect(steep.room_m).toBeCloseTo((SOFT_90.expansion_perK - 18e-6) * fall_K * 0.36, 12);
  expect(steep.said.verdict).toMatch(/^It will be locked in: 1\.5 mm too tight\.$/);
  expect(steep.said.helps.join(' ')).toContain('earthenware bisque');
  const flat = told({ material: 'stainless', floor_m: 0.2 });
  expect(flat.verdict).toBe('rides');
  // Half of the grip on each side, along the slope.
  expect(flat.rides_m).toBeCloseTo(-flat.room_m / 2 / (0.08 / 0.06), 6);
});

test('over a former it is the other way round: steel lets go, clay grips, paper as thick as the grip lets go again', () => {
  const over = { use: 'former', across_m: 0.12, deep_m: 0.08 } as const;
  expect(told({ ...over, material: 'stainless', thick_m: 0.002 })).toMatchObject({ verdict: 'free', paper_m: 0 });
  const bare = told({ ...over, material: 'cordierite' });
  const grip_m = (SOFT_90.expansion_perK - FORM_MATERIALS.cordierite.expansion_perK) * fall_K * 0.12;
  expect(bare).toMatchObject({ verdict: 'grips', rides_m: null });
  expect(bare.paper_m).toBeCloseTo(grip_m, 12);
  expect(bare.said.helps.join(' ')).toMatch(/Fibre paper of 0\.5 mm.*Walls that lean.*stainless steel/);
  const papered = told({ ...over, material: 'cordierite' }, 0.001);
  expect(papered.verdict).toBe('free');
  expect(papered.room_m).toBeCloseTo(0.001 - grip_m, 12);
  // Its liner is such paper, where it has one.
  expect(told({ ...over, material: 'cordierite', liner_m: 0.001 }).room_m).toBeCloseTo(papered.room_m, 12);
  // 30 mm out over 80 is a lean of 20°.
  expect(told({ ...over, material: 'cordierite', floor_m: 0.18 }).verdict).toBe('rides');
});

test('near to nothing is said to be so; what glass only lies on is not judged', () => {
  const same = told({ expansion_perK: SOFT_90.expansion_perK });
  expect(same.verdict).toBe('near');
  for (const use of ['texture', 'cavity', 'grid'] as const) expect(formClearance(SOFT_90, form({ use }))).toBeNull();
});

test('what is wider below than where the glass has to pass holds it by its shape, whatever both draw in', () => {
  const jar = told({ across_m: 0.2, floor_m: 0.23, undercut: true });
  expect([jar.verdict, jar.hooks_m]).toEqual(['hooks', expect.closeTo(0.015, 9)]);
  expect(jar.said.verdict).toBe('It hooks: the mould is 30 mm narrower at its rim than below.');
  expect(jar.said.helps).toEqual([expect.stringMatching(/^Only a form that bends/)]);
  const mushroom = told({ use: 'former', across_m: 0.12, floor_m: 0.1, deep_m: 0.08, undercut: true, material: 'stainless' });
  expect(mushroom.said.verdict).toBe('It hooks: the former is 20 mm narrower at its foot than above.');
  // By points, in the middle of its height alone.
  const waist = told({
    ...{ use: 'former', across_m: 0.12, floor_m: 0.14, deep_m: 0.08, undercut: true, material: 'stainless' },
    points_m: [
      { out_m: 0, up_m: 0.08 },
      { out_m: 0.06, up_m: 0.08 },
      { out_m: 0.05, up_m: 0.04 },
      { out_m: 0.07, up_m: 0 },
    ],
  });
  expect([waist.verdict, waist.hooks_m]).toEqual(['hooks', expect.closeTo(0.01, 9)]);
  // What is dug away afterwards need not pass.
  expect(told({ across_m: 0.2, floor_m: 0.23, undercut: true, once: true }).said.verdict).toBe('It is removed from the glass in pieces.');
  // Less than the room that both leave is none.
  expect(told({ across_m: 0.36, floor_m: 0.3602, undercut: true }).verdict).toBe('free');
});

describe('every level is judged by itself', () => {
  // A dome that leans far at its crown, over a foot that stands upright.
  const dome = {
    ...{ use: 'former', across_m: 0.1, deep_m: 0.08, material: 'earthenware', thick_m: 0.01 },
    points_m: [
      { out_m: 0, up_m: 0.08 },
      { out_m: 0.05, up_m: 0.075 },
      { out_m: 0.09, up_m: 0.05 },
      { out_m: 0.1, up_m: 0.03 },
      { out_m: 0.1, up_m: 0 },
    ],
  } as const satisfies Partial<FormShape>;

  test('a dome grips at its steep foot, however far it leans above', () => {
    const one = told(dome);
    expect(one).toMatchObject({ verdict: 'grips', size_m: expect.closeTo(0.2, 9), draft_deg: 0 });
    expect(one.room_m).toBeCloseTo(-(SOFT_90.expansion_perK - 6.5e-6) * fall_K * 0.2, 12);
    expect(one.said.verdict).toBe('It will grip 30 mm over its foot: 0.2 mm too tight.');
  });

  test('a skirt that ends above the foot is judged where it ends', () => {
    const short = formClearance(SOFT_90, form(dome), 0, 0.03);
    expect(short).toMatchObject({ verdict: 'rides', at_m: null, size_m: expect.closeTo(0.185, 9) });
    const half = formClearance(SOFT_90, form(dome), 0, 0.055);
    expect(half).toMatchObject({ verdict: 'grips', at_m: expect.closeTo(0.03, 9), size_m: expect.closeTo(0.2, 9) });
  });

  test('a hollow that flares out at its rim is locked in at the steep wall below', () => {
    const flared = told({
      material: 'stainless',
      points_m: [
        { out_m: 0, up_m: 0 },
        { out_m: 0.12, up_m: 0 },
        { out_m: 0.125, up_m: 0.04 },
        { out_m: 0.18, up_m: 0.06 },
      ],
    });
    expect(flared).toMatchObject({ verdict: 'grips', size_m: expect.closeTo(0.25, 9), at_m: expect.closeTo(0.04, 9) });
    expect(flared.said.verdict).toMatch(/^It will be locked in 40 mm over its floor: 1(\.\d)? mm too tight\.$/);
  });
});
