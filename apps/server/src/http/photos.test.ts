/** Photos by their bytes. */
import { existsSync, readFileSync, readdirSync, utimesSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { inArray } from 'drizzle-orm';
import sharp from 'sharp';
import { photosAside } from '../store/photoFiles';
import { sweepPhotos } from '../store/photos';
import { photos } from '../db/tables';
import { NOW, type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const send = async (body: Buffer | string): Promise<{ status: number; body: { hash: string; width: number; height: number; message: string } }> => {
  const headers = { 'Content-Type': 'image/unknown' };
  const response = await fetch(`${server.base}/api/photos`, { method: 'POST', body: typeof body === 'string' ? body : new Uint8Array(body), headers });
  return { status: response.status, body: (await response.json()) as never };
};
const plain = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#8fb5cf' } });

/** 40 wide, 20 high, lying on its side by its own mark, with a place in it. */
const fromCamera = (): Promise<Buffer> =>
  plain(4000, 2000)
    .withExif({ IFD0: { Make: 'Camera', Orientation: '6' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '38/1 42/1 0/1' } })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();

test('a photo is written anew: upright, no larger than a screen, nothing of the camera in it', async () => {
  const original = await fromCamera();
  expect((await sharp(original).metadata()).exif).toBeDefined();
  const { status, body } = await send(original);
  expect(status).toBe(200);
  expect(body).toMatchObject({ width: 800, height: 1600 });
  const response = await fetch(`${server.base}/api/photos/${body.hash}`);
  expect(response.headers.get('content-type')).toBe('image/jpeg');
  expect(response.headers.get('cache-control')).toMatch(/immutable/);
  const metadata = await sharp(Buffer.from(await response.arrayBuffer())).metadata();
  expect(metadata).toMatchObject({ format: 'jpeg', width: 800, height: 1600 });
  expect(metadata.exif).toBeUndefined();
  const small = Buffer.from(await (await fetch(`${server.base}/api/photos/${body.hash}?size=small`)).arrayBuffer());
  expect((await sharp(small).metadata()).height).toBe(320);
});

test('the same picture twice is kept once', async () => {
  const picture = await plain(50, 40).png().toBuffer();
  const [first, again] = [await send(picture), await send(picture)];
  expect(again.body).toEqual(first.body);
});

test.each([
  ['text that calls itself a picture', Buffer.from('GIF but not really')],
  ['a drawing with a script in it', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>')],
  ['nothing', Buffer.alloc(0)],
])('%s is refused in a sentence', async (_, bytes) => {
  const { status, body } = await send(bytes);
  expect(status).toBe(422);
  expect(body.message).toMatch(/no photo by its bytes|No picture came/);
});

test('a photo broken off in the middle is refused', async () => {
  const whole = await fromCamera();
  const { status, body } = await send(whole.subarray(0, Math.floor(whole.length / 3)));
  expect({ status, message: body.message }).toMatchObject({ status: 422, message: expect.stringMatching(/damaged|no photo/) });
});

test('an unknown photo is 404, and a hash is no path', async () => {
  expect((await fetch(`${server.base}/api/photos/${'0'.repeat(64)}`)).status).toBe(404);
  expect((await fetch(`${server.base}/api/photos/..%2Ftorvin.db`)).status).toBe(404);
});

describe('what no firing names', () => {
  const DAY_MS = 24 * 3600e3;
  const folder = (): string => join(server.dataDir, 'photos');
  const lying = (): string[] => readdirSync(folder());
  /** Files carry the clock of this machine, rows that of the test: both are told to be of the same time. */
  const written = (hash: string, at: number): void => {
    for (const name of lying().filter((one) => one.startsWith(hash))) utimesSync(join(folder(), name), at / 1000, at / 1000);
  };
  async function sent(width: number): Promise<string> {
    const { hash } = (await send(await plain(width, 30).png().toBuffer())).body;
    written(hash, NOW);
    return hash;
  }
  const status = async (hash: string): Promise<number> => (await fetch(`${server.base}/api/photos/${hash}`)).status;

  test('stays for a day, then moves aside; what a firing has stays', async () => {
    const [lost, kept] = [await sent(30), await sent(31)];
    const { body: page } = await server.ask('GET', '/api/firings');
    const { pieceId, scheduleId } = page.firings[0];
    const firing = { id: uuid(), pieceId, scheduleId, firedAt: NOW - 300 * 3600e3, zone: 'UTC', result: 'right', photos: [kept] };
    expect((await server.ask('POST', '/api/firings', firing)).body.photos).toEqual([kept]);
    sweepPhotos(server.opened.db, server.dataDir, NOW + DAY_MS / 24);
    expect(lying()).toContain(`${lost}.jpg`);
    sweepPhotos(server.opened.db, server.dataDir, NOW + DAY_MS + 3600e3);
    expect(lying().filter((name) => name.startsWith(lost))).toEqual([]);
    expect(existsSync(join(server.dataDir, 'photos-aside', `${lost}.jpg`))).toBe(true);
    expect(existsSync(join(folder(), `${kept}-small.jpg`))).toBe(true);
  });

  test('is no sketch that lies under a plan, or would again after an undo', async () => {
    const [under, before] = [await sent(35), await sent(36)];
    const { body: page } = await server.ask('GET', '/api/pieces');
    const { body: piece } = await server.ask('GET', `/api/pieces/${page.pieces[0].id}`);
    const sketch = (hash: string) => ({ hash, width_m: 0.2, aspect: 0.75, x_m: 0, y_m: 0 });
    const change = (version: number, hash: string) =>
      server.ask('PUT', `/api/pieces/${piece.id}`, { version, name: piece.name, doc: { ...piece.doc, under: sketch(hash) }, what: 'sketch laid under' });
    const first = await change(piece.version, before);
    const second = await change(first.body.version, under);
    expect(second.body.doc.under.hash).toBe(under);
    sweepPhotos(server.opened.db, server.dataDir, NOW + 2 * DAY_MS);
    for (const hash of [under, before]) expect(await status(hash)).toBe(200);
    const { body: file } = await server.ask('GET', `/api/pieces/${piece.id}/file`);
    expect(file.photos.map((photo: { hash: string }) => photo.hash)).toContain(under);
  });

  test('is none that a record has, a deleted one too', async () => {
    const hash = await sent(37);
    const { body: shelves } = await server.ask('GET', '/api/shelves');
    const form = shelves.forms.find(({ id }: { id: string }) => id === 'basin-mould');
    const put = (change: object) => server.ask('PUT', '/api/forms/basin-mould', { ...form, ...change });
    const unknown = await put({ photos: [hash, 'c'.repeat(64)] });
    expect(unknown).toMatchObject({ status: 422, body: { code: 'unknown-photo', path: 'photos.1' } });
    expect((await put({ photos: [hash] })).body.photos).toEqual([hash]);

    const spare = await server.ask('PUT', '/api/forms/spare-mould', { ...form, id: 'spare-mould', version: 0, photos: [await sent(38)] });
    await server.ask('DELETE', '/api/forms/spare-mould', { version: spare.body.version });
    sweepPhotos(server.opened.db, server.dataDir, NOW + 2 * DAY_MS);
    for (const named of [hash, spare.body.photos[0]]) expect(await status(named)).toBe(200);
  });

  test('comes back when a database names it again, as after an older one stood in its place', async () => {
    const hashes = [await sent(32), await sent(33), await sent(34)];
    const rows = server.opened.db.select().from(photos).where(inArray(photos.hash, hashes)).all();
    const bytes = hashes.map((hash) => readFileSync(join(folder(), `${hash}.jpg`)));
    server.opened.db.delete(photos).where(inArray(photos.hash, hashes)).run();
    sweepPhotos(server.opened.db, server.dataDir, NOW + 2 * DAY_MS);
    for (const hash of hashes) expect(lying().filter((name) => name.startsWith(hash))).toEqual([]);
    server.opened.db.insert(photos).values(rows).run();
    for (const [i, hash] of hashes.entries()) {
      expect(await status(hash)).toBe(200);
      expect(readFileSync(join(folder(), `${hash}.jpg`))).toEqual(bytes[i]);
    }
  });

  test('is left alone while it is young, also without a row: its save may be under way', () => {
    const young = join(folder(), `${'b'.repeat(64)}.jpg`);
    writeFileSync(young, 'just written');
    utimesSync(young, NOW / 1000, NOW / 1000);
    sweepPhotos(server.opened.db, server.dataDir, NOW + 3600e3);
    expect(existsSync(young)).toBe(true);
    sweepPhotos(server.opened.db, server.dataDir, NOW + DAY_MS + 1);
    expect(existsSync(young)).toBe(false);
  });

  test('is erased on request alone', async () => {
    const before = photosAside(server.dataDir);
    expect(before.pictures).toBeGreaterThan(0);
    expect((await server.ask('GET', '/api/aside')).body).toEqual({ ...before, pieces: 0, firings: 0 });
    expect((await server.ask('POST', '/api/aside/erase', {})).body).toEqual({ pictures: 0, bytes: 0, pieces: 0, firings: 0 });
    expect(existsSync(join(server.dataDir, 'photos-aside'))).toBe(false);
  });

  test('a picture is either whole or not there: no half-written file keeps its name', async () => {
    await sent(35);
    expect(lying().every((name) => /^[0-9a-f]{64}(-small)?\.jpg$/.test(name))).toBe(true);
  });
});

test('a firing cannot name a picture that is not here', async () => {
  const { body: page } = await server.ask('GET', '/api/firings');
  const { pieceId, scheduleId } = page.firings[0];
  const firing = { id: uuid(), pieceId, scheduleId, firedAt: NOW - 300 * 3600e3, zone: 'UTC', result: 'right', photos: ['a'.repeat(64)] };
  const { status, body } = await server.ask('POST', '/api/firings', firing);
  expect({ status, path: body.path }).toEqual({ status: 422, path: 'photos.0' });
  expect(body.message).toMatch(/send it first/);
});
