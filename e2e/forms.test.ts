/** Moulds, formers and dams by touch: written down, drawn, chosen for a firing, and what the page says of the blank in them. */
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import type { Entry } from '@torvin/schema';
import { Maker } from './maker';
import { setting } from './setting';
import { putForm } from './states';
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

const form = (name: string, typed: Entry): Promise<string> => putForm(studio.address, name, typed);

const ADDED = '[data-testid^="record-"]';

/** The id of the row that begins with a name, once it has come onto the shelf. */
async function onShelf(name: string): Promise<string> {
  for (let tries = 0; tries < 300; tries += 1) {
    const rows = await me.ofAll(ADDED, (nodes) => nodes.map((node) => ({ id: node.dataset.testid ?? '', text: node.innerText })));
    const row = rows.find(({ text }) => text.startsWith(name));
    if (row) return row.id.slice('record-'.length);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`No form '${name}' came onto the shelf.`);
}

async function planIn(look: string, formId: string): Promise<void> {
  await me.press('journey-add');
  await me.press('add-fire');
  await me.chooseLook(look);
  await me.press(`form-${formId}`);
  await me.find('in-form');
}

/** All sentences of one kind on the page. */
const said = async (testId: string): Promise<string> => (await me.ofAll(`[data-testid="${testId}"]`, (nodes) => nodes.map((node) => node.innerText))).join(' ');

async function until(read: () => Promise<string>, wanted: RegExp): Promise<void> {
  for (let tries = 0; tries < 100 && !wanted.test(await read()); tries += 1) await new Promise((resolve) => setTimeout(resolve, 100));
  expect(await read()).toMatch(wanted);
}

test('a mould is written down, its nonsense refused at its measure; a blank too big is seen, cut and fired', async () => {
  await me.page.goto(`${studio.address}/shelves?shelf=forms`);
  await me.press('new-record');
  await me.type('record-name', 'Shore dish');
  await me.type('figure-across_m', '200');
  await me.type('figure-deep_m', '30');
  await me.type('figure-floor_m', '220');
  await me.press('save-record');
  await me.sees('figure-floor_m-error', /The floor is wider than the rim: glass would not come out/);
  await me.expectSound('a mould refused');
  await me.type('figure-floor_m', '120');
  await me.sees('form-lets-go', /It will fall out: 0\.2 mm of room/);
  // A frustum: π·30·(100² + 100·60 + 60²)/3 mm³.
  await me.sees('form-holds', /616 cm³/);
  await me.sees('form-drawing', /200 mm/);
  // Half-way up it is 160 across: π·15·(60² + 60·80 + 80²)/3 mm³.
  await me.type('filled-to', '15');
  await me.sees('filled-takes', /^232 cm³, 58\d g of glass$/);
  await me.type('filled-to', '31');
  await me.sees('filled-to-error', /It runs over: the rim is 30 mm over the floor/);
  await me.expectSound('a mould');
  await me.press('save-record');
  const id = await onShelf('Shore dish');

  await maker.begin('Shore dish, clear', { diameter: '240' }, 'clear-90');
  await planIn('slump', id);
  await until(
    () => said('form-warning'),
    /The blank is too big: its edge would come 13\.3 mm over the rim on each side and hook there\. Cut to 213 mm it ends at the rim/,
  );
  await me.expectSound('a blank too big for its mould');
  await me.press('cut-to-form');
  await until(() => said('form-note'), /The blank ends at the rim/);
  expect(await me.has('form-warning')).toBe(false);
  await me.press('compute');
  await maker.fired();
  await me.page.goto(maker.address);
  await me.press('journey-1');
  await me.sees('in-form', /200 mm/);
  expect(await me.of('main, [role="main"]', (node) => node.innerText)).toMatch(/in a mould, Shore dish/);
  await me.press('open-run');
  await me.find('run-row-0');
  const { doc } = await (await fetch(`${studio.address}/api/pieces/${maker.address.split('/').at(-1)}`)).json();
  const step = doc.journey.find(({ kind }: { kind: string }) => kind === 'fire');
  expect(step.setup).toMatchObject({ kind: 'inMould', form: { id, name: 'Shore dish' } });
  expect(doc.footprint.diameter_m).toBeLessThan(0.22);
  await me.page.goto(`${maker.address}/record?step=${step.id}`);
  await me.press('result-right');
  me.expectedStatuses.add(422);
  await me.press('save-firing');
  await me.type('record-knownBy', 'fired before it was written down');
  await me.keepFiring();
  await me.find('firing-record');
  await me.reads('Shore dish, clear');
  expect(me.troubles).toEqual([]);
});

test('a ring dam from the shelf: its liner once, filled by the mass of its scrap, and the firing stands in it', async () => {
  await maker.begin('Scrap roundel', { diameter: '100' }, 'clear-90');
  await me.press('open-reckon');
  await me.press('reckon-tab-fill');
  await me.press('fold-reckon-shelf');
  await me.press('reckon-mould-ring-dam');
  await me.type('reckon-mass', '600');
  // Inside 160: π·80² mm² = 201 cm²; 240 cm³ over that.
  await until(() => me.text('reckon-answer'), /stands deep 11\.9 mm/);
  await me.press('reckon-put');
  await me.page.waitForFunction(() => document.body.innerText.includes('disc of 160 mm, dammed'));
  await planIn('slabFlow', 'ring-dam');
  await until(() => said('form-note'), /Inside it is 160 mm, its liner of 3 mm taken off once on each side\. Each 1 mm of depth takes 50 g of glass/);
  expect(await me.has('form-warning')).toBe(false);
  await me.sees('lets-go', /It will fall out/);
  // Its glass lies on the shelf, whose coat is told with it.
  await me.press('shelf-under-low-shelf');
  await until(() => said('in-form-coat'), /Shelf primer on Shelf of the low kiln: One firing since, none over \d+ °C; Shelf primer lasts 5 firings/);
  await me.expectSound('a ring dam on the shelf of a kiln');
  await me.press('compute');
  await maker.fired();
  const { doc } = await (await fetch(`${studio.address}/api/pieces/${maker.address.split('/').at(-1)}`)).json();
  expect(doc.journey.at(-1).setup).toMatchObject({ form: { id: 'ring-dam' }, shelf: { id: 'low-shelf', shape: { thick_m: 0.016 } } });
  expect(me.troubles).toEqual([]);
});

test('a drape that will grip its former lets go on paper; the edge comes down as far as it is told', async () => {
  const id = await form('Clay drum', { use: 'former', material: 'cordierite', across_m: '120', deep_m: '110' });
  await maker.begin('Draped disc', { diameter: '300' }, 'clear-90');
  await planIn('drape', id);
  await me.sees('lets-go', /It will grip: 0\.3 mm too tight\..*Fibre paper of 0\.5 mm on every side gives as much/);
  await until(
    () => said('form-warning'),
    /60 % of its rim are more than goes round the former: a round skirt folds, in two lobes when it comes down slowly, in more when it is hotter/,
  );
  await until(() => said('form-note'), /stands out 90 mm on each side; hanging, its edge is 22.4 mm clear of the shelf/);
  await me.press('under-paper');
  await me.sees('lets-go', /It will lift off: 0\.7 mm of room/);
  await me.type('shape-comesDown', '5 cm');
  await until(() => said('form-note'), /its edge is 60 mm clear of the shelf/);
  await me.expectSound('a drape over a former of the shelf');
  await me.press('compute');
  await maker.fired();
  const { doc } = await (await fetch(`${studio.address}/api/pieces/${maker.address.split('/').at(-1)}`)).json();
  const { scheduleId } = doc.journey.find(({ kind }: { kind: string }) => kind === 'fire');
  const { snapshot } = await (await fetch(`${studio.address}/api/schedules/${scheduleId}`)).json();
  expect(snapshot.firing.setup.shaping).toMatchObject({ kind: 'former', overhang_m: 0.09, drop_m: 0.05, former_m: 0.12 });
  expect(snapshot.firing.setup.form).toMatchObject({ material: 'cordierite', deep_m: 0.11 });
  expect(me.troubles).toEqual([]);
});

test('a fluted mould takes a blank in as many lobes', async () => {
  const id = await form('Shell', { plan: 'lobed', across_m: '280', along_m: '230', lobes: '5', deep_m: '45', floor_m: '110' });
  await maker.begin('Shell bowl', { diameter: '200' }, 'clear-90');
  await me.press('open-reckon');
  await me.press('reckon-tab-blank');
  await me.press('fold-reckon-shelf');
  await me.press(`reckon-mould-${id}`);
  await until(() => me.text('reckon-answer'), /blank, over lobes × between 29\d × 2[45]\d mm/);
  await me.press('reckon-put');
  await me.page.waitForFunction(() => !document.querySelector('[data-testid="reckon-answer"]') || document.body.innerText.includes('corners'));
  const saved = async () => (await (await fetch(`${studio.address}/api/pieces/${maker.address.split('/').at(-1)}`)).json()).doc;
  for (let tries = 0; tries < 100 && (await saved()).footprint.shape !== 'polygon'; tries += 1) await new Promise((resolve) => setTimeout(resolve, 100));
  const doc = await saved();
  expect(doc.footprint.shape).toBe('polygon');
  expect(doc.journey.find(({ kind }: { kind: string }) => kind === 'fire')).toMatchObject({
    look: 'slump',
    setup: { kind: 'inMould', form: { id, name: 'Shell' } },
  });
  await me.page.goto(maker.address);
  await me.press('journey-1');
  await me.find('in-form');
  await until(() => said('form-note'), /The blank ends at the rim/);
  expect(me.troubles).toEqual([]);
});

test('a firing by typed measures of before opens as one by its measures', async () => {
  await me.goToPiece('Tideline bowl', studio.address);
  const journey = await me.ofAll('[data-testid^="journey-"]', (nodes) => nodes.map((node) => node.dataset.testid ?? ''));
  await me.press(journey.filter((one) => /journey-\d/.test(one)).at(-1) ?? '');
  await me.press('change-step');
  await me.find('form-none');
  expect(await me.of('[data-testid="form-none"]', (node) => node.getAttribute('aria-checked'))).toBe('true');
  expect(await me.of('[data-testid="shape-span"]', (node) => (node as unknown as HTMLInputElement).value)).toBe('220 mm');
  expect(await me.of('[data-testid="shape-depth"]', (node) => (node as unknown as HTMLInputElement).value)).toBe('45 mm');
  expect(me.troubles).toEqual([]);
});

test('a former is recoated after the Bench has asked for it; the step in it says so until then', async () => {
  await me.page.goto(`${studio.address}/bench`);
  await me.sees('recoat-lamp-former', /Lamp former, edges\s*It is scratched or bare: recoat before glass lies on it/);
  await me.expectSound('a Bench that asks for a coat');
  await me.goToPiece('Lamp panel, left', studio.address);
  await me.press('journey-2');
  await me.sees('in-form-coat', /Mould nitride on edges: It is scratched or bare/);
  await me.page.goto(`${studio.address}/bench`);
  await me.press('recoat-lamp-former');
  expect(await me.of('[data-testid="coat-zone"]', (node) => (node as unknown as HTMLInputElement).value)).toBe('edges');
  expect(await me.of('[data-testid="coat-release-mould-nitride"]', (node) => node.getAttribute('aria-checked'))).toBe('true');
  await me.type('figure-coats', '3');
  await me.expectSound('a coat told');
  await me.press('save-record');
  await me.find('bench-kiln');
  await me.gone('recoat-lamp-former');
  await me.page.goto(`${studio.address}/shelves/forms/lamp-former`);
  await me.sees('form-coat', /Mould nitride, 3 coats crossed, on edges.*Not fired since; Mould nitride lasts 8 firings/);
  await me.page.goto(`${studio.address}/shelves/releases/mould-nitride`);
  await me.sees('release-used', /^6 coats in one place, 0\.\d\d m² of coat in all/);
  await me.press('release-empty');
  expect(await me.of('[data-testid="figure-yields"]', (node) => (node as unknown as HTMLInputElement).value)).toBe('6');
  await me.page.goto(`${studio.address}/shelves/forms/tray-small`);
  await me.sees('form-coat', /One firing since, none over \d+ °C; Mould primer lasts 4 firings, 12 below 700 °C/);
  await me.press('plan-drying');
  await me.find('plan-bar');
  await me.reads('Drying of Tray mould, small');
  await me.press('compute');
  await me.find('run-row-0');
  await me.page.goto(`${studio.address}/shelves/forms/tray-small`);
  await me.press('form-firings');
  await me.sees('notebook-count', /^1 firing found$/);
  await me.sees('filter-form-tray-small', /in Tray mould, small/);
  expect(me.troubles).toEqual([]);
});

test('a piece that is stuck on its former is told so, and warmed upside down until it comes free', async () => {
  const id = await form('Tile drum', { use: 'former', material: 'cordierite', across_m: '120', deep_m: '60' });
  await me.page.goto(`${studio.address}/shelves/forms/${id}`);
  await me.sees('try-clear', /Try it with a clear blank/);
  await me.press('try-clear');
  await me.find('plan-bar');
  await me.reads('Clear trial, Tile drum');
  await until(() => said('form-note'), /hanging, its edge is 5 mm clear of the shelf/);
  maker.address = me.page.url().split('/fire?')[0];
  await me.press('compute');
  await me.find('run-row-0');
  const { doc } = await (await fetch(`${studio.address}/api/pieces/${maker.address.split('/').at(-1)}`)).json();
  const step = doc.journey.find(({ kind }: { kind: string }) => kind === 'fire');
  await me.page.goto(`${maker.address}/record?step=${step.id}`);
  expect(await me.has('released')).toBe(false);
  await me.press('result-right');
  await me.press('released-stuck');
  await me.sees('rescue', /Never use cold\. The glass has shrunk 0\.\d mm more than the former.*face shield/s);
  await me.expectSound('a firing told whose piece is stuck');
  me.expectedStatuses.add(422);
  await me.press('save-firing');
  await me.type('record-knownBy', 'fired before it was written down');
  await me.keepFiring();
  await me.sees('firing-released', /^Stuck, Tile drum\.$/);
  await me.press('free-it');
  await me.press('plan-rescue');
  await me.find('plan-bar');
  await me.find('turned-form');
  await me.sees('rescue', /from about 497 °C on.*room below/s);
  await me.expectSound('the firing that frees it');
  await me.press('compute');
  await me.find('run-row-0');
  const freed = (await (await fetch(`${studio.address}/api/pieces/${maker.address.split('/').at(-1)}`)).json()).doc.journey.at(-1);
  expect(freed).toMatchObject({ look: 'loosen', setup: { kind: 'onPosts', form: { id, name: 'Tile drum' } } });
  const { result } = await (await fetch(`${studio.address}/api/schedules/${freed.scheduleId}`)).json();
  expect(result.simulation.total_s).toBeGreaterThan(3600);
  await me.page.goto(`${studio.address}/shelves/forms/${id}`);
  await me.sees('form-released', /^The one recorded stuck\.$/);
  await me.sees('form-pieces', /Clear trial, Tile drum.*stuck/s);
  expect(me.troubles).toEqual([]);
});

test('an investment from its wax to divested, with its waits, on the Bench meanwhile', async () => {
  const id = await form('Seal cast', {
    ...{ use: 'cavity', material: 'plasterSilica', across_m: '100', floor_m: '100', deep_m: '40' },
    ...{ thick_m: '25', thickest_m: '40', thinnest_m: '40' },
  });
  await me.page.goto(`${studio.address}/shelves/forms/${id}`);
  await me.press('make-form');
  expect(await me.of(`[data-testid="making-form-${id}"]`, (node) => node.getAttribute('aria-checked'))).toBe('true');
  await me.setCalendar('making-bag', '2026-01-31');
  await me.press('save-record');
  await me.press('form-making');
  await me.sees('making-does', /about 292 g of wax by its measures/);
  await me.expectSound('a mould in the making');
  const step = async (when: string, mass?: string): Promise<void> => {
    if (mass !== undefined) await me.type('making-mass', mass);
    await me.setCalendar('making-when', when);
    await me.press('making-tell');
  };
  const next = (title: RegExp): Promise<string> => me.sees('making-next', title);
  await step('2040-01-01T10:00');
  await me.sees('making-when-error', /still to come/);
  await step('2026-02-02T09:00', '300');
  await next(/^Invested/);
  await me.sees('making-old', /good until 31 Jan 2026/);
  await me.sees('making-does', /25 mm of wall all round.*of plaster, .* of silica, .* of water/);
  // Told out of its turn, a step is done, and the panel goes on with the one after it.
  await me.press('making-ahead');
  await next(/^Wax out/);
  await step('2026-02-02T09:30', '260');
  await next(/^Drying/);
  await me.press('making-back');
  await next(/^Invested/);
  await step('2026-02-02T10:00');
  await next(/^Wax out.*Steam scalds/s);
  await step('2026-02-02T13:00', '260');
  await me.sees('wax-left', /^40 g of wax are in it yet/);
  await next(/^Drying/);
  await me.press('making-tell');
  await me.sees('making-mass-error', /enter a figure/);
  await step('2026-02-02T15:00', '1400');
  await me.sees('making-drying', /^Still to leave: \d+ g of water/);
  await step('2026-02-04T15:00', '1200');
  await me.sees('making-drying', /It lost 14\.3 % in 2 d 0 h/);
  await me.sees('making-dry-at', /^At this pace it is dry about \w+ \d+ Feb/);
  await me.page.goto(`${studio.address}/bench`);
  await me.sees('bench-due', /Seal cast: drying.*Still to leave: \d+ g of water/);
  await me.expectSound('a Bench with a mould in the making');
  await me.page.goto(`${studio.address}/shelves/forms/${id}`);
  await me.press('form-making');
  // Just now it is weighed once more, and waits for tomorrow.
  const now = await me.of('[data-testid="making-when"]', (node) => (node as unknown as HTMLInputElement).value);
  await step(now, '1100');
  await me.sees('making-waits', /^Weigh it again from \w+ \d+ \w+, \d\d:\d\d on\.$/);
  await me.press('making-back');
  await me.sees('making-drying', /It lost 14\.3 %/);
  await step('2026-02-14T15:00', '880');
  await next(/^Burnt out/);
  await me.press('making-fire');
  await me.find('plan-bar');
  await me.reads('Burnt out, Seal cast');
  await me.page.goto(`${studio.address}/shelves/forms/${id}`);
  await me.press('form-making');
  await step('2026-02-15T15:00');
  await next(/^Glass cast in it/);
  await step('2026-02-18T15:00');
  await next(/^Divested.*respirator.*Vinegar is mild/s);
  await step('2026-02-21T10:00');
  await me.sees('making-done', /All of it is done/);
  await me.page.goto(`${studio.address}/bench`);
  await me.find('bench-kiln');
  // That of the demo dries on.
  expect(await me.text('bench-due')).toMatch(/Sea urchin, to cast/);
  expect(await me.text('bench-due')).not.toMatch(/Seal cast/);
  expect(me.troubles).toEqual([]);
});

test('a picture of a mould is kept while the server is silent, and stands on its row and its page once it answers', async () => {
  const picture = join(mkdtempSync(join(tmpdir(), 'torvin-forms-')), 'dish.png');
  await sharp({ create: { width: 300, height: 200, channels: 3, background: '#a86' } })
    .png()
    .toFile(picture);
  const id = await form('Pictured dish', { across_m: '200', deep_m: '30', floor_m: '120' });
  // The stream of changes alone stays open: all of the page has been read.
  await me.page.goto(`${studio.address}/shelves/forms/${id}`, { waitUntil: 'networkidle2' });
  const input = (await me.page.waitForSelector('[data-testid="add-photo-input"]')) as unknown as { uploadFile(path: string): Promise<void> };
  await studio.away(async () => {
    // Before it is known that nobody answers, the picture would be sent in vain first.
    await me.sees('connection', /^offline/);
    await input.uploadFile(picture);
    await me.sees('photos-wait', /^1 picture is kept in this browser/);
    await me.press('photo-0');
    await me.page.waitForFunction(() => document.querySelector<HTMLImageElement>('img[alt="Pictured dish, large"]')?.naturalWidth === 300);
    await me.expectSound('a picture of a mould that has not gone yet');
    await me.press('save-record');
    await me.sees('held', /kept here and sent/);
    await me.sees('connection', /^offline · 2 wait$/);
  });
  await me.page.goto(`${studio.address}/shelves?shelf=forms`);
  await me.gone('connection');
  await me.page.waitForFunction(() => document.querySelector<HTMLImageElement>('img[alt="Picture of Pictured dish"]')?.naturalWidth === 300);
  await me.expectSound('a row with a picture');
  const kept = async (): Promise<{ photos?: string[] }> =>
    (await (await fetch(`${studio.address}/api/shelves`)).json()).forms.find((one: { id: string }) => one.id === id);
  expect((await kept()).photos).toEqual([expect.stringMatching(/^[0-9a-f]{64}$/)]);
  await me.press(`record-${id}`);
  await me.press('photo-remove-0');
  await me.press('save-record');
  await onShelf('Pictured dish');
  expect((await kept()).photos).toBeUndefined();
});

test('a former is written down by its points, held to what is told besides, and its blank is as long as the way over it', async () => {
  await me.page.goto(`${studio.address}/shelves/forms/new`);
  await me.type('record-name', 'Round-topped former');
  await me.press('form-use-former');
  await me.type('figure-across_m', '120');
  await me.type('figure-deep_m', '100');
  await me.type('figure-floor_m', '160');
  await me.press('fold-shape');
  await me.type('form-points', '0:100; 40:92; 60:82; 80:0');
  await me.press('save-record');
  await me.gone('form-points-error');
  const id = await onShelf('Round-topped former');
  await me.press(`record-${id}`);
  // 40.8 + 22.4 + 79.3 mm to each side, where it ends 5 mm over the shelf, and 8 mm for the bend.
  await me.sees('form-largest', /293/);
  await me.expectSound('a former by its points');
  await me.type('figure-across_m', '80');
  await me.press('save-record');
  await me.sees('figure-across_m-error', /is across 120 mm \(4\.72 in\): write that, or measure again/);
});

test('two tabs on one mould: each keeps what the other wrote elsewhere on it, and asks where both wrote the same', async () => {
  const id = await form('Shared dish', { across_m: '200', deep_m: '30', floor_m: '120' });
  const other = await Visitor.open(here.browser, PHONE);
  for (const one of [me, other]) {
    await one.page.goto(`${studio.address}/shelves/forms/${id}`);
    await one.find('form-drawing');
  }
  const kept = async () => (await (await fetch(`${studio.address}/api/forms/${id}`)).json()) as { version: number; note: string; mark?: string };
  const version = async (wanted: number): Promise<void> => until(async () => String((await kept()).version), new RegExp(`^${wanted}$`));
  await other.type('form-note', 'thrown thin');
  await other.press('save-record');
  await version(2);
  // What was read of it in this tab is read anew beneath the form.
  await new Promise((resolve) => setTimeout(resolve, 2000));
  await me.type('form-mark', 'dot to the door');
  me.expectedStatuses.add(409);
  await me.press('save-record');
  if (await me.has('keep-mine')) await me.press('keep-mine');
  await version(3);
  expect(await kept()).toMatchObject({ note: 'thrown thin', mark: 'dot to the door' });

  for (const one of [me, other]) {
    await one.page.goto(`${studio.address}/shelves/forms/${id}`);
    await one.find('form-drawing');
  }
  await other.type('form-note', 'thrown very thin');
  await other.press('save-record');
  await version(4);
  await new Promise((resolve) => setTimeout(resolve, 2000));
  await me.type('form-note', 'thrown thick');
  await me.press('save-record');
  await me.find('keep-mine');
  expect((await kept()).note).toBe('thrown very thin');
  await me.press('keep-mine');
  await version(5);
  expect(await kept()).toMatchObject({ note: 'thrown thick', mark: 'dot to the door' });
  await other.leave();
});
