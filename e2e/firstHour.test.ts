/** A person's first hour, in °F and inches, by touch: from an empty studio to a first firing that is keyed in; and what is left is taken up again. */
import type { Shelves, Studio } from '@torvin/schema';
import { setting } from './setting';
import { PHONE, Visitor } from './visitor';

const here = setting({ TORVIN_START: 'own' });
const { studio } = here;

const TAPS_AT_MOST = 40;
const TYPED_AT_MOST = 10;

const read = async <T>(path: string): Promise<T> => (await (await fetch(`${studio.address}/api/${path}`)).json()) as T;

test('left half-way it is taken up again where it was, and nothing is asked twice', async () => {
  const me = await Visitor.open(here.browser, PHONE);
  await me.page.goto(studio.address);
  await me.sees('start-at', /^Question 1 of 6$/);
  await me.expectSound('the first question');
  await me.press('start-inches');
  await me.find('ask-kiln');
  await me.press('start-later');
  await me.sees('bench-next', /Go on setting up/);
  await me.page.goto(studio.address);
  // Begun once, the studio opens as it always will.
  await me.press('go-on');
  await me.sees('start-at', /^Question 2 of 6$/);
  // What cannot be read is said at its field, and nothing is lost.
  await me.type('start-top_C', 'warm');
  await me.type('start-insideWidth_m', '16');
  await me.press('start-next');
  await me.reads("'warm'");
  await me.press('start-back');
  await me.sees('start-at', /^Question 1 of 6$/);
  await me.press('start-not-sure');
  await me.sees('start-at', /^Question 2 of 6$/);
  await me.press('start-later');
  await me.leave();
});

test('from the first question to a firing that is keyed in, in few touches', async () => {
  await fetch(`${studio.address}/api/studio`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ ...(await read<Studio>('studio')), firstDay: { answered: [], familyId: null, schedule: '', done: false } }),
  });
  const me = await Visitor.open(here.browser, PHONE);
  let [taps, typed] = [0, 0];
  const tap = async (testId: string): Promise<void> => {
    await me.press(testId);
    taps += 1;
  };
  const type = async (testId: string, words: string): Promise<void> => {
    await me.type(testId, words);
    typed += 1;
  };
  // Opened anew it stands at its questions; '/' led there in the test above.
  await me.page.goto(`${studio.address}/start`);
  await me.find('ask-units');
  await tap('start-inches');
  await me.find('ask-kiln');
  await tap('start-elements-sides');
  await type('start-top_C', '1700');
  await type('start-insideWidth_m', '16');
  await type('start-insideLength_m', '14 1/2');
  await tap('start-next');
  await me.find('ask-controller');
  await tap('start-shows-F');
  await type('start-mostSegments', '9');
  await tap('start-next');
  await me.find('ask-glass');
  await tap('start-soft-96');
  await me.find('ask-schedule');
  await tap('start-none');
  await me.find('ask-shelf');
  await tap('start-not-sure');
  await me.sees('start-caution', /Brush on primer in thin coats/);
  await me.expectSound('the caution of a bare shelf');
  await tap('start-understood');
  await me.sees('first-piece-offer', /Your first piece/);
  await tap('make-tile');
  await me.sees('plan-hours', /h/);
  await tap('compute');
  await me.sees('schedule-state', /^as calculated$/);
  await tap('open-key-in');
  const rows = await me.ofAll('[data-testid^="key-in-"]', (found) => found.map((row) => row.dataset.testid as string).filter((id) => /^key-in-\d+$/.test(id)));
  expect(rows.length).toBeGreaterThan(3);
  for (const row of rows) await tap(row);
  await me.reads('All keyed');
  await me.settled();
  expect({ taps, typed, few: taps <= TAPS_AT_MOST && typed <= TYPED_AT_MOST }).toMatchObject({ few: true });
  // What was said has arrived where it is used.
  const { kilns, controllers, glasses } = await read<Shelves>('shelves');
  expect(kilns[0]).toMatchObject({ insideWidth_m: expect.closeTo(0.4064, 6), insideLength_m: expect.closeTo(0.3683, 6), acrossLag_s_per_300mm: 144 });
  expect(kilns[0].top_C).toBeCloseTo((1700 - 32) / 1.8, 6);
  expect(controllers[0]).toMatchObject({ unit: 'F', mostSegments: 9 });
  const { pieces } = await read<{ pieces: { id: string }[] }>('pieces');
  const { doc } = await read<{ doc: { footprint: object; journey: { layers?: { glassId: string }[] }[] } }>(`pieces/${pieces[0].id}`);
  expect(doc.footprint).toEqual({ shape: 'rectangle', width_m: 4 * 0.0254, length_m: 4 * 0.0254 });
  const families = doc.journey[0].layers?.map(({ glassId }) => glasses.find(({ id }) => id === glassId)?.familyId);
  expect(families).toEqual(['soft-96', 'soft-96']);
  // A new piece begins with the same glass, and the studio no longer with its questions.
  await me.page.goto(studio.address);
  await me.heading(/^Bench$/);
  await me.page.goto(`${studio.address}/pieces/new`);
  await me.find('save-piece');
  await me.leave();
});

test('a schedule that works already is offered at the first firing', async () => {
  await fetch(`${studio.address}/api/studio`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({
      ...(await read<Studio>('studio')),
      firstDay: { answered: ['units', 'kiln', 'controller', 'glass'], familyId: null, schedule: '', done: false },
    }),
  });
  const me = await Visitor.open(here.browser, PHONE);
  await me.page.goto(`${studio.address}/start`);
  await me.find('ask-schedule');
  await me.type('start-schedule', '300 1250 30\n600 1460 10\n9999 960 60\n150 700 0');
  await me.press('start-keep');
  await me.press('start-yes');
  await me.press('make-tile');
  await me.press('given-schedule');
  await me.find('paper-paste');
  await me.press('paper-take');
  await me.sees('paper-rows', /./);
  expect((await read<Studio>('studio')).firstDay?.schedule).toBe('');
  await me.leave();
});
