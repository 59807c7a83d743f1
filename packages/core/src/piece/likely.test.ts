import { LOOKS, RECIPES } from '../look';
import { SETUP_KINDS } from '../schedule';
import { LIKELY_SHOWN, likelyLooks, setUpIn, setUpsFor, usualSetUp } from './likely';
import type { JourneyStep, LaidLayer } from './document';

const sheet = (id: string): LaidLayer => ({ id, form: 'sheet', glassId: 'g', thickness_m: 0.003 });
const lay = (...layers: LaidLayer[]): JourneyStep => ({ kind: 'lay', id: 'l', side: 'above', layers });
const fire = (look: string): JourneyStep => ({ kind: 'fire', id: look, look, setup: { kind: 'bareShelf', paper: false } }) as unknown as JourneyStep;
const piece = (journey: JourneyStep[], dammed = false) => ({ journey, dammed, footprint: { shape: 'disc', diameter_m: 0.3 } as const });
const numerals: LaidLayer = { id: 'n', form: 'pieces', glassId: 'g', thickness_m: 0.003, cover: 0.2, count: 4 };

test.each([
  ['loose sheets', piece([lay(sheet('a'), sheet('b'))]), ['fullFuse', 'tack', 'contour', 'firePolish']],
  ['parts on a sheet', piece([lay(sheet('a'), numerals)]), ['tack', 'contour', 'fullFuse', 'firePolish']],
  ['one sheet', piece([lay(sheet('a'))]), ['firePolish', 'slump', 'drape', 'fullFuse']],
  ['a fused blank', piece([lay(sheet('a'), sheet('b')), fire('fullFuse')]), ['slump', 'drape', 'firePolish', 'fullFuse']],
  ['a dam', piece([lay(sheet('a'))], true), ['slabFlow', 'strips', 'fullFuse', 'contour']],
  ['nothing', piece([lay()]), ['dryMould', 'burnOut', 'dryShelf', 'bisque']],
])('of %s the likeliest come first, none twice', (_, doc, looks) => {
  expect(likelyLooks(doc)).toEqual(looks);
});

test('what fell short comes first again', () => {
  const doc = piece([lay(sheet('a'), sheet('b')), fire('drape')]);
  expect(likelyLooks(doc, { drape: 'short' })[0]).toBe('drape');
  expect(likelyLooks(doc, { drape: 'right' })[0]).toBe('slump');
});

test('every kind of firing has a set-up, the usual one is among them, and none twice', () => {
  for (const look of LOOKS) {
    for (const shaped of [false, true]) {
      const kinds = setUpsFor(look, null, shaped);
      expect(kinds).toContain(usualSetUp(look));
      expect(new Set(kinds).size).toBe(kinds.length);
    }
  }
  expect(LIKELY_SHOWN).toBe(4);
  // Each is offered for something.
  expect(SETUP_KINDS.filter((kind) => !LOOKS.some((look) => setUpsFor(look, null, true).includes(kind)))).toEqual([]);
});

test('what cannot be is not offered: loose glass over a former, a fuse on posts, a casting on a shelf', () => {
  expect(setUpsFor('fullFuse', null, false)).not.toContain('overFormer');
  expect(setUpsFor('firePolish', null, true)).toContain('overFormer');
  for (const look of LOOKS.filter((one) => !RECIPES[one].frees)) expect(setUpsFor(look, null, true)).not.toContain('onPosts');
  expect(setUpsFor('openCast', null, false)).toEqual(['inInvestment', 'inMould']);
  expect(setUpsFor('bisque', null, true)).not.toContain('inMould');
});

test('a form decides it', () => {
  const clay = { use: 'hollow', material: 'earthenware' } as const;
  const plaster = { use: 'hollow', material: 'plasterSilica' } as const;
  expect([setUpsFor('slump', clay, false), setUpsFor('slump', plaster, false)]).toEqual([['inMould'], ['inInvestment']]);
  expect(setUpIn({ use: 'former', material: 'steel' as never }, 'drape')).toBe('overFormer');
  // In a dam the shelf below it is chosen still.
  expect(setUpsFor('slabFlow', { use: 'dam', material: 'cordierite' as never }, false)).toContain('floorShelf');
});
