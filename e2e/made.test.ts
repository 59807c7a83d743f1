/** Made glass by touch: what came out of a piece stands on the shelf, is cut again and laid in others, until none is left. */
import { Maker } from './maker';
import { setting } from './setting';
import { PHONE, Visitor } from './visitor';

const here = setting();
const { studio } = here;
let me: Visitor;
const maker = new Maker(
  () => me,
  () => studio.address,
);

beforeEach(async () => {
  me = await Visitor.open(here.browser, PHONE);
});
afterEach(() => me.leave());

const toPieces = () => me.page.goto(`${studio.address}/pieces`);

/** A motif on the plan: its fields, its glasses in turn. */
async function motif(kind: string, fields: Record<string, string>, glasses: readonly string[]): Promise<void> {
  await me.press('view-above');
  await me.press('add-motif');
  await me.press(`motif-kind-${kind}`);
  for (const [i, glass] of glasses.entries()) {
    if (i > 0) await me.press('motif-more');
    await me.press(`glass-${glass}`);
  }
  for (const [field, value] of Object.entries(fields)) await me.type(`motif-${field}`, value);
}

async function keepMade(figures: Record<string, string> = {}, form?: string): Promise<string> {
  await me.press('keep-made');
  if (form) await me.press(`keep-form-${form}`);
  for (const [field, value] of Object.entries(figures)) await me.type(`keep-${field}`, value);
  const of = await me.text('keep-made-of');
  await me.expectSound('what is kept as made glass');
  await me.press('keep-it');
  await me.gone('keep-made-panel');
  return of;
}

/** A made glass on the shelf: its id, and what its row says once it is known what is left. */
async function onTheShelf(name: string): Promise<{ id: string; text: string }> {
  await me.page.goto(`${studio.address}/shelves?shelf=made`);
  for (let tries = 0; tries < 100; tries += 1) {
    const rows = await me.ofAll('[data-testid^="record-"]', (nodes) => nodes.map((node) => ({ id: node.dataset.testid ?? '', text: node.innerText })));
    const row = rows.find(({ text }) => text.startsWith(name));
    if (row && /left|more is named/.test(row.text)) return { id: row.id.slice('record-'.length), text: row.text };
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`Nothing on the shelf says what is left of '${name}'.`);
}

test('strips on edge become a slab, sawn to bars, laid in a ring with gaps, run together, its edge dressed, slumped', async () => {
  await maker.begin('Tide stripes', { width: '120', length: '60' }, 'clear-90');
  await motif('onEdge', { count: '40', sheet: '3', thick: '12', long: '60' }, ['clear-90', 'rose-90']);
  await me.sees('motif-words', /40 strips come to 120 × 60 mm, 12 mm high/);
  await me.expectSound('a motif of strips');
  await me.press('motif-lay');
  // 120 · 60 · 12 mm of 2500 kg/m³; the base sheet has given way.
  await me.sees('figure-mass', /216\s*g/);
  await maker.fire('fullFuse');
  await maker.hand('cut', [], { strip: '18', kerf: '2.5' });
  // 18 + 2.5 + 18 + 2.5 + 18 of the 60 mm: two cuts are mud, one millimetre is over.
  await me.sees('taken-kerf', /18\s*g/);
  expect(await keepMade({ name: 'Tide bars' })).toMatch(/after 'cut': Clear 50 %, Dune rose 50 %, in stripes across it; each 18 × 120 mm/);
  const bars = await onTheShelf('Tide bars');
  expect(bars.text).toMatch(/Bar, 3 of 18 × 120 mm, 12 mm thick · Clear and Dune rose · 194 g made · from Tide stripes\s+all of it left/);
  // Eight segments of 18 by 40 mm: 8 · 18 · 40 · 12 mm of it.
  await toPieces();
  await maker.begin('Tide ring', { width: '150', length: '150' }, 'clear-90');
  await motif('ring', { count: '8', across: '150', wide: '18', deep: '40' }, [bars.id]);
  await me.sees('motif-words', /8 segments with gaps of 1[01](\.\d)? mm inside/);
  await me.type('motif-count', '30');
  await me.sees('motif-problem', /30 of these do not go round without lying on one another: \d+ do/);
  await me.type('motif-count', '8');
  await me.type('motif-deep', '130');
  await me.sees('motif-problem', /'Tide bars' is 18 × 120 mm: no segment of 18 × 130 mm comes out of it/);
  await me.type('motif-deep', '40');
  await me.press('motif-lay');
  await me.sees('figure-mass', /173\s*g/);
  await me.sees('made-note', /made glass from Tide stripes, 2\d g left/);
  await me.sees('figure-haze', /Tide bars brought .*the heat of its own firings/);
  await me.sees('touching', /Tide bars on the shelf/);
  expect(await me.ofAll('[data-testid="plan-editor"] [role="option"]', (nodes) => nodes.length)).toBe(8);
  await me.expectSound('a ring of made glass');
  await maker.fire('fullFuse');
  await maker.hand('grind', ['place-rim'], { off: '2' });
  await maker.fire('slump', { span: '140', depth: '30' });
  await me.sees('body-words', /one piece|one solid/i);
  expect((await onTheShelf('Tide bars')).text).toMatch(/2\d g left, as much as 0 of 3/);
  // From the shelf to the piece it came from and to who takes of it; what came from a piece is not offered to it.
  await me.press(`record-${bars.id}`);
  await me.sees('made-left', /194 g made, 2\d g left/);
  await me.sees('made-heat', /Heat work so far/);
  await me.expectSound('made glass on the shelf');
  await me.press('made-from');
  await me.sees(`kept-made-${bars.id}`, /Tide bars.*made glass from this/);
  await me.press('journey-0');
  await me.press('view-above');
  await me.press('add-part');
  await me.find('glass-clear-90');
  expect(await me.has(`glass-${bars.id}`)).toBe(false);
});

test('stringers on a thin sheet are cut across and woven, with a border and a cap', async () => {
  await maker.begin('Reed lace', { width: '180', length: '120' }, 'clear-90');
  await maker.add('stringer', 'slate-90', { diameter: '2', cover: '40' });
  await maker.fire('tack');
  await maker.hand('cut', [], { strip: '15', kerf: '0' });
  expect(await keepMade({ name: 'Reed strips' }, 'lace')).toMatch(/Clear \d+ %, Wet slate \d+ %, mixed; each 15 × 180 mm/);
  const strips = await onTheShelf('Reed strips');
  await toPieces();
  await maker.begin('Woven reeds', { width: '200', length: '200' }, 'clear-90');
  await motif('woven', { rows: '4', inRow: '3', long: '40', deep: '15', gap: '0', border: '10' }, [strips.id]);
  expect(await me.text(`glass-${strips.id}`)).toMatch(/8 of 15 × 180 mm.*fragile/);
  await me.sees('motif-words', /18 pieces come to 140 × 80 mm, under a cap of Clear/);
  await me.expectSound('a woven motif');
  await me.press('motif-lay');
  await me.press('view-side');
  await me.sees('section-table', /Reed strips.*pieces.*14.*Clear.*pieces.*4.*Clear.*cap/);
  await me.sees('made-note', /made glass from Reed lace, .* left/);
  await maker.fire('fullFuse');
  await maker.hand('look');
  await me.sees('body-words', /one solid/i);
  await me.expectSound('a woven panel');
});

test('three panels are cut from one made slab until none is left; a fourth says so', async () => {
  await maker.begin('Grey slab', { width: '300', length: '100' }, 'slate-90');
  await maker.fire('firePolish');
  await keepMade();
  await me.find('keep-made');
  const slab = await onTheShelf('Grey slab');
  expect(slab.text).toMatch(/all of it left/);
  for (const [i, left] of ['150 g left', '75 g left', 'none left', '75 g more is named than there was'].entries()) {
    await toPieces();
    await maker.begin(`Panel ${i + 1}`, { width: '100', length: '100' }, slab.id);
    if (i < 3) await me.sees('made-note', new RegExp(left));
    else await me.sees('made-short', new RegExp(`Of 'Grey slab' ${left}`));
    expect((await onTheShelf('Grey slab')).text).toMatch(new RegExp(left));
  }
  // The piece it came from is deleted: it stays named.
  await me.page.goto(`${studio.address}/pieces?q=grey`);
  await me.goToPiece('Grey slab', studio.address);
  await me.press('delete-piece');
  await me.find('new-piece');
  await me.page.goto(`${studio.address}/shelves?shelf=made`);
  await me.press(`record-${slab.id}`);
  await me.sees('made-from', /From Grey slab, a piece that has been deleted since/);
});
