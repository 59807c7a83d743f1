/** What is saved is never lost, nor in the way of itself: offline, in two tabs, without room, when a tab is closed at once. */
import { firingsOf, laidLayers } from '@torvin/core/piece';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { v7 as uuid } from 'uuid';
import type { Firing, Piece } from '@torvin/schema';
import { wholePieces } from './server';
import { setting } from './setting';
import { PHONE, Visitor } from './visitor';

const here = setting();
const { studio } = here;

async function open(path: string): Promise<Visitor> {
  const visitor = await Visitor.open(here.browser, PHONE);
  visitor.expectedStatuses.add(409);
  await visitor.page.goto(`${studio.address}${path}`);
  return visitor;
}

async function openPiece(name: string): Promise<Visitor> {
  const visitor = await Visitor.open(here.browser, PHONE);
  visitor.expectedStatuses.add(409);
  await visitor.goToPiece(name, studio.address);
  await visitor.sees('figure-depth', /mm/);
  return visitor;
}

const ask = async <T>(path: string): Promise<T> => (await (await fetch(`${studio.address}/api/${path}`)).json()) as T;
const standing = async (name: string): Promise<Piece | undefined> => (await wholePieces(studio.address)).find((one) => one.name === name);
const saved = async (name: string): Promise<Piece> => {
  const piece = await standing(name);
  if (!piece) throw new Error(`There is no piece ${name}.`);
  return piece;
};

/** The piece once it has been saved so often; one that was begun without the server may not be there at first. */
async function savedAt(name: string, version: number): Promise<Piece> {
  const patience = Date.now() + 60_000;
  while (((await standing(name))?.version ?? 0) < version && Date.now() < patience) await new Promise((resolve) => setTimeout(resolve, 50));
  return saved(name);
}

async function setWork(me: Visitor, typed: string): Promise<void> {
  await me.press('run-row-2');
  await me.type('step-target', typed);
  await me.page.keyboard.press('Enter');
}

describe('while the server is away', () => {
  test('a schedule changed by hand and set back to the calculated one is no conflict with oneself', async () => {
    const me = await openPiece('Sundial disc');
    await me.press('open-run');
    await me.sees('schedule-state', /^as calculated$/);
    const before = await saved('Sundial disc');
    const computed = await me.of('[data-testid="bead-2"]', (node) => Number(node.getAttribute('aria-valuenow')));
    await studio.away(async () => {
      await setWork(me, '799');
      await me.sees('schedule-state', /^changed by hand/);
      await me.sees('connection', /^offline · 1 waits$/);
      await me.press('back-to-computed');
      await me.sees('schedule-state', /^as calculated$/);
      await me.sees('connection', /^offline · 2 wait$/);
      await me.beadAt(2, computed);
    });
    await me.gone('connection');
    await me.sees('schedule-state', /^as calculated$/);
    expect(await me.has('stale-choice')).toBe(false);
    const after = await savedAt('Sundial disc', before.version + 2);
    expect(after.version).toBe(before.version + 2);
    expect(firingsOf(after.doc)).toEqual(firingsOf(before.doc));
    await me.page.close();
  });

  test('a new glass and a new piece of it are on their lists and worked on, and saved in their order', async () => {
    const me = await openPiece('Plaque no. 14');
    await studio.away(async () => {
      await me.page.click('[aria-label="Places"] a[href="/shelves"]');
      await me.press('new-record');
      await me.type('record-name', 'Gorse');
      await me.press('glass-family-soft-90');
      await me.press('save-record');
      await me.find('held');
      await me.page.goBack();
      await me.reads('Gorse');
      await me.page.click('[aria-label="Places"] a[href="/pieces"]');
      await me.press('new-piece');
      await me.type('field-name', 'Begun in the shed');
      await me.type('field-width', '200');
      await me.type('field-length', '150');
      const gorse = await me.ofAll(
        '[data-testid^="glass-"]',
        (nodes) => nodes.find((node) => node.innerText.includes('Gorse'))?.getAttribute('data-testid') ?? '',
      );
      await me.press(gorse);
      await me.press('save-piece');
      // Its page is there at once.
      await me.heading(/Begun in the shed/);
      await me.press('layer-row-0');
      await me.press('layer-depth-more');
      await me.type('layer-depth', '5');
      await me.page.keyboard.press('Enter');
      await me.press('close-layer-sheet');
      await me.sees('connection', /^offline · (as of [^·]+ · )?3 wait$/);
      expect(await me.inspect()).toEqual({ overflow: [], overlaps: [], smallTargets: [], accessibility: [] });
    });
    await me.gone('connection');
    await me.heading(/Begun in the shed/);
    const after = await savedAt('Begun in the shed', 2);
    const glasses = await ask<{ id: string; name: string; version: number }[]>('glasses');
    const [gorse] = glasses.filter(({ name }) => name === 'Gorse');
    expect(gorse.version).toBe(1);
    expect(after).toMatchObject({ version: 2, doc: { journey: [{ layers: [{ glassId: gorse.id, thickness_m: 0.005 }] }] } });
    expect((await wholePieces(studio.address)).filter(({ name }) => name === after.name)).toHaveLength(1);
    await me.page.close();
  });

  test('a firing that is planned is seen with its schedule, and outlives the tab', async () => {
    const me = await openPiece('Plaque no. 14');
    const before = await saved('Plaque no. 14');
    await me.press('journey-add');
    await me.press('add-fire');
    await me.find('plan-bar');
    await studio.away(async () => {
      await me.chooseLook('tack');
      await me.press('compute');
      await me.heading(/^Tack fuse$/);
      await me.sees('schedule-state', /^as calculated$/);
      await me.sees('connection', /^offline · 2 wait$/);
      expect(await me.inspect()).toEqual({ overflow: [], overlaps: [], smallTargets: [], accessibility: [] });
      await me.page.goto('about:blank');
    });
    await me.goToPiece('Plaque no. 14', studio.address);
    await me.gone('connection');
    await me.lookAtFiring(1);
    await me.press('open-run');
    await me.heading(/^Tack fuse$/);
    await me.sees('schedule-state', /^as calculated$/);
    const after = await saved('Plaque no. 14');
    expect(firingsOf(after.doc).map(({ look }) => look)).toEqual([...firingsOf(before.doc).map(({ look }) => look), 'tack']);
    expect(firingsOf(after.doc).at(-1)?.scheduleId).not.toBeNull();
    expect(me.troubles.filter((trouble) => !/REFUSED|ERR_/.test(trouble))).toEqual([]);
    await me.page.close();
  });

  test('a picture is kept and goes before the firing that shows it', async () => {
    const picture = join(mkdtempSync(join(tmpdir(), 'torvin-outbox-')), 'tile.png');
    await sharp({ create: { width: 300, height: 200, channels: 3, background: '#86a' } })
      .png()
      .toFile(picture);
    const me = await openPiece('Tray, smallest of three');
    await me.press('open-run');
    await me.press('open-record');
    await me.find('record-note');
    await me.setTime('record-when', new Date(Date.now() - 150 * 3600e3));
    await me.press('result-right');
    await me.type('record-note', 'with a picture');
    const input = (await me.page.waitForSelector('[data-testid="add-photo-input"]')) as unknown as { uploadFile(path: string): Promise<void> };
    await studio.away(async () => {
      await input.uploadFile(picture);
      await me.sees('photos-wait', /^1 picture is kept in this browser/);
      await me.page.waitForFunction(() => document.querySelector<HTMLImageElement>('img[alt="Picture 1 of this firing"]')?.naturalWidth === 300);
      expect(await me.inspect()).toEqual({ overflow: [], overlaps: [], smallTargets: [], accessibility: [] });
      await me.press('save-firing');
      await me.sees('held', /kept here and sent/);
      await me.sees('connection', /^offline · 2 wait$/);
      // Its bytes too outlive the page.
      await me.page.goto('about:blank');
    });
    await me.page.goto(`${studio.address}/notebook`);
    await me.gone('connection');
    await me.reads('with a picture');
    const { firings } = await ask<{ firings: Firing[] }>('firings?text=with%20a%20picture');
    expect(firings).toMatchObject([{ note: 'with a picture', photos: [expect.stringMatching(/^[0-9a-f]{64}$/)] }]);
    await me.page.close();
  });

  test('a browser without room says that nothing is kept, and warns before the page is left', async () => {
    const me = await openPiece('Bird-bath basin');
    await me.press('journey-0');
    await me.page.evaluate(() => {
      Storage.prototype.setItem = () => {
        throw new DOMException('full', 'QuotaExceededError');
      };
    });
    await studio.away(async () => {
      await me.press('layer-row-1');
      await me.press('layer-depth-more');
      await me.sees('connection', /^offline · 1 waits, not kept$/);
      await me.press('connection');
      await me.sees('not-kept', /leave the page open until the server answers/);
      expect(await me.inspect()).toEqual({ overflow: [], overlaps: [], smallTargets: [], accessibility: [] });
      const asked = new Promise<string>((resolve) =>
        me.page.once('dialog', (dialog) => {
          resolve(dialog.type());
          void dialog.dismiss();
        }),
      );
      void me.page.goto('about:blank').catch(() => undefined);
      expect(await asked).toBe('beforeunload');
    });
    await me.gone('connection');
    await me.page.close();
  });
});

describe('mine over theirs', () => {
  test('leaves the schedule that was made elsewhere meanwhile', async () => {
    const me = await openPiece('Lamp panel, left');
    await me.press('journey-0');
    const { id, version, doc } = await saved('Lamp panel, left');
    await studio.away(async () => {
      await me.press('layer-row-1');
      await me.press('layer-depth-more');
      await me.sees('connection', /1 waits/);
      await me.page.goto('about:blank');
    });
    // Somebody else: a schedule made by hand.
    const [{ id: stepId, scheduleId }] = firingsOf(doc);
    const { segments } = await ask<{ segments: { target_C: number }[] }>(`schedules/${scheduleId}`);
    const made = {
      id: uuid(),
      stepId,
      pieceVersion: version,
      parentId: scheduleId,
      origin: 'edited',
      segments: segments.with(2, { ...segments[2], target_C: 801 }),
    };
    const answer = await fetch(`${studio.address}/api/pieces/${id}/schedules`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(made),
    });
    expect(answer.status).toBe(200);
    const theirs = await saved('Lamp panel, left');
    expect(firingsOf(theirs.doc)[0].scheduleId).toBe(made.id);
    await me.page.goto(`${studio.address}/pieces`);
    await me.sees('connection', /^1 not saved$/);
    await me.press('connection');
    await me.sees('waiting', /was not taken/);
    await me.press('refused-mine');
    await me.gone('connection');
    const both = await savedAt('Lamp panel, left', theirs.version + 1);
    expect(firingsOf(both.doc)).toEqual(firingsOf(theirs.doc));
    expect(laidLayers(both.doc)).not.toEqual(laidLayers(doc));
    await me.page.close();
  });
});

test('a tab that is closed at once has saved what it showed', async () => {
  const me = await openPiece('Test tiles, clear');
  const before = await saved('Test tiles, clear');
  await me.press('layer-row-1');
  await me.press('layer-depth-more');
  await me.sees('figure-depth', /7 mm/);
  await me.press('layer-row-0');
  await me.press('layer-depth-more');
  await me.sees('figure-depth', /8 mm/);
  await me.page.close({ runBeforeUnload: true });
  const after = await savedAt('Test tiles, clear', before.version + 2);
  expect(laidLayers(after.doc)).toMatchObject([{ thickness_m: 0.004 }, { thickness_m: 0.004 }]);
});

describe('what was typed and not saved', () => {
  test('of a form is offered when it is opened again, and gone once it is saved', async () => {
    const me = await open('/pieces/new');
    await me.type('field-name', 'Begun yesterday');
    await me.type('field-width', '24 cm');
    await me.page.goto(`${studio.address}/shelves`);
    await me.find('new-record');
    await me.page.goto(`${studio.address}/pieces/new`);
    await me.sees('draft', /Something was entered here and not saved/);
    await me.expectSound('a draft offered');
    await me.press('take-draft');
    await me.gone('draft');
    await me.type('field-length', '100');
    await me.press('save-piece');
    await me.heading(/Begun yesterday/);
    await me.page.goto(`${studio.address}/pieces/new`);
    await me.find('field-name');
    expect(await me.has('draft')).toBe(false);
    expect((await saved('Begun yesterday')).doc.footprint).toMatchObject({ width_m: 0.24, length_m: 0.1 });
    await me.page.close();
  });

  test('of a new record is saved as the one that the page is of, and goes on from there', async () => {
    const me = await open('/shelves/forms/new?then=making');
    await me.type('record-name', 'Leaf press');
    await me.page.goto(`${studio.address}/pieces`);
    await me.find('piece-link');
    await me.page.goto(`${studio.address}/shelves/forms/new?then=making`);
    await me.press('take-draft');
    await me.gone('draft');
    await me.press('save-record');
    await me.page.waitForFunction(() => window.location.pathname === '/shelves/makings/new');
    const made = (await ask<{ id: string; name: string }[]>('forms')).filter(({ name }) => name === 'Leaf press');
    expect(made.map(({ id }) => id)).toEqual([new URL(me.page.url()).searchParams.get('on')]);
    await me.page.close();
  });

  test('rows ticked while keying in are found ticked, where one goes on', async () => {
    const me = await openPiece('Sundial disc');
    await me.press('piece-key-in');
    await me.press('key-in-0');
    await me.press('key-in-1');
    await me.sees('key-in-count', /^2 of \d keyed$/);
    await me.page.reload();
    await me.sees('draft', /^2 of \d rows were ticked here/);
    await me.sees('key-in-count', /^0 of/);
    await me.expectSound('ticks offered');
    await me.press('take-draft');
    await me.sees('key-in-count', /^2 of/);
    await me.page.close();
  });
});
