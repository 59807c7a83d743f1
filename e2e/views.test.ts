/** Every main view at both sizes, once in light and once in dark: nothing overflows, overlaps, is too small to touch or fails axe. */
import { firingsOf } from '@torvin/core/piece';
import { wholePieces } from './server';
import { setting } from './setting';
import { wordNotUsed } from '../scripts/glossary';
import { CALM } from './calm';
import { PHONE, Visitor, WIDE } from './visitor';

const here = setting();
const { studio } = here;

async function addresses(): Promise<Record<'piece' | 'step' | 'lamp' | 'panel' | 'firing' | 'other', string>> {
  const pieces = await wholePieces(studio.address);
  const [plaque, panel] = ['Plaque no. 14', 'Lamp panel, right'].map((wanted) => pieces.find(({ name }) => name === wanted));
  const { firings } = (await (await fetch(`${studio.address}/api/firings?text=test+tiles`)).json()) as { firings: { id: string }[] };
  if (!plaque || !panel || firings.length < 2) throw new Error('The demo data is not there.');
  return {
    ...{
      piece: `/pieces/${plaque.id}`,
      step: `step=${firingsOf(plaque.doc)[0].id}`,
      lamp: `/pieces/${panel.id}`,
      panel: `/pieces/${panel.id}?at=${panel.doc.journey[0].id}`,
    },
    ...{ firing: firings[0].id, other: firings[1].id },
  };
}

/** Each view with what must stand on it before it is looked at; pressed: what is touched on the way from there, the last of it shows something. */
const VIEWS: [view: string, path: (at: Awaited<ReturnType<typeof addresses>>) => string, shown: string, pressed?: readonly string[], then?: string][] = [
  ['bench', () => '/bench', 'opens'],
  ['pieces', () => '/pieces', 'piece-link'],
  ['new piece', () => '/pieces/new', 'save-piece'],
  ['piece', ({ piece }) => piece, 'fold-fits'],
  ['panel', ({ lamp }) => lamp, 'fold-fits'],
  ['outline and name', ({ piece }) => `${piece}/edit`, 'save-piece'],
  ['run sheet', ({ piece, step }) => `${piece}/run?${step}`, 'run-row-0'],
  ['key-in sheet', ({ piece, step }) => `${piece}/key-in?${step}`, 'key-in-0'],
  ['print', ({ piece, step }) => `${piece}/print?${step}`, 'print-page'],
  ['record', ({ piece, step }) => `${piece}/record?${step}`, 'save-firing'],
  ['from paper', ({ piece, step }) => `${piece}/given?${step}`, 'paper-rows'],
  ['at the kiln', () => '/kiln', 'ready-to-key'],
  ['rehearsal', ({ piece, step }) => `/kiln/rehearsal?id=${piece.split('/')[2]}&${step}`, 'panel'],
  ['practice', () => '/kiln/practice', 'begin-enter'],
  ['run again', ({ firing }) => `/notebook/${firing}/again`, 'again-piece'],
  ['notebook', () => '/notebook', 'firing-link'],
  ['firing', ({ firing }) => `/notebook/${firing}`, 'as-fired'],
  ['tell more', ({ firing }) => `/notebook/${firing}/tell`, 'save-firing'],
  ['next time', ({ firing }) => `/notebook/${firing}/next`, 'plan-next'],
  ['compare', ({ firing, other }) => `/notebook/${firing}/compare?with=${other}`, 'compared-figures'],
  ['shelves', () => '/shelves', 'new-record'],
  ['settings', () => '/settings', 'fold-settings-units'],
  ['help', () => '/help', 'paper-features'],
  ['a paper', () => '/help/schedules', 'screen-scroll'],
  ['find', () => '/bench', 'open-find', ['open-find'], 'find-field'],
  ['help for a page', () => '/pieces', 'open-help', ['open-help'], 'help-what'],
  ['strip tests', () => '/shelves?shelf=stripTests', 'new-record'],
  ['glass', () => '/shelves/glasses/clear-90', 'save-record'],
  ['new strip test', () => '/shelves/stripTests/new', 'save-record'],
  ['family', () => '/shelves/families/soft-90', 'save-record'],
  ['kiln', () => '/shelves/kilns/low-kiln', 'save-record'],
  ['controller', () => '/shelves/controllers/grey-box', 'save-record'],
  ['a layer', ({ piece }) => piece, 'fold-fits', ['layer-row-1'], 'layer-sheet'],
  ['a firing planned', ({ piece }) => `${piece.split('?')[0]}/fire`, 'plan-bar'],
  ['kinds of firing', ({ piece }) => `${piece.split('?')[0]}/fire`, 'plan-bar', ['fold-more-looks'], 'find-look'],
  ['a step of the hands', ({ panel }) => panel, 'journey-add', ['journey-add', 'add-step-grind'], 'hand-step'],
  ['a row of the run sheet', ({ piece, step }) => `${piece}/run?${step}`, 'run-row-2', ['run-row-2'], 'segment-sheet'],
  ['plan', ({ panel }) => panel, 'view-above', ['view-above'], 'plan-editor'],
  ['plan to print', ({ panel }) => panel.replace('?', '/plan?'), 'plan-sheet-4'],
  ['mould', () => '/shelves/forms/tray-small', 'form-drawing'],
  ['a mould in the making', () => '/shelves/makings/urchin-making', 'making-does'],
  ['a coat', () => '/bench', 'recoat-lamp-former', ['recoat-lamp-former'], 'coat-zone'],
  ['a record refused', () => '/shelves/glasses/new', 'save-record', ['save-record'], 'record-name-error'],
];

describe.each([
  ['390 × 844', PHONE, 'light'],
  ['1280 × 800', WIDE, 'dark'],
] as const)('at %s, %#', (_, size, theme) => {
  let me: Visitor;
  let at: Awaited<ReturnType<typeof addresses>>;
  beforeAll(async () => {
    me = await Visitor.open(here.browser, size, theme);
    at = await addresses();
  });
  afterAll(() => me.page.close());

  test.each(VIEWS)(`${theme}: %s`, async (view, path, shown, pressed = [], then = shown) => {
    await me.page.goto(studio.address + path(at));
    await me.find(shown);
    for (const testId of pressed) await me.press(testId);
    await me.find(then);
    await me.expectSound(view, { withAxe: true });
    const read = await me.page.evaluate(() => document.body.innerText);
    expect(read.split('\n').flatMap((line) => wordNotUsed(line) ?? [])).toEqual([]);
    if (size !== PHONE || !(view in CALM)) return;
    const { height, words, controls } = await me.calm();
    const most = CALM[view];
    expect({ view, ...most, height: Math.max(height, most.height), words: Math.max(words, most.words), controls: Math.max(controls, most.controls) }).toEqual({
      view,
      ...most,
    });
  });
});
