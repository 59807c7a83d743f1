/** What is said of a piece in its form: on the cases that a studio meets. */
import fc from 'fast-check';
import { TYPICAL_KILN } from '../kiln/typical';
import { type FormShape, formProblem } from '../form/shape';
import { valueOf } from '../problem';
import { blank } from '../quantity/blank';
import { blankFor, formFigures } from '../quantity/formTold';
import { DEFAULT_LIMITS } from '../schedule/limits';
import { DEFAULT_SCHOOL, type FiringCase } from '../schedule/firingCase';
import { setUpOf } from '../schedule/setups';
import { SOFT_90 } from '../testCases';
import { type Footprint, scaledBy } from '../body/footprint';
import type { HeldForm, PlannedStep } from './document';
import { betweenThem, formNotes } from './formNotes';
import { shapingOf } from './inForm';

const METRIC = { temperature: 'C', length: 'mm', mass: 'g' } as const;
const held = (more: Partial<FormShape>, drop_m?: number): HeldForm => ({
  ...{ id: 'form', name: 'Basin', ...(drop_m === undefined ? {} : { drop_m }) },
  shape: { use: 'hollow', plan: 'round', across_m: 0.366, deep_m: 0.062, thick_m: 0.012, material: 'earthenware', ...more },
});

function told(
  form: HeldForm,
  footprint: Footprint,
  { look = 'slump' as PlannedStep['look'], paper_m = 0, dammed = false, deep_m = 0.006, hottest_C = null as number | null } = {},
) {
  const shaping = shapingOf({ look, setup: { kind: 'inMould', paper: false, form } }, footprint);
  const firing: FiringCase = {
    ...{
      look,
      school: DEFAULT_SCHOOL,
      limits: DEFAULT_LIMITS,
      kiln: TYPICAL_KILN,
      setup: setUpOf({ kind: 'inMould', paper: false, ...(shaping ? { shaping } : {}) }),
    },
    body: { glasses: [SOFT_90], layers: [{ form: 'sheet', glass: 0, thickness_m: deep_m }], footprint, joined: true, ...(dammed ? { dammed } : {}) },
  };
  return formNotes(form, firing, paper_m, METRIC, hottest_C);
}
const disc = (diameter_m: number) => ({ shape: 'disc', diameter_m }) as const;

test('a blank that ends at the rim, one that is too big and hooks, one that ends below it, one that slips in', () => {
  expect(told(held({}), disc(0.383))).toMatchObject({ warns: [], cutTo: null, notes: expect.arrayContaining(['The blank ends at the rim.']) });
  const big = told(held({}), disc(0.4));
  expect(big.warns[0]).toMatch(
    /^The blank is too big: its edge would come 8\.7 mm over the rim on each side and hook there\. Cut to 383 mm it ends at the rim\.$/,
  );
  expect(big.cutTo).toEqual({ shape: 'disc', diameter_m: expect.closeTo(0.3826, 3) });
  expect(told(held({}), disc(0.37)).notes[0]).toMatch(/^Its edge ends about [67](\.\d)? mm below the rim\. Cut to 383 mm it ends at the rim\.$/);
  expect(told(held({}), disc(0.33)).notes[0]).toMatch(/^The blank is 36 mm narrower than the rim: it slips in/);
  expect(told(held({}), disc(0.383)).letsGo).toMatchObject({ isSound: true, verdict: 'It will fall out: 0.4 mm of room.' });
});

test('a form measured on its four sides says where the blank stands over, and which way to move it', () => {
  const uneven = held({ left_m: 0.183, right_m: 0.183, door_m: 0.178, back_m: 0.188 });
  const [words] = told(uneven, disc(0.38)).notes.slice(-1);
  expect(words).toBe(
    'Laid over its lowest place the blank stands 7 mm over on the left, 7 mm over on the right, 12 mm over at the door, 2 mm over at the back. Lay it 5 mm away from the door and it stands alike on all sides.',
  );
});

test('an oblong form measured on its four sides has the long side of its blank along its own, whichever of the two was told first', () => {
  const blank = { shape: 'rectangle', width_m: 0.22, length_m: 0.44 } as const;
  const sides = { left_m: 0.2, right_m: 0.2, door_m: 0.1, back_m: 0.1 };
  const lying = held({ plan: 'rectangle', across_m: 0.4, along_m: 0.2, ...sides });
  expect(told(lying, blank).notes.at(-1)).toBe(
    'Laid over its lowest place the blank stands 20 mm over on the left, 20 mm over on the right, 10 mm over at the door, 10 mm over at the back.',
  );
  const standing = held({ plan: 'rectangle', across_m: 0.2, along_m: 0.4, left_m: 0.1, right_m: 0.1, door_m: 0.2, back_m: 0.2 });
  expect(told(standing, blank).notes.at(-1)).toBe(
    'Laid over its lowest place the blank stands 10 mm over on the left, 10 mm over on the right, 20 mm over at the door, 20 mm over at the back.',
  );
});

test('a skirt: how far out, how clear of the shelf, whether it folds; what grips bare lets go on paper', () => {
  const drum = (more: Partial<FormShape> = {}, drop_m?: number) =>
    held({ use: 'former', across_m: 0.12, deep_m: 0.11, thick_m: 0.01, material: 'cordierite', ...more }, drop_m);
  const over = told(drum(), disc(0.3), { look: 'drape' });
  expect(over.notes).toContain('It stands out 90 mm on each side; hanging, its edge is 24.7 mm clear of the shelf.');
  expect(over.warns[0]).toMatch(
    /^60 % of its rim are more than goes round the former: a round skirt folds, in two lobes when it comes down slowly, in more when it is hotter\./,
  );
  expect(over.letsGo).toMatchObject({ isSound: false, verdict: 'It will grip: 0.3 mm too tight.' });
  expect(told(drum(), disc(0.3), { look: 'drape', paper_m: 0.001 }).letsGo).toMatchObject({ isSound: true });
  expect(told(drum(), disc(0.36), { look: 'drape' }).warns.join(' ')).toMatch(
    /Its edge hangs 115 mm and the former is 110 mm high: it would stand on the shelf/,
  );
  expect(told(drum({}, 0.05), disc(0.36), { look: 'drape' }).notes.join(' ')).toMatch(/its edge is 60 mm clear/);
  const fluted = drum({ plan: 'lobed', along_m: 0.1, lobes: 5 });
  expect(told(fluted, disc(0.3), { look: 'drape' }).notes.join(' ')).toMatch(/The former has 5 flutes: a blank in as many lobes/);
});

test('a dam: what it leaves inside its liner, and what is laid otherwise', () => {
  const ring = held({ use: 'dam', across_m: 0.166, deep_m: 0.04, liner_m: 0.003, material: 'stainless', thick_m: 0.003 });
  const right = told(ring, disc(0.16), { look: 'fullFuse', dammed: true });
  expect(right.warns).toEqual([]);
  // Its walls are held apart by the liner, not by the thin paper that lies under the glass.
  const papered = told(ring, disc(0.16), { look: 'fullFuse', dammed: true, paper_m: 0.0002 });
  expect(papered.letsGo).toEqual(right.letsGo);
  expect(papered.letsGo).toMatchObject({ isSound: true, verdict: expect.stringMatching(/^It will fall out: 2\.\d mm of room/) });
  const gram = (Math.PI * 0.08 ** 2 * 1e-3 * SOFT_90.density_kg_m3 * 1e3).toFixed(1);
  expect(right.notes[0]).toMatch(/^Inside it is 160 mm, its liner of 3 mm taken off once on each side\. Each 1 mm of depth takes /);
  expect(Number(/takes ([\d.]+) g/.exec(right.notes[0])?.[1])).toBeCloseTo(Number(gram), 0);
  expect(told(ring, disc(0.166), { look: 'fullFuse', dammed: true }).warns[0]).toMatch(/^It does not go into 'Basin': inside that is 160 mm/);
  expect(told(ring, disc(0.15), { look: 'fullFuse', dammed: true }).warns[0]).toMatch(/it runs out to the wall/);
  expect(told(ring, disc(0.16), { look: 'fullFuse' }).warns.join(' ')).toMatch(/say in its outline that it is dammed/);
  expect(told(ring, disc(0.16), { look: 'fullFuse', dammed: true, deep_m: 0.05 }).warns.join(' ')).toMatch(/glass runs over/);
});

test('a form that the firing is too hot for is said; what lies between is as thick as its release', () => {
  expect(told(held({ material: 'mildSteel' }), disc(0.37), { hottest_C: 800 }).warns.join(' ')).toMatch(
    /'Basin' is good for 780 °C; this firing goes to 800 °C/,
  );
  const releases = [
    { id: 'p', name: 'Paper', kind: 'paper' as const, weight_kg_m2: 0.4, top_C: 800 },
    { id: 'w', name: 'Primer', kind: 'primer' as const, top_C: 850 },
  ];
  const setup = { kind: 'overFormer', paper: true } as const;
  expect(betweenThem({ setup, releaseId: 'p' }, { releases })).toBeCloseTo(0.002, 9);
  expect(betweenThem({ setup, releaseId: 'w' }, { releases })).toBe(0);
  expect(betweenThem({ setup }, { releases })).toBeCloseTo(0.001, 9);
  expect(betweenThem({ setup: { ...setup, paper: false } }, { releases })).toBe(0);
});

test('the blank that is suggested for a form is never one that its piece is warned of: 200 forms, from 2 to 12 mm', () => {
  const share = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });
  let [limited, judged] = [0, 0];
  fc.assert(
    fc.property(
      fc.constantFrom('round', 'oval', 'rectangle', 'trough', 'lobed' as const),
      ...([share(0.08, 0.5), share(1, 2.5), share(0, 0.95), share(0.05, 0.6), share(0.002, 0.012)] as const),
      fc.constantFrom('hollow', 'former' as const),
      (plan, across_m, slender, floor, deep, thickness_m, use) => {
        const isLobed = plan === 'lobed';
        const along_m = plan === 'round' ? undefined : isLobed ? across_m / Math.min(slender, 1.3) : across_m * slender;
        const form = held({
          ...{ use, plan, across_m, deep_m: (deep * across_m) / 2, ...(along_m === undefined ? {} : { along_m }) },
          ...(use === 'hollow' ? { floor_m: Math.min(floor * across_m, (along_m ?? across_m) * 0.9) } : {}),
          ...(isLobed ? { lobes: 5 } : {}),
        });
        if (formProblem(form.shape)) return;
        const asked = blankFor(form.shape, SOFT_90, thickness_m);
        const cut = asked && blank(asked);
        if (!cut?.ok) return;
        judged += 1;
        if (cut.value.summed_m.some((size, i) => size > cut.value.sizes_m[i] + 1e-9)) limited += 1;
        const { warns } = told(form, cut.value.outline, { look: use === 'hollow' ? 'slump' : 'drape', deep_m: thickness_m });
        expect(warns.filter((words) => /too big|may hook|stand on the shelf/.test(words))).toEqual([]);
      },
    ),
    { numRuns: 200, seed: 41, endOnFailure: true },
  );
  expect(judged).toBeGreaterThan(120);
  expect(limited).toBeGreaterThanOrEqual(3);
});

test('a blank that would hook is told the largest that slides in, and is cut to that', () => {
  const deep = held({ across_m: 0.2, floor_m: 0.19, deep_m: 0.08 });
  const asked = blankFor(deep.shape, SOFT_90, 0.003)!;
  const { sizes_m, summed_m, bears_m } = valueOf(blank(asked));
  expect(sizes_m[0]).toBeCloseTo(0.2 + 2 * bears_m, 9);
  expect(summed_m[0]).toBeGreaterThan(sizes_m[0] + 0.02);
  const hooks = told(deep, disc(sizes_m[0] + 0.01), { deep_m: 0.003 });
  expect(hooks.warns.join(' ')).toMatch(/it may hook before it slides in\. The largest that slides in is \d+ mm\./);
  expect(hooks.cutTo).toEqual({ shape: 'disc', diameter_m: expect.closeTo(sizes_m[0], 9) });
  expect(formFigures(deep.shape, SOFT_90, 0.003, METRIC).map(({ label }) => label)).toContain('largest blank that slides in');
  expect(told(deep, disc(sizes_m[0]), { deep_m: 0.003 }).warns).toEqual([]);
});

test('a lobed blank is told by its area: one larger than the form takes is warned of, one smaller ends below the rim', () => {
  const form = held({ plan: 'lobed', across_m: 0.3, along_m: 0.26, lobes: 5, floor_m: 0.1, deep_m: 0.03 });
  const asked = blankFor(form.shape, SOFT_90, 0.006)!;
  const { outline } = valueOf(blank(asked));
  const scaled = (by: number) => told(form, scaledBy(outline, by));
  expect(scaled(1).warns).toEqual([]);
  expect(scaled(1.25).warns.join(' ')).toMatch(/too big|may hook/);
  expect(scaled(0.97).notes.join(' ')).toMatch(/slips in, starts on the wall and ends about \d+(\.\d)? mm below the rim/);
});

test('a former that is used once is fired empty first; one that is used again, and one of steel, is not', () => {
  const said = (more: Partial<FormShape>) => told(held({ use: 'former', across_m: 0.1, deep_m: 0.08, ...more }), disc(0.2), { look: 'drape' }).notes.join(' ');
  expect(said({ once: true, material: 'fibre' })).toMatch(/fire it empty to about 650 °C first/);
  expect(said({ once: true, material: 'plasterSilica' })).toMatch(/dry it empty first/);
  expect(said({ material: 'fibre' })).not.toMatch(/empty/);
  expect(said({ once: true, material: 'stainless' })).not.toMatch(/empty/);
});
