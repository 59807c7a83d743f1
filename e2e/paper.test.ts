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
