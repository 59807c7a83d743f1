/** All of a studio out and in again, by the page that has its shelves. */
import { mkdtempSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setting } from './setting';
import { PHONE, Visitor } from './visitor';

const here = setting();
const { studio } = here;
let me: Visitor;

beforeEach(async () => {
  me = await Visitor.open(here.browser, PHONE);
});
afterEach(() => me.leave());

/** A file that the page has the browser keep. */
async function kept(folder: string, ending: string): Promise<string> {
  for (let tries = 0; tries < 200; tries += 1) {
    const [name] = readdirSync(folder).filter((one) => one.endsWith(ending));
    if (name) return join(folder, name);
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error(`No ${ending} in ${folder}: ${readdirSync(folder).join(', ')}`);
}

test('a studio is backed up, a piece is deleted, and the backup brings it back; a damaged file is refused', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'torvin-downloads-'));
  const session = await me.page.createCDPSession();
  await session.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder, browserContextId: here.browser.id });
  await me.page.goto(`${studio.address}/settings?open=backup`);
  expect(await me.sees('last-backup', /^Last: \d\d:\d\d, with 10 pieces, 13 firings, 12 pictures; 0\.\d MB\.$/)).toBeTruthy();
  await me.press('back-up');
  const file = await kept(folder, '-asked.zip');
  await me.press('fold-put-back');
  await me.sees('put-back', /asked for.*daily/);
  await me.expectSound('backups');

  await me.page.goto(`${studio.address}/pieces`);
  await me.openPiece('Sundial disc');
  await me.press('delete-piece');
  await me.gone('delete-piece');
  await me.page.goto(`${studio.address}/settings?open=backup`);
  await me.press('fold-put-back');

  const damaged = join(folder, 'damaged.zip');
  const bytes = readFileSync(file);
  bytes.writeUInt8(bytes.readUInt8(9000) ^ 1, 9000);
  writeFileSync(damaged, bytes);
  const input = (await me.page.waitForSelector('[data-testid="restore-file-input"]')) as unknown as { uploadFile(path: string): Promise<void> };
  await input.uploadFile(damaged);
  await me.sees('ask-restore', /Restore damaged\.zip\?/);
  me.expectedStatuses.add(422);
  await me.press('restore');
  await me.sees('restore-problem', /Your data is unchanged/);
  await input.uploadFile(file);
  await me.press('restore');
  await me.sees('restored', /Here is now what was saved on .*: 10 pieces, 13 firings, 12 pictures\. What was here before lies in .*before-restore-/);
  await me.page.goto(`${studio.address}/pieces`);
  await me.openPiece('Sundial disc');
});
