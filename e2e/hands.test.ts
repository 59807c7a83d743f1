/** Hands full: files dropped and pasted wherever they make sense, several pieces or records chosen at once, shelves on a wide window. */
import { mkdtempSync, readFileSync, readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { setting } from './setting';
import { PHONE, Visitor, WIDE } from './visitor';

const here = setting();
const { studio } = here;
let me: Visitor;

const visit = async (size: typeof PHONE | typeof WIDE, path: string): Promise<void> => {
  me = await Visitor.open(here.browser, size);
  await me.page.goto(studio.address + path);
};
afterEach(() => me.leave());

interface Handed {
  name: string;
  type: string;
  /** As text, or as base64 where it begins with 'base64:'. */
  content: string;
}

/** As a browser does when a file is let go over the page, or pasted into it. */
async function hand(how: 'drop' | 'paste', { name, type, content }: Handed): Promise<void> {
  await me.page.evaluate(
    (by, fileName, fileType, told) => {
      const data = new DataTransfer();
      const bytes = told.startsWith('base64:') ? Uint8Array.from(atob(told.slice(7)), (letter) => letter.charCodeAt(0)) : told;
      data.items.add(new File([bytes], fileName, { type: fileType }));
      const event = by === 'drop' ? new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true }) : null;
      if (event) document.body.dispatchEvent(new DragEvent('dragover', { dataTransfer: data, bubbles: true, cancelable: true }));
      document.body.dispatchEvent(event ?? new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    },
    how,
    name,
    type,
    content,
  );
}

const paste = (words: string): Promise<void> =>
  me.page.evaluate((told) => {
    const data = new DataTransfer();
    data.setData('text/plain', told);
    document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  }, words);

const ask = async <T>(path: string): Promise<T> => (await (await fetch(studio.address + path)).json()) as T;
let picture: Handed;
beforeAll(async () => {
  const bytes = await sharp({ create: { width: 90, height: 70, channels: 3, background: '#7fa66b' } })
    .png()
    .toBuffer();
  picture = { name: 'rim.png', type: 'image/png', content: `base64:${bytes.toString('base64')}` };
});

/** A folder of its own for what this page downloads. */
async function downloads(): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'torvin-hands-'));
  const session = await me.page.createCDPSession();
  await session.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder, browserContextId: here.browser.id });
  return folder;
}

/** The file with this ending, once it is whole. */
async function downloaded(folder: string, ending: string): Promise<string> {
  for (let tries = 0; tries < 100; tries += 1) {
    const name = readdirSync(folder).find((one) => one.endsWith(ending));
    const content = name === undefined ? '' : readFileSync(join(folder, name), 'utf8');
    if (content !== '') return content;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error(`No ${ending} came into ${folder}.`);
}

/** What is read a moment after the first view has to be there. */
const ready = (): Promise<unknown> => me.page.waitForFunction(() => document.querySelector('[data-testid="screen-scroll"]') !== null);

test('a picture dropped or pasted goes to the record that is open, and where none is kept it is said so', async () => {
  await visit(PHONE, '/shelves/forms/basin-mould');
  await me.find('add-photo');
  await me.press('add-photo');
  await me.find('take-photo');
  expect(await me.of('[data-testid="take-photo-input"]', (node) => node.getAttribute('capture'))).toBe('environment');
  await hand('drop', picture);
  await me.find('photo-0');
  await hand('paste', picture);
  await me.find('photo-1');
  await me.press('save-record');
  await me.gone('save-record');
  for (let tries = 0; tries < 100; tries += 1) {
    const { photos = [] } = await ask<{ photos?: string[] }>('/api/forms/basin-mould');
    if (photos.length > 0 && photos.every((hash) => /^[0-9a-f]{64}$/.test(hash))) break;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  expect((await ask<{ photos: string[] }>('/api/forms/basin-mould')).photos.length).toBeGreaterThan(0);
  await me.page.goto(`${studio.address}/kiln`);
  await ready();
  await me.page.waitForFunction(() => document.querySelector('[data-testid="screen-scroll"]')?.textContent?.includes('Running'));
  await hand('drop', picture);
  await me.sees('not-taken', /^No picture is kept here\./);
});

test('a schedule pasted over a piece, or dropped as a file, is read on the page that judges it', async () => {
  await visit(PHONE, '/pieces');
  await me.openPiece('Plaque no. 14');
  await me.find('open-run');
  await paste('1. 150C/h to 540C hold 10 min\n2. 250 C/h to 720 hold 15\n3. full to 480 hold 60');
  await me.page.waitForFunction(() => location.pathname.endsWith('/given'));
  await me.page.waitForFunction(() => (document.querySelector('[data-testid="paper-2-target"]') as HTMLInputElement | null)?.value === '480');
  await hand('drop', { name: 'kept.csv', type: 'text/csv', content: 'rate;target;hold\n200;600;5\n;500;45' });
  await me.page.waitForFunction(() => (document.querySelector('[data-testid="paper-0-target"]') as HTMLInputElement | null)?.value === '600');
});

test('several pieces are tagged and archived at once, which can be taken back; written to one file, which is read in again from any page', async () => {
  await visit(PHONE, '/pieces');
  await me.press('pieces-more');
  await me.press('choose-several');
  const rows = await me.page.$$('[data-testid="choose-piece"]');
  expect(rows.length).toBeGreaterThan(2);
  const names = await me.ofAll('[data-testid="choose-piece"]', (nodes) => nodes.slice(0, 2).map((node) => node.getAttribute('aria-label') ?? ''));
  for (const name of names) await (await me.page.waitForSelector(`[data-testid="choose-piece"][aria-label="${name}"]`))?.tap();
  await me.sees('chosen', /^2 chosen/);
  await me.expectSound('several chosen');
  await me.press('chosen-tag');
  await me.type('chosen-tags', 'spring show');
  await me.press('chosen-tags-add');
  await me.sees('take-back', /^2 pieces tagged spring show\./);
  const tagged = async (): Promise<string[]> => {
    const { pieces } = await ask<{ pieces: { name: string; tags: string[] }[] }>('/api/pieces');
    return pieces.flatMap(({ name, tags }) => (tags.includes('spring show') ? [name] : [])).sort();
  };
  const until = async (wanted: string[]): Promise<void> => {
    for (let tries = 0; tries < 100 && (await tagged()).join() !== wanted.join(); tries += 1) await new Promise((resolve) => setTimeout(resolve, 100));
    expect(await tagged()).toEqual(wanted);
  };
  await until([...names].sort());
  await me.press('bring-back');
  await until([]);

  const folder = await downloads();
  await me.press('choose-several');
  for (const name of names) await (await me.page.waitForSelector(`[data-testid="choose-piece"][aria-label="${name}"]`))?.tap();
  await me.press('chosen-export');
  await me.gone('chosen');
  const content = await downloaded(folder, '.json');
  expect((JSON.parse(content) as { pieces: { piece: { name: string } }[] }).pieces.map(({ piece }) => piece.name)).toEqual(names);

  await me.press('choose-several');
  await me.press('choose-all');
  await me.press('chosen-archive');
  await me.sees('take-back', /^\d+ pieces archived\./);
  await me.find('no-pieces');
  await me.press('bring-back');
  await me.gone('no-pieces');

  // Copies of both, from a page that has nothing to do with pieces.
  await me.page.goto(`${studio.address}/settings`);
  await me.find('fold-settings-units');
  const before = (await ask<{ total: number }>('/api/pieces')).total;
  await hand('drop', { name: 'both.json', type: 'application/json', content });
  await me.sees('read-piece-said', /^2 pieces are here now\.|runs/);
  if (await me.has('read-running-out')) await me.press('read-running-out');
  await me.sees('read-piece-said', /^2 pieces are here now\./);
  expect((await ask<{ total: number }>('/api/pieces')).total).toBe(before + 2);
});

test('several records are archived at once, which can be undone, and written as a table; all that are shown are those that were found', async () => {
  await visit(PHONE, '/shelves?shelf=glasses');
  await me.type('find-record', 'clear');
  await me.page.waitForFunction(() => document.querySelectorAll('[data-testid^="record-"]').length === 3);
  await me.press('choose-several');
  await me.press('choose-all');
  await me.sees('chosen', /^3 chosen/);
  await me.press('chosen-archive');
  await me.sees('take-back', /^3 glasses archived\./);
  const archived = async (): Promise<string[]> => (await ask<{ archived: string[] }>('/api/shelves')).archived.filter((id) => /clear|boro/.test(id));
  const until = async (count: number): Promise<void> => {
    for (let tries = 0; tries < 100 && (await archived()).length !== count; tries += 1) await new Promise((resolve) => setTimeout(resolve, 100));
    expect(await archived()).toHaveLength(count);
  };
  await until(3);
  await me.press('bring-back');
  await until(0);
  const folder = await downloads();
  await me.press('choose-several');
  await me.press('choose-clear-90');
  await me.press('chosen-export');
  const table = await downloaded(folder, '.csv');
  const [heads, row, ...more] = table.trimEnd().split('\r\n');
  expect(heads).toMatch(/^\uFEFFName,Source,Family,/);
  expect(row).toMatch(/^Clear,invented for the demo,Soft sheet 90,.*,no,clear-90$/);
  expect(more).toEqual([]);
});

test('wide, a record that was opened from another place leads back there once it is saved', async () => {
  await visit(WIDE, '/bench');
  await me.page.waitForSelector('[data-testid^="recoat-"]');
  await me.page.click('[data-testid^="recoat-"] a, a[data-testid^="recoat-"], [data-testid^="recoat-"]');
  await me.find('save-record');
  await me.press('save-record');
  await me.find('bench-next');
  expect(new URL(me.page.url()).pathname).toBe('/bench');
});

test('wide, a shelf stands beside the record that is open, its fields in two columns; what was saved stays open', async () => {
  await visit(WIDE, '/shelves?shelf=kilns');
  const at = async (id: string): Promise<{ x: number; y: number; width: number }> => (await (await me.find(id)).boundingBox()) ?? { x: 0, y: 0, width: 0 };
  const [list, name, source] = [await at('record-low-kiln'), await at('record-name'), await at('record-source')];
  expect(name.x).toBeGreaterThan(list.x + list.width);
  expect(source.x).toBeGreaterThan(name.x + name.width);
  expect(Math.abs(source.y - name.y)).toBeLessThan(2);
  await me.press('record-tall-kiln');
  await me.page.waitForFunction(() => (document.querySelector('[data-testid="record-name"]') as HTMLInputElement | null)?.value === 'Tall kiln');
  await me.type('record-source', 'timed in spring');
  await me.press('save-record');
  await me.page.waitForFunction(() => document.querySelector('[data-testid="record-tall-kiln"]')?.textContent?.includes('timed in spring'));
  expect(await me.of('[data-testid="record-name"]', (node) => (node as HTMLInputElement).value)).toBe('Tall kiln');
  await me.expectSound('a shelf beside its record');
});

test.each([900, 1280, 1920])('at %i px nothing that is pressed or typed into is wider than 560', async (width) => {
  await visit({ ...WIDE, width } as never, '/bench');
  for (const path of [
    '/bench',
    '/pieces',
    '/pieces/new',
    '/notebook',
    '/kiln',
    '/shelves',
    '/shelves/kilns/low-kiln',
    '/shelves/glasses/new',
    '/settings?open=units',
    '/start',
  ]) {
    await me.page.goto(studio.address + path);
    await ready();
    await me.settled();
    const wide = await me.ofAll('button, [role="button"], input, textarea, select', (nodes) =>
      nodes
        .filter(
          (node) =>
            node.getBoundingClientRect().width > 561 &&
            !node.hasAttribute('aria-expanded') &&
            node.dataset.testid !== 'figures' &&
            !node.closest('[role="list"]'),
        )
        .map((node) => node.dataset.testid ?? node.innerText.slice(0, 30)),
    );
    expect([path, wide]).toEqual([path, []]);
    const { overflow } = await me.inspect({ withAxe: false });
    expect([path, overflow]).toEqual([path, []]);
  }
});
