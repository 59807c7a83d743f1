/** npm run demo on an empty folder, a second time, and afresh. The builds are there already, so it starts at once. */
import { spawnSync } from 'node:child_process';
import type { IncomingMessage } from 'node:http';
import { get } from 'node:https';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DEMO_PIECES } from '../apps/server/src/opening/demo';
import { certificate } from './certificate';
import { ROOT, ownLink, startAndListen, wholePieces } from './server';

jest.setTimeout(300_000);

const folder = mkdtempSync(join(tmpdir(), 'torvin-demo-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const DEMO_NAMES = DEMO_PIECES.map(({ name }) => name).sort();

const demo = (...flags: string[]) => startAndListen(['scripts/demo.mjs', ...flags], { TORVIN_DATA: join(folder, 'data'), TORVIN_PORT: '18431' });

const names = async (address: string, token?: string): Promise<string[]> => (await wholePieces(address, token)).map(({ name }) => name).sort();

async function rename(address: string, to: string): Promise<void> {
  const [piece] = await wholePieces(address);
  const answer = await fetch(`${address}/api/pieces/${piece.id}`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ version: piece.version, name: to, doc: piece.doc }),
  });
  expect(answer.status).toBe(200);
}

test('starts with the demo studio, keeps changes, and starts afresh without erasing', async () => {
  const first = await demo();
  expect(await names(first.address)).toEqual(DEMO_NAMES);
  await rename(first.address, 'Renamed by hand');
  await first.stop();

  const second = await demo();
  expect(await names(second.address)).toContain('Renamed by hand');
  await second.stop();

  const fresh = await demo('--fresh');
  expect(await names(fresh.address)).toEqual(DEMO_NAMES);
  expect(fresh.heard()).toMatch(/old data was moved to/);
  await fresh.stop();
  expect(readdirSync(folder).filter((name) => name.startsWith('data'))).toHaveLength(2);
});

test('takes the next port when the first is taken', async () => {
  const one = await demo();
  const other = await startAndListen(['scripts/demo.mjs', '--own', '--lan'], { TORVIN_DATA: join(folder, 'other'), TORVIN_PORT: '18431' });
  expect(new URL(other.address).port).not.toBe(new URL(one.address).port);
  // What npm run studio says: nothing made yet, and the passcode for others.
  while (!/passcode: [a-z2-9]{5}-[a-z2-9]{5}/.test(other.heard())) await new Promise((resolve) => setTimeout(resolve, 20));
  expect((await fetch(`${other.address}/api/pieces`)).status).toBe(401);
  expect(await names(other.address, ownLink(other.heard()).token)).toEqual([]);
  await other.stop();
  await one.stop();
});

test('pictures whose database is gone: the start asks, and erases none either way', async () => {
  const first = await demo();
  await first.stop();
  const data = join(folder, 'data');
  const pictures = (): string[] => readdirSync(join(data, 'photos')).sort();
  const before = pictures();
  expect(before.length).toBeGreaterThan(2);
  for (const name of readdirSync(data).filter((one) => one.startsWith('torvin.db'))) rmSync(join(data, name));
  await expect(demo()).rejects.toThrow(/ended with 3/);
  expect(pictures()).toEqual(before);
  const anew = await demo('--new');
  expect(await names(anew.address)).toEqual(DEMO_NAMES);
  expect(pictures()).toEqual(expect.arrayContaining(before));
  await anew.stop();
});

/** Of a command that ends by itself. */
function ended(args: string[], data: string, env: Record<string, string> = {}): { code: number | null; said: string } {
  const { status, stdout, stderr } = spawnSync(process.execPath, args, {
    cwd: ROOT,
    env: { ...process.env, TORVIN_DATA: data, TORVIN_PORT: '18431', ...env },
    encoding: 'utf8',
  });
  return { code: status, said: stdout + stderr };
}

test('a second start on a folder says where the first runs and ends; one that was killed holds nobody up', async () => {
  const data = join(folder, 'one');
  const first = await startAndListen(['dist/server/main.mjs'], { TORVIN_DATA: data, TORVIN_PORT: '18431' });
  for (const words of [[], ['--fresh']]) {
    const { code, said } = ended(['scripts/demo.mjs', ...words], data);
    expect(code).toBe(4);
    expect(said).toContain(`Torvin already runs on ${data}, at ${first.address} (process ${first.child.pid}`);
    expect(said).not.toMatch(/ {4}at /);
  }
  expect(await names(first.address)).toEqual(DEMO_NAMES);
  const gone = new Promise((resolve) => first.child.once('exit', resolve));
  first.child.kill('SIGKILL');
  await gone;
  const second = await startAndListen(['dist/server/main.mjs'], { TORVIN_DATA: data, TORVIN_PORT: '18431' });
  expect(await names(second.address)).toEqual(DEMO_NAMES);
  await second.stop();
});

test('a damaged database is said in a sentence, and left as it is', () => {
  const data = join(folder, 'damaged');
  mkdirSync(data);
  writeFileSync(join(data, 'torvin.db'), 'no database '.repeat(500));
  const { code, said } = ended(['dist/server/main.mjs'], data);
  expect(code).toBe(1);
  expect(said).toMatch(/^The database in .*damaged cannot be read: torvin\.db is damaged, or no database\. Put a backup in its place/);
  expect(said.trim().split('\n')).toHaveLength(1);
  expect(readFileSync(join(data, 'torvin.db'), 'utf8')).toMatch(/^no database/);
});

test('https by a certificate of its own; what is none is said in a sentence', async () => {
  const data = join(folder, 'secure');
  const keys = await certificate(folder);
  const secure = await startAndListen(['dist/server/main.mjs'], { TORVIN_DATA: data, TORVIN_PORT: '18431', ...keys });
  expect(secure.address).toMatch(/^https:/);
  const { headers, statusCode } = await new Promise<IncomingMessage>((resolve, reject) =>
    get(`${secure.address}/api/health`, { rejectUnauthorized: false }, resolve).once('error', reject),
  );
  // Not for good: who goes back to http is let in too.
  expect([statusCode, headers['strict-transport-security']]).toEqual([200, undefined]);
  await secure.stop();
  const env = { ...keys, TORVIN_CERT: keys.TORVIN_KEY };
  expect(ended(['dist/server/main.mjs'], data, env)).toMatchObject({
    code: 1,
    said: expect.stringMatching(/^TORVIN_CERT and TORVIN_KEY are no cert.*\n$/) as string,
  });
  expect(ended(['dist/server/main.mjs'], data, { ...keys, TORVIN_KEY: join(folder, 'none.pem') })).toMatchObject({
    code: 1,
    said: expect.stringMatching(/^The key .*none\.pem cannot be read.*\n$/) as string,
  });
});

test('help is given, and a word that is not known is refused before anything is done', () => {
  const data = join(folder, 'never');
  expect(ended(['scripts/demo.mjs', '--help'], data)).toMatchObject({ code: 0, said: expect.stringMatching(/--fresh +moves the data aside/) as string });
  expect(ended(['scripts/demo.mjs', '--frehs'], data)).toMatchObject({ code: 2, said: expect.stringMatching(/^Unknown option '--frehs'/) as string });
  expect(existsSync(data)).toBe(false);
});
