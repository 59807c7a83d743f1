/** What comes out of the printer: one page for a run sheet and one for a key-in sheet, whatever the screen and the paper. */
import { firingsOf } from '@torvin/core/piece';
import { wholePieces } from './server';
import { setting } from './setting';
import { PHONE, Visitor, WIDE } from './visitor';

const here = setting();
const { studio } = here;

const pagesOf = (pdf: Uint8Array): number =>
  [
    ...Buffer.from(pdf)
      .toString('latin1')
      .matchAll(/\/Type\s*\/Page\b/g),
  ].length;

/** The sheet on paper, measured at once when it is made: where it lies and how large it is, in px of the paper; its smallest letters in pt; what else is to be seen. */
const onPaper = (me: Visitor): Promise<{ left: number; top: number; width: number; height: number; smallest: number; words: string; others: number }> =>
  me.page.evaluate(() => {
    window.dispatchEvent(new Event('beforeprint'));
    const svg = document.querySelector('.on-paper svg') as SVGSVGElement;
    const { left, top, width, height } = svg.getBoundingClientRect();
    const scale = Math.min(width / 595, height / 792);
    const texts = [...svg.querySelectorAll('text')];
    const others = [...document.body.children].filter((node) => !node.classList.contains('on-paper') && (node as HTMLElement).offsetHeight > 0).length;
    return {
      left,
      top,
      width,
      height,
      others,
      smallest: Math.min(...texts.map((node) => Number(node.getAttribute('font-size')) * scale)) * 0.75 * (96 / 72),
      words: texts.map((node) => node.textContent).join(' '),
    };
  });

describe.each([
  ['a phone', PHONE],
  ['a tablet', { width: 820, height: 1180, hasTouch: true, isMobile: true }],
  ['a laptop', WIDE],
] as const)('from %s', (_, size) => {
  test.each([
    ['run sheet', 'run', 'run-row-0', /Plaque no\. 14 .*Tack fuse in Low kiln/],
    ['print page', 'print', 'print-page', /Plaque no\. 14 .*Tack fuse in Low kiln/],
    ['key-in sheet', 'key-in', 'key-in-0', /Plaque no\. 14, to key in .*means as fast as it can/],
  ] as const)('the %s prints on one page of A4 and of Letter, over all of it, in letters of 11 pt and more', async (_what, page, shown, words) => {
    const me = await Visitor.open(here.browser, size, 'dark');
    const [piece] = (await wholePieces(studio.address)).filter(({ name }) => name === 'Plaque no. 14');
    await me.page.goto(`${studio.address}/pieces/${piece.id}/${page}?step=${firingsOf(piece.doc)[0].id}`);
    await me.find(shown);
    if (page === 'print') await me.page.waitForFunction(() => !document.querySelector('[data-testid="print"]')?.hasAttribute('disabled'));
    for (const format of ['A4', 'Letter'] as const) expect([format, pagesOf(await me.page.pdf({ format }))]).toEqual([format, 1]);
    // As the printer lays it out: A4 in px of 1/96 inch.
    await me.page.setViewport({ ...size, width: 794, height: 1123 });
    await me.page.emulateMediaType('print');
    const sheet = await onPaper(me);
    expect(sheet).toMatchObject({ left: 0, top: 0, width: 794, height: 1123, others: 0, words: expect.stringMatching(words) as string });
    expect(sheet.smallest).toBeGreaterThanOrEqual(11);
    await me.page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
    await me.gone('on-paper');
    await me.leave();
  });
});

test("what is printed is in the controller's unit, black on white, also where the screen is dark", async () => {
  const me = await Visitor.open(here.browser, PHONE, 'dark');
  const [piece] = (await wholePieces(studio.address)).filter(({ name }) => name === 'Plaque no. 14');
  await me.page.goto(`${studio.address}/pieces/${piece.id}/key-in?step=${firingsOf(piece.doc)[0].id}`);
  await me.find('key-in-0');
  await me.page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  const colours = await me.page.evaluate(() =>
    [...document.querySelectorAll('.on-paper svg *')].flatMap((node) => ['fill', 'stroke'].map((name) => node.getAttribute(name))).filter(Boolean),
  );
  expect(new Set(colours)).toEqual(new Set(['white', 'black', 'none']));
  await me.leave();
});

/** What stands on each page of the paper that is shown now. */
const printedPages = (me: Visitor): Promise<string[]> =>
  me.page.evaluate(() => {
    window.dispatchEvent(new Event('beforeprint'));
    const pages = [...document.querySelectorAll('.on-paper .sheet')].map((sheet) =>
      [...sheet.querySelectorAll('text')].map((node) => node.textContent).join(' '),
    );
    window.dispatchEvent(new Event('afterprint'));
    return pages;
  });

test.each([
  ['the Bench', '/bench', 'opens', /^Bench as it stands .*In the kiln .*Bird-bath basin, slump/],
  ['the pieces', '/pieces', 'piece-link', /^Pieces \d+ pieces .*Plaque no\. 14/],
  ['the Notebook', '/notebook', 'firing-link', /^Notebook \d+ firings .*Tideline bowl/],
  ['a shelf', '/shelves?shelf=forms', 'find-record', /^Moulds and formers \d+ on this shelf .*Basin mould, the deep one/],
] as const)('%s prints composed, on as many pages as it needs, whatever is beside it', async (_, path, shown, words) => {
  for (const size of [PHONE, WIDE]) {
    const me = await Visitor.open(here.browser, size, 'dark');
    await me.page.goto(studio.address + path);
    if (shown !== 'find-record') await me.find(shown);
    else await me.reads('Basin mould, the deep one');
    let pages = await printedPages(me);
    // Beside a list the first of it is open on a wide screen, and that is what is printed, once it has come.
    const isAlone = size === PHONE || path === '/bench' || path.startsWith('/shelves');
    while (!isAlone && words.test(pages.join(' '))) pages = await printedPages(me);
    if (isAlone) expect(pages.join(' ')).toMatch(words);
    expect(pagesOf(await me.page.pdf({ format: 'A4' }))).toBe(pages.length);
    await me.leave();
  }
});

test('a piece and a record print with their drawing, their steps and their schedule', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await me.page.goto(`${studio.address}/pieces`);
  await me.openPiece('Bird-bath basin');
  await me.find('journey');
  expect((await printedPages(me))[0]).toMatch(/^Bird-bath basin disc of 380.mm .*Its journey 1 Lay on done .*3 Slump .*Basin mould, the deep one.*As it lies/);
  await me.page.goto(`${studio.address}/notebook`);
  await me.openFiring('Tideline bowl');
  await me.find('as-fired');
  expect((await printedPages(me))[0]).toMatch(/^Tideline bowl Slump in Low kiln.*Short .*As it ran .*Otherwise than planned/);
  await me.leave();
});

test('a label is printed in the size that was typed, so many to a sheet; its code names its page', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await me.page.goto(`${studio.address}/pieces`);
  await me.openPiece('Bird-bath basin');
  await me.press('open-label');
  await me.sees('label-count', /^one label on one sheet, 27 to a sheet/);
  await me.type('label-width', '300 mm');
  await me.sees('label-width-error', /must be from 12 mm to 190 mm/);
  await me.type('label-width', '2 in');
  await me.type('label-height', '25');
  await me.type('label-copies', '40');
  await me.page.keyboard.press('Enter');
  await me.sees('label-count', /^40 labels on 2 sheets, 33 to a sheet/);
  // Thirty of 2 5/8 · 1 in, as such sheets are cut.
  await me.press('label-paper-Letter');
  await me.type('label-width', '2 5/8 in');
  await me.type('label-height', '1 in');
  await me.sees('label-count', /, 30 to a sheet/);
  await me.type('label-gap', '1/2 in');
  await me.sees('label-count', /, 20 to a sheet/);
  await me.press('label-paper-A4');
  await me.type('label-gap', '');
  await me.type('label-width', '2 in');
  await me.type('label-height', '25');
  await me.expectSound('a label');
  expect((await printedPages(me))[1]).toMatch(/Bird-bath basin .*disc of 380 mm .*1\.70 kg/);
  expect(pagesOf(await me.page.pdf({ preferCSSPageSize: true }))).toBe(2);
  await me.press('label-paper-own');
  expect(pagesOf(await me.page.pdf({ preferCSSPageSize: true }))).toBe(40);
  await me.leave();
});
