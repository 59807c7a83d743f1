/** Who may read and who may change a studio, by what a browser or program says of itself. */
import { networkInterfaces } from 'node:os';
import { type Heard, type Said, rawRequest } from '../test/rawRequest';
import { type TestServer, startTestServer } from '../test/testServer';
import { isOwnName, nameIn } from './guard';

let server: TestServer;
let port: string;
beforeAll(async () => {
  server = await startTestServer();
  port = new URL(server.base).port;
});
afterAll(() => server.stop());

const ask = (said: Said): Promise<Heard> => rawRequest(server.base, said);

const settings = (theme: string): string => JSON.stringify({ temperatureUnit: 'C', lengthUnit: 'mm', massUnit: 'g', theme });
const JSON_TYPE = { 'Content-Type': 'application/json' };
const themeNow = async (): Promise<string> => (await server.ask('GET', '/api/studio')).body.theme;
const save = (headers: Record<string, string>, theme = 'dark') => ask({ method: 'PUT', path: '/api/studio', headers, body: settings(theme) });

describe('the name it is called by', () => {
  test.each(['localhost', '127.0.0.1', '[::1]', 'LocalHost', 'localhost.'])('%s is its own', async (name) => {
    expect((await ask({ headers: { Host: `${name}:${port}` } })).status).toBe(200);
  });

  test.each(['studio.example', 'localhost.example', '127.0.0.1.example', '10.1.2.3', '-'])("'%s' is not, for reading or writing", async (name) => {
    const read = await ask({ headers: { Host: `${name}:${port}` } });
    expect(read.status).toBe(421);
    expect(read.body).not.toMatch(/Plaque/);
    expect(JSON.parse(read.body).message).toMatch(`TORVIN_NAMES=${name}`);
    expect((await save({ ...JSON_TYPE, Host: `${name}:${port}` })).status).toBe(421);
  });

  test('may be configured; listening everywhere it goes by its own addresses, never by a stranger', () => {
    const everywhere = { host: '0.0.0.0', names: ['kiln.local'] };
    const own = Object.values(networkInterfaces()).flatMap((all) => all ?? []);
    for (const { address } of own) expect(isOwnName(address.toLowerCase(), everywhere)).toBe(true);
    expect(isOwnName('kiln.local', everywhere)).toBe(true);
    expect(isOwnName('203.0.113.9', everywhere)).toBe(false);
    expect(isOwnName('studio.example', everywhere)).toBe(false);
    expect(isOwnName('192.168.1.5', { host: '192.168.1.5', names: [] })).toBe(true);
  });

  test.each([
    ['localhost:4310', 'localhost'],
    ['[::1]:4310', '::1'],
    ['Kiln.Local', 'kiln.local'],
    ['evil.example:80:90', ''],
    ['a@b:80', 'a@b'],
    [undefined, ''],
  ])('in %s it is %s', (host, name) => expect(nameIn(host)).toBe(name));
});

describe('a change', () => {
  beforeEach(() => save(JSON_TYPE, 'light'));

  test.each([
    ['its own page', () => ({ Origin: server.base, 'Sec-Fetch-Site': 'same-origin' })],
    ['its own page in an older browser', () => ({ Origin: server.base })],
    ['a program on this machine that sends JSON', () => ({})],
  ])('from %s is taken', async (_, said) => {
    expect((await save({ ...JSON_TYPE, ...said() })).status).toBe(200);
    expect(await themeNow()).toBe('dark');
  });

  test.each([
    ['another page', () => ({ Origin: 'http://studio.example' })],
    ['a page on another port of this machine', () => ({ Origin: 'http://127.0.0.1:1', 'Sec-Fetch-Site': 'same-site' })],
    ['a page without an origin of its own', () => ({ Origin: 'null' })],
    ['a page that hides where it is from', () => ({ 'Sec-Fetch-Site': 'cross-site' })],
    ['its own origin by another protocol', () => ({ Origin: server.base.replace('http:', 'https:') })],
  ])('from %s is refused', async (_, said) => {
    const { status, body } = await save({ ...JSON_TYPE, ...said() });
    expect({ status, code: JSON.parse(body).code }).toEqual({ status: 403, code: 'foreign-origin' });
    expect(await themeNow()).toBe('light');
  });

  test.each(['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data; boundary=x'])('sent as %s, as a form could, is refused', async (type) => {
    expect((await save({ 'Content-Type': type })).status).toBe(415);
    expect((await ask({ method: 'POST', path: '/api/photos', headers: { 'Content-Type': type }, body: 'x' })).status).toBe(415);
  });

  test('to the pictures is a picture by its type, also from its own page', async () => {
    const headers = { Origin: server.base, 'Content-Type': 'text/plain' };
    expect((await ask({ method: 'POST', path: '/api/photos', headers, body: 'x' })).status).toBe(415);
  });
});

test('a page of another version is told so, before anything that it means is taken; its reads go on', async () => {
  const before = await themeNow();
  const { headers } = await ask({ path: '/api/studio', headers: { 'Torvin-Api': 'of another' } });
  const api = String(headers['torvin-api']);
  expect(api).toMatch(/^[0-9a-f]{12}$/);
  const own = { ...JSON_TYPE, Origin: server.base };
  const refused = await save({ ...own, 'Torvin-Api': 'of another' });
  expect({ status: refused.status, code: JSON.parse(refused.body).code }).toEqual({ status: 412, code: 'other-version' });
  expect(await themeNow()).toBe(before);
  expect((await save({ ...own, 'Torvin-Api': api })).status).toBe(200);
});

test('every answer says what it may load and that nobody frames it; nothing asks for https on plain http', async () => {
  const { headers } = await ask({ path: '/api/health' });
  const policy = String(headers['content-security-policy']);
  for (const part of ["script-src 'self' 'wasm-unsafe-eval';", "worker-src 'self'", "style-src 'self' 'unsafe-inline'", "frame-ancestors 'none'"])
    expect(policy).toContain(part);
  expect(policy).not.toMatch(/upgrade-insecure-requests|'unsafe-eval'/);
  expect(headers['x-content-type-options']).toBe('nosniff');
  expect(headers['strict-transport-security']).toBeUndefined();
  expect(headers['cross-origin-opener-policy']).toBeUndefined();
});
