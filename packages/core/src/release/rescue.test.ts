import { settingPoint } from '../fit/seal';
import { FORM_MATERIALS, materialOf } from '../form/materials';
import type { FormShape } from '../form/shape';
import { SOFT_90 } from '../testCases';
import type { Units } from '../units/convert';
import { tallyWords } from './released';
import { type Rescue, rescueOf, rescueWords } from './rescue';

const METRIC: Units = { temperature: 'C', length: 'mm', mass: 'g' };
const form = (more: Partial<FormShape>): FormShape => ({
  ...{ use: 'former', plan: 'round', across_m: 0.2, deep_m: 0.08, thick_m: 0.01, material: 'cordierite' },
  ...more,
});
const rescue = (more: Partial<FormShape>, units = METRIC, inside_m?: number) => {
  const told = rescueOf(SOFT_90, form(more), 0.006, inside_m);
  if (!told) throw new Error('nothing sticks in such a form');
  return { ...told, said: rescueWords(told, form(more), units) };
};

test('off a former that draws in less cold never helps: it is warmed to where the glass set', () => {
  const { by, room_m, opens_C, drops_m, stands_m, said } = rescue({});
  expect(by).toBe('warm');
  expect(room_m).toBeCloseTo(-(SOFT_90.expansion_perK - FORM_MATERIALS.cordierite.expansion_perK) * (settingPoint(SOFT_90) - 20) * 0.2, 12);
  expect(opens_C).toBe(settingPoint(SOFT_90));
  // As deep as it hangs, its thickness, and 20 mm.
  expect(drops_m).toBeCloseTo(0.106, 9);
  expect(stands_m).toBeCloseTo(0.186, 9);
  expect(said.warms).toBe('first');
  expect(said.verdict).toBe('Never use cold. The glass has shrunk 0.6 mm more than the former since the glass set. Colder, it grips harder.');
  expect(said.steps.join(' ')).toMatch(/Warm it upside down on posts.* from about 497 °C on.*With 106 mm of room below.*stands 186 mm high then/);
  expect(said.steps.join(' ')).toMatch(/Where the kiln is too low for that, the former has to be slid aside along the posts.*power off/);
  expect(rescue({}, METRIC, 0.2).said.steps.join(' ')).not.toMatch(/slid aside/);
  expect(rescue({}, METRIC, 0.15).said.steps.join(' ')).toMatch(/needs 106 mm of room below, and this kiln has 70 mm: the former has to be slid aside/);
  expect(said.caution).toMatch(/power off.*face shield.*sleeves.*tongs.*pads/);
});

test.each<[string, Partial<FormShape>, Rescue['by'], RegExp]>([
  ['a hollow of clay', { use: 'hollow', material: 'earthenware' }, 'cold', /^Cold helps\. The glass has shrunk .* more than the mould/],
  [
    'a hollow of steel, in which it is locked',
    { use: 'hollow', material: 'stainless' },
    'warm',
    /^Never use cold\. The mould has shrunk .* more than the glass/,
  ],
  ['a former of steel', { material: 'mildSteel' }, 'cold', /^Cold helps\. The former has shrunk .* more than the glass/],
  ['a hollow that draws in as the glass does', { use: 'hollow', expansion_perK: SOFT_90.expansion_perK }, 'neither', /^Glass and mould draw in by as good as/],
  ['a ring dam of steel', { use: 'dam', material: 'stainless' }, 'warm', /^Never use cold\. The dam has shrunk/],
])('%s', (_what, more, by, words) => {
  const told = rescue(more);
  expect([told.by, told.said.warms]).toEqual([by, by === 'warm' ? 'first' : 'last']);
  expect(told.said.verdict).toMatch(words);
  const apart = SOFT_90.expansion_perK - materialOf(form(more)).expansion_perK;
  expect(told.room_m).toBeCloseTo((told.way === 'over' ? -1 : 1) * apart * (settingPoint(SOFT_90) - 20) * 0.2, 12);
});

test('what softens it goes by what the form is of; degrees and lengths are the studio’s', () => {
  expect(rescue({ use: 'hollow', material: 'plasterSilica' }).said.steps.join(' ')).toMatch(/Remove the plaster wet/);
  const imperial = rescue({}, { temperature: 'F', length: 'in', mass: 'oz' }).said;
  const words = [imperial.verdict, ...imperial.steps, imperial.caution].join(' ');
  expect(words).toMatch(/927 °F/);
  expect(words).not.toMatch(/°C| mm/);
});

test('nothing is stuck on what glass lies on, is cast into or drips through', () => {
  for (const use of ['texture', 'cavity', 'grid'] as const) expect(rescueOf(SOFT_90, form({ use }), 0.006)).toBeNull();
});

test('how often it came off is told in words', () => {
  const none = { fell: 0, tapped: 0, stuck: 0, broke: 0 };
  expect(tallyWords(none)).toBe('');
  expect(tallyWords({ ...none, stuck: 1 })).toBe('The one recorded stuck.');
  expect(tallyWords({ ...none, fell: 3 })).toBe('All 3 recorded came by themselves.');
  expect(tallyWords({ ...none, fell: 3, tapped: 1, broke: 1 })).toBe('Of 5 recorded, 3 came by themselves, 1 came by tapping, 1 broke coming off.');
});

test('what its shape holds is told so; cold is offered no more, and is still warned of where it tightens', () => {
  const jar = rescue({ use: 'hollow', across_m: 0.2, floor_m: 0.23, undercut: true, material: 'earthenware' });
  expect(jar.by).toBe('neither');
  expect(jar.said.verdict).toBe('Its shape holds it: the mould is 30 mm narrower where the glass has to pass, and cold gives nothing.');
  expect(jar.said.steps.join(' ')).not.toMatch(/cold place/);
  const mushroom = rescue({ across_m: 0.12, floor_m: 0.1, undercut: true });
  expect(mushroom.by).toBe('warm');
  expect(mushroom.said.verdict).toMatch(/^Never use cold/);
});
