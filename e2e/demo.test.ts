/** npm run demo on an empty folder, a second time, and afresh. The builds are there already, so it starts at once. */
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DEMO_PIECES } from '../apps/server/src/db/demo';
import { startAndListen } from './server';

jest.setTimeout(300_000);

const folder = mkdtempSync(join(tmpdir(), 'torvin-demo-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const DEMO_NAMES = DEMO_PIECES.map(({ name }) => name).sort();

const demo = (...flags: string[]) => startAndListen(['scripts/demo.mjs', ...flags], { TORVIN_DATA: join(folder, 'data'), TORVIN_PORT: '18431' });

const names = async (address: string): Promise<string[]> => {
  const pieces = (await (await fetch(`${address}/api/pieces`)).json()) as { name: string }[];
  return pieces.map(({ name }) => name).sort();
};

async function rename(address: string, to: string): Promise<void> {
  const [piece] = (await (await fetch(`${address}/api/pieces`)).json()) as { id: string; version: number; doc: unknown }[];
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
  const other = await startAndListen(['scripts/demo.mjs'], { TORVIN_DATA: join(folder, 'other'), TORVIN_PORT: '18431' });
  expect(new URL(other.address).port).not.toBe(new URL(one.address).port);
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
