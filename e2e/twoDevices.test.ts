/** One device without a network, another that changes the same meanwhile: what was entered is asked about until somebody has decided. */
import type { Firing, FiringDetail, Glass, Piece } from '@torvin/schema';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setting } from './setting';
import { PHONE, Visitor } from './visitor';

const here = setting();
const { studio } = here;
const soundly = { overflow: [], overlaps: [], smallTargets: [], accessibility: [] };

/** shows: what is there once the page has read what it needs. */
async function phone(path: string, shows: string): Promise<Visitor> {
  const me = await Visitor.open(here.browser, PHONE);
  for (const status of [404, 409]) me.expectedStatuses.add(status);
  await me.page.goto(`${studio.address}${path}`);
  await me.find(shows);
  return me;
}

/** The other device. */
async function other<T>(method: string, path: string, body?: object): Promise<T> {
  const answer = await fetch(`${studio.address}/api/${path}`, {
    method,
    ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } }),
  });
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`);
  return (await answer.json()) as T;
}

/** What the server has, once it has come to this version. */
async function at<T extends { version: number }>(version: number, read: () => Promise<T>): Promise<T> {
  for (let tries = 0; ; tries += 1) {
    const now = await read();
    if (now.version >= version || tries > 400) return now;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}

const value = (me: Visitor, testId: string): Promise<string> => me.of(`[data-testid="${testId}"]`, (node) => (node as HTMLInputElement).value);
const place = (me: Visitor, href: string): Promise<void> => me.page.click(`[aria-label="Places"] a[href="${href}"]`);

/** Without a network while something is entered; changed elsewhere before it is there again. */
async function outOfReach(me: Visitor, enter: () => Promise<void>, elsewhere: () => Promise<unknown>): Promise<void> {
  await me.page.setOfflineMode(true);
  await enter();
  await elsewhere();
  await me.page.setOfflineMode(false);
}

describe('a record', () => {
  const GLASS = 'clear-90';
  const glass = () => other<Glass>('GET', `glasses/${GLASS}`);

  test('changed in both places is asked about; left without an answer it stays in the header and stands in its form again', async () => {
    const me = await phone(`/shelves/glasses/${GLASS}`, 'record-source');
    await outOfReach(
      me,
      async () => {
        await me.type('record-source', 'my own batch');
        await me.press('save-record');
        await me.sees('held', /kept here and sent/);
      },
      async () => other('PUT', `glasses/${GLASS}`, { ...(await glass()), source: 'their batch' }),
    );
    await me.sees('stale-choice', /changed elsewhere meanwhile; it is now .*their batch/);
    expect(await me.has('connection')).toBe(false);
    expect(await me.inspect()).toEqual(soundly);
    await place(me, '/pieces');
    await me.sees('connection', /^1 not saved$/);
    // Another page of the same browser later on.
    await me.page.goto(`${studio.address}/shelves/glasses/${GLASS}`);
    await me.sees('stale-choice', /changed elsewhere/);
    expect(await value(me, 'record-source')).toBe('my own batch');
    expect([await me.has('connection'), await me.has('draft')]).toEqual([false, false]);
    await me.press('keep-mine');
    await me.find('new-record');
    expect((await glass()).source).toBe('my own batch');
    expect(await me.has('connection')).toBe(false);
    await me.page.close();
  });

  test('whose field was emptied here and changed there is asked about too, and may be left as it is there', async () => {
    const me = await phone(`/shelves/glasses/${GLASS}`, 'record-source');
    await me.type('record-source', '');
    await other('PUT', `glasses/${GLASS}`, { ...(await glass()), source: 'written meanwhile' });
    await me.press('save-record');
    await me.sees('stale-choice', /written meanwhile/);
    await me.press('let-mine-go');
    await me.find('new-record');
    expect((await glass()).source).toBe('written meanwhile');
    await me.page.close();
  });

  test('deleted elsewhere comes back with what was entered', async () => {
    const shipped = await glass();
    const spare = { ...shipped, id: 'spare-90', name: 'Spare', version: 0 };
    await other('PUT', 'glasses/spare-90', spare);
    const me = await phone('/shelves/glasses/spare-90', 'record-source');
    await outOfReach(
      me,
      async () => {
        await me.type('record-source', 'counted again');
        await me.press('save-record');
        await me.find('held');
      },
      () => other('DELETE', 'glasses/spare-90', { version: 1 }),
    );
    await me.sees('gone-choice', /This glass was deleted elsewhere meanwhile/);
    expect(await me.inspect()).toEqual(soundly);
    await me.press('bring-back-mine');
    await me.find('new-record');
    expect(await other('GET', 'glasses/spare-90')).toMatchObject({ name: 'Spare', source: 'counted again', version: 3 });
    await me.page.close();
  });
});

test('a piece deleted elsewhere is asked about where it is open and in the header, and comes back changed', async () => {
  const [{ id, version }] = (await other<{ pieces: Piece[] }>('GET', 'pieces?text=Lamp%20panel')).pieces;
  const me = await phone(`/pieces/${id}`, 'figure-depth');
  await me.press('journey-0');
  await outOfReach(
    me,
    async () => {
      await me.press('layer-row-1');
      await me.press('layer-depth-more');
      await me.sees('connection', /1 waits/);
    },
    () => other('DELETE', `pieces/${id}`, { version }),
  );
  await me.sees('gone-choice', /This piece was deleted elsewhere meanwhile/);
  // In sight, however far down the page one was.
  await me.page.waitForFunction(() => {
    const { top = -1, bottom = Infinity } = document.querySelector('[data-testid="gone-choice"]')?.getBoundingClientRect() ?? {};
    return top >= 0 && bottom <= window.innerHeight;
  });
  await place(me, '/notebook');
  await me.sees('connection', /^1 not saved$/);
  await me.press('connection');
  await me.sees('waiting', /deleted elsewhere/);
  expect(await me.inspect()).toEqual(soundly);
  await me.press('refused-back');
  await me.gone('connection');
  expect((await at(version + 2, () => other<Piece>('GET', `pieces/${id}`))).version).toBe(version + 2);
  await me.page.close();
});

test('a firing told twice without a network keeps both, and its start to the moment; changed elsewhere it is asked about', async () => {
  const firings = async (): Promise<Firing[]> => (await other<{ firings: Firing[] }>('GET', 'firings?result=right')).firings;
  const [{ id }] = await firings();
  const firing = async (): Promise<Firing> => (await other<FiringDetail>('GET', `firings/${id}`)).firing;
  const before = await firing();
  const me = await phone(`/notebook/${id}`, 'tell');
  const tell = async (field: string, words: string): Promise<void> => {
    await me.type(field, words);
    await me.press('save-firing');
    await me.find('held');
  };
  await outOfReach(
    me,
    async () => {
      await me.press('tell');
      await tell('record-note', 'the first word');
      await me.page.goBack();
      await me.press('tell');
      expect(await value(me, 'record-note')).toBe('the first word');
      await tell('record-place', 'left front');
    },
    async () => undefined,
  );
  await me.gone('connection');
  const told = await at(before.version + 2, firing);
  expect(told).toMatchObject({ note: 'the first word', place: 'left front', firedAt: before.firedAt, version: before.version + 2 });
  expect(told.load.version).toBe(before.load.version);
  await me.page.goto(`${studio.address}/notebook/${id}/tell`);
  await me.find('record-note');
  const { version, zone, firedAt, place: where, result, lookReached, released, asFired, photos, knownBy, lesson } = told;
  await outOfReach(
    me,
    () => tell('record-note', 'mine'),
    () =>
      other('PUT', `firings/${id}`, { version, zone, firedAt, place: where, result, lookReached, released, asFired, photos, knownBy, lesson, note: 'theirs' }),
  );
  await me.sees('stale-choice', /Somebody else has recorded this firing/);
  await place(me, '/pieces');
  await me.sees('connection', /^1 not saved$/);
  await me.page.goto(`${studio.address}/notebook/${id}/tell`);
  await me.find('stale-choice');
  expect(await value(me, 'record-note')).toBe('mine');
  await me.press('keep-mine');
  await me.find('tell');
  expect((await firing()).note).toBe('mine');
  await me.page.close();
});

test('a browser without room says the same in the form as in the header', async () => {
  const me = await phone('/shelves/glasses/clear-90', 'record-source');
  await me.page.evaluate(() => {
    Storage.prototype.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await outOfReach(
    me,
    async () => {
      await me.type('record-source', 'nowhere to put it');
      await me.press('save-record');
      await me.sees('held', /no room to keep this: leave the page open/);
      await me.sees('connection', /not kept$/);
    },
    async () => undefined,
  );
  await me.find('new-record');
  expect((await other<Glass>('GET', 'glasses/clear-90')).source).toBe('nowhere to put it');
  await me.page.close();
});

test('an entry of a controller that is wrong is taken out, and back; one in time to come says that a clock was wrong', async () => {
  const AHEAD_MS = 400 * 24 * 3600e3;
  const at = Date.now() + AHEAD_MS;
  const program = { id: '0198c5a2-1111-7000-8000-000000000001', controllerId: 'grey-box', slot: 6, scheduleId: null, rows: [], keyedAt: at };
  await fetch(`${studio.address}/api/programs`, {
    method: 'POST',
    body: JSON.stringify(program),
    headers: { 'Content-Type': 'application/json', 'Torvin-Clock': String(at) },
  });
  const me = await phone('/kiln', 'fold-programs-grey-box');
  await me.press('fold-programs-grey-box');
  await me.sees('program-6', /something else, since .*, which is still to come: a clock was wrong/);
  expect(await me.inspect()).toEqual(soundly);
  await me.press('program-6-take-out');
  await me.sees('program-6', /nothing that Torvin knows of/);
  await me.press('bring-back');
  await me.sees('program-6', /a clock was wrong/);
  await me.page.close();
});

test('a glass that is brought back after its family was deleted too brings both', async () => {
  const [family] = await other<{ id: string }[]>('GET', 'families');
  const shipped = await other<Glass>('GET', 'glasses/clear-90');
  await other('PUT', 'families/spare-family', { ...family, id: 'spare-family', name: 'Spare family', version: 0 });
  await other('PUT', 'glasses/of-spare', { ...shipped, id: 'of-spare', name: 'Spare blue', familyId: 'spare-family', version: 0 });
  const me = await phone('/shelves/glasses/of-spare', 'delete-record');
  await me.press('delete-record');
  await me.find('bring-back');
  await other('DELETE', 'families/spare-family', { version: 1 });
  await me.press('bring-back');
  await me.sees('connection', /^1 not saved$/);
  await me.press('connection');
  await me.sees('waiting', /It belongs to the glass family 'Spare family', deleted too/);
  expect(await me.inspect()).toEqual(soundly);
  await me.press('refused-with-named');
  await me.gone('connection');
  await me.reads('Spare blue');
  expect(await other('GET', 'families/spare-family')).toMatchObject({ name: 'Spare family' });
  await me.page.close();
});

test('a piece file with a firing that runs asks before it fills the Bench', async () => {
  const [{ id }] = (await other<{ pieces: Piece[] }>('GET', 'pieces?text=Bird-bath')).pieces;
  const file = join(mkdtempSync(join(tmpdir(), 'torvin-file-')), 'basin.json');
  writeFileSync(file, JSON.stringify(await other('GET', `pieces/${id}/file`)));
  const me = await phone('/pieces', 'piece-link');
  await me.press('pieces-more');
  const input = (await me.page.waitForSelector('[data-testid="read-piece-file-input"]')) as unknown as { uploadFile(path: string): Promise<void> };
  await input.uploadFile(file);
  await me.sees('read-piece-said', /A firing in this file has no result yet: in the kiln .* since/);
  expect(await me.inspect()).toEqual(soundly);
  await me.press('read-running-in');
  await me.sees('read-piece-said', /is in the kiln/);
  const before = await other('GET', 'loads');
  await input.uploadFile(file);
  await me.press('read-running-out');
  await me.sees('read-piece-said', /is a copy/);
  expect(await other('GET', 'loads')).toEqual(before);
  await me.page.close();
});
