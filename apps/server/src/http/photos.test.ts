/** Photos by their bytes. */
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import sharp from 'sharp';
import { sweepPhotos } from '../store/photos';
import { NOW, type TestServer, startTestServer } from '../test/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const send = async (body: Buffer | string): Promise<{ status: number; body: { hash: string; width: number; height: number; message: string } }> => {
  const response = await fetch(`${server.base}/api/photos`, { method: 'POST', body: typeof body === 'string' ? body : new Uint8Array(body) });
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

test('a day after no firing has it, a photo is swept; one that a firing has stays', async () => {
  const [lost, kept] = [(await send(await plain(30, 30).png().toBuffer())).body.hash, (await send(await plain(31, 30).png().toBuffer())).body.hash];
  const { body: page } = await server.ask('GET', '/api/firings');
  const { pieceId, scheduleId } = page.firings[0];
  const firing = { id: uuid(), pieceId, scheduleId, firedAt: NOW, zone: 'UTC', photos: [kept] };
  expect((await server.ask('POST', '/api/firings', firing)).body.photos).toEqual([kept]);
  const files = (): string[] => readdirSync(join(server.dataDir, 'photos'));
  sweepPhotos(server.opened.db, server.dataDir, NOW + 3600e3);
  expect(files()).toContain(`${lost}.jpg`);
  sweepPhotos(server.opened.db, server.dataDir, NOW + 25 * 3600e3);
  expect(files().some((name) => name.startsWith(lost))).toBe(false);
  expect(existsSync(join(server.dataDir, 'photos', `${kept}-small.jpg`))).toBe(true);
});

test('a firing cannot name a picture that is not here', async () => {
  const { body: page } = await server.ask('GET', '/api/firings');
  const { pieceId, scheduleId } = page.firings[0];
  const firing = { id: uuid(), pieceId, scheduleId, firedAt: NOW, zone: 'UTC', photos: ['a'.repeat(64)] };
  const { status, body } = await server.ask('POST', '/api/firings', firing);
  expect({ status, path: body.path }).toEqual({ status: 422, path: 'photos.0' });
  expect(body.message).toMatch(/send it first/);
});
