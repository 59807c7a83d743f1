/** Other devices: what they are told before they have given the passcode, how they give it, and how they are let in no longer. */
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openAccess } from '../access/access';
import { hostsForOthers } from '../access/addresses';
import { readManifest } from '../backup/archive';
import { type Heard, type Said, rawRequest } from '../test/rawRequest';
import { NOW, type TestServer, startTestServer, temporaryFolder } from '../test/testServer';

const NAME = 'studio.example';
const PASSCODE = 'Tack fuse 730';

let server: TestServer;
let now = NOW;
beforeEach(async () => {
  now = NOW;
  server = await startTestServer(undefined, undefined, { names: [NAME], now: () => now, urls: () => [`http://${NAME}:4310`] });
  await server.access.changePasscode(PASSCODE, null);
});
afterEach(() => server.stop());

/** From a browser of another device, which keeps a cookie. */
const from = ({ headers, ...said }: Said, cookie?: string): Promise<Heard> =>
  rawRequest(server.base, {
    ...said,
    headers: {
      Host: NAME,
      ...(said.method && said.method !== 'GET' ? { Origin: `http://${NAME}`, 'Content-Type': 'application/json' } : {}),
      ...(cookie ? { Cookie: cookie } : {}),
      ...headers,
    },
  });
const enter = (passcode: string, device = 'Phone'): Promise<Heard> =>
  from({ method: 'POST', path: '/api/access/enter', body: JSON.stringify({ passcode, device }) });
const cookieOf = ({ headers }: Heard): string => String(headers['set-cookie']).split(';')[0];

test('without the passcode another device learns nothing and changes nothing, on any route', async () => {
  const { body: document } = await server.ask('GET', '/api/openapi.json');
  const routes = Object.entries(document.paths as Record<string, object>).flatMap(([path, methods]) =>
    Object.keys(methods).map((method) => ({ path, method })),
  );
  expect(routes.length).toBeGreaterThan(90);
  const answers = new Map<number, string[]>();
  for (const { path, method } of [...routes, { path: '/API/pieces', method: 'get' }, { path: '/api/openapi.json', method: 'get' }]) {
    const { status } = await from({ method: method.toUpperCase(), path: path.replace(/\{\w+\}/, 'clear-90'), ...(method === 'get' ? {} : { body: '{}' }) });
    answers.set(status, [...(answers.get(status) ?? []), path]);
  }
  expect([...answers.keys()].sort()).toEqual([200, 401, 422]);
  expect([answers.get(200), answers.get(422)]).toEqual([['/api/health'], ['/api/access/enter']]);
});

test('its health tells no path but to the machine itself', async () => {
  const { dataDir, ...rest } = (await server.ask('GET', '/api/health')).body;
  expect([dataDir, rest.asks]).toEqual([server.dataDir, false]);
  expect(JSON.parse((await from({ path: '/api/health' })).body)).toEqual({ ...rest, asks: true });
});

test('the passcode lets a device in for good, however it is written; its cookie is out of reach of scripts', async () => {
  const wrong = await enter('Tack fuse 731');
  expect([wrong.status, JSON.parse(wrong.body)]).toEqual([401, expect.objectContaining({ code: 'wrong-passcode', path: 'passcode' })]);
  const entered = await enter('tackfuse-730', 'Phone at the bench');
  expect(entered.status).toBe(200);
  expect(String(entered.headers['set-cookie'])).toMatch(/^torvin=[\w-]{43}; Max-Age=34560000; Path=\/; .*HttpOnly; SameSite=Lax$/);
  const cookie = cookieOf(entered);
  expect((await from({}, cookie)).status).toBe(200);
  expect((await from({}, `${cookie.slice(0, -2)}xx`)).status).toBe(401);
  const { devices, addresses } = JSON.parse((await from({ path: '/api/access' }, cookie)).body);
  expect(devices).toEqual([{ id: expect.any(String), name: 'Phone at the bench', enteredAt: NOW, seenAt: NOW, here: true }]);
  expect(addresses).toEqual([{ url: `http://${NAME}:4310`, qr: expect.stringMatching(/^<svg/) }]);
  // A day on: it is seen again, and its cookie begins anew.
  now += 24 * 3600e3;
  expect(String((await from({}, cookie)).headers['set-cookie'])).toContain(cookie);
  expect((await server.ask('GET', '/api/access')).body.devices).toMatchObject([{ seenAt: now, here: false }]);
});

test('after five wrong ones a device has to wait, and so does the right passcode from it', async () => {
  for (let i = 0; i < 5; i += 1) expect((await enter(`wrong ${i}`)).status).toBe(401);
  const sixth = await enter(PASSCODE);
  expect([sixth.status, sixth.headers['retry-after'], JSON.parse(sixth.body).message]).toEqual([429, '60', expect.stringMatching(/Wait a minute/)]);
});

test('guesses at the old passcode count as any; the machine itself is not asked for it', async () => {
  const cookie = cookieOf(await enter(PASSCODE));
  const change = (old: string) => from({ method: 'PUT', path: '/api/access/passcode', body: JSON.stringify({ passcode: 'another one', old }) }, cookie);
  for (let i = 0; i < 5; i += 1) expect((await change(`wrong ${i}`)).status).toBe(401);
  expect((await change(PASSCODE)).status).toBe(429);
  const { status, body } = await server.ask('PUT', '/api/access/passcode', { passcode: 'set anew here' });
  expect([status, body.home]).toEqual([200, true]);
});

test('a stranger who guesses locks out nobody whose requests a proxy hands on from elsewhere', async () => {
  const by = (passcode: string, address: string) =>
    from({ method: 'POST', path: '/api/access/enter', headers: { 'X-Forwarded-For': address }, body: JSON.stringify({ passcode, device: 'Phone' }) });
  for (let i = 0; i < 60; i += 1) expect((await by(`wrong ${i}`, '203.0.113.1')).status).toBe(i < 5 ? 401 : 429);
  expect((await by(PASSCODE, '203.0.113.2')).status).toBe(200);
});

test('one hundred wrong ones at once are no way round', async () => {
  const statuses = await Promise.all(Array.from({ length: 100 }, async (_, i) => (await enter(`guess ${i}`)).status));
  expect(statuses.filter((status) => status === 401).length).toBeLessThanOrEqual(5);
});

test('a device that is ended asks again, its stream too; another passcode ends all but the one that made it', async () => {
  const [one, two] = [cookieOf(await enter(PASSCODE, 'One')), cookieOf(await enter(PASSCODE, 'Two'))];
  const heard = from({ path: '/api/events' }, one);
  while (server.hub.open === 0) await new Promise((resolve) => setTimeout(resolve, 10));
  const devices: { id: string; name: string }[] = JSON.parse((await from({ path: '/api/access' }, two)).body).devices;
  const first = devices.find(({ name }) => name === 'One')?.id;
  expect((await from({ method: 'DELETE', path: `/api/access/devices/${first}`, body: '{}' }, two)).status).toBe(200);
  expect((await heard).body).toContain('event: here');
  expect([(await from({}, one)).status, (await from({}, two)).status]).toEqual([401, 200]);
  const three = cookieOf(await enter(PASSCODE, 'Three'));
  expect((await from({ method: 'PUT', path: '/api/access/passcode', body: '{"passcode":"short"}' }, two)).status).toBe(422);
  const change = async (said: object): Promise<Heard> => from({ method: 'PUT', path: '/api/access/passcode', body: JSON.stringify(said) }, two);
  for (const old of [undefined, 'Tack fuse 731']) {
    const refused = await change({ passcode: 'another one', old });
    expect([refused.status, JSON.parse(refused.body)]).toEqual([401, expect.objectContaining({ code: 'wrong-passcode', path: 'old' })]);
  }
  expect((await from({}, three)).status).toBe(200);
  expect((await change({ passcode: 'another one', old: PASSCODE })).status).toBe(200);
  expect([(await from({}, two)).status, (await from({}, three)).status, (await enter(PASSCODE)).status, (await enter('another one')).status]).toEqual([
    200, 401, 401, 200,
  ]);
});

test('what is kept has neither passcode nor cookie in it, no backup has any of it, and a start finds it again', async () => {
  const cookie = cookieOf(await enter(PASSCODE));
  const kept = readFileSync(join(server.dataDir, 'access.json'), 'utf8');
  for (const secret of [PASSCODE, 'tackfuse730', cookie.split('=')[1]]) expect(kept).not.toContain(secret);
  const { body: made } = await server.ask('POST', '/api/backups', {});
  const { files } = await readManifest(join(server.dataDir, 'backups', made.id));
  expect(files.map(({ name }) => name).filter((name) => !name.startsWith('photos/'))).toEqual(['torvin.db']);
  expect((await server.ask('POST', `/api/backups/${made.id}/restore`, {})).status).toBe(200);
  expect((await from({}, cookie)).status).toBe(200);
  const again = openAccess(server.dataDir);
  expect([again.hasPasscode(), again.devices().length, again.deviceOf(cookie.split('=')[1])?.device.name]).toEqual([true, 1, 'Phone']);
});

test('one that cannot be read is moved aside, and nobody is in', async () => {
  const folder = temporaryFolder();
  writeFileSync(join(folder, 'access.json'), '{"passcode":');
  const access = openAccess(folder);
  expect([access.hasPasscode(), access.devices()]).toEqual([false, []]);
  expect(readdirSync(folder)).toEqual([access.lost?.split('/').at(-1)]);
  const made = await access.makePasscode();
  expect(made).toMatch(/^[a-z2-9]{5}-[a-z2-9]{5}$/);
  expect(await access.enter('x'.repeat(10), 'Phone')).toBeNull();
  expect(await access.enter(made.toUpperCase().replace('-', ' '), 'Phone')).toMatch(/^[\w-]{43}$/);
});

test('nobody else can come where it listens on loopback, and is told no address', () => {
  expect(hostsForOthers({ host: '127.0.0.1', names: ['kiln.local'] })).toEqual([]);
  expect(hostsForOthers({ host: '192.0.2.7', names: ['kiln.local'] })).toEqual(['kiln.local', '192.0.2.7']);
  for (const host of hostsForOthers({ host: '0.0.0.0', names: [] })) expect(host).toMatch(/^\d+\.\d+\.\d+\.\d+$/);
});
