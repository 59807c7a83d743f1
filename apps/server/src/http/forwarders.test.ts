/** Strangers who come by way of this machine: through a proxy that names it anew, one that passes the name on, and a plain tunnel. */
import { type Server, createServer } from 'node:http';
import { type AddressInfo, type Server as Tunnel, connect, createServer as createTunnel } from 'node:net';
import { createProxyMiddleware } from 'http-proxy-middleware';
import { type Heard, type Said, rawRequest } from '../test/rawRequest';
import { type TestServer, startTestServer } from '../test/testServer';

const NAME = 'studio.example';
const PASSCODE = 'Tack fuse 730';
const JSON_TYPE = { 'Content-Type': 'application/json' };

const open: (Server | Tunnel)[] = [];
let server: TestServer | null = null;
afterEach(async () => {
  await Promise.all(open.splice(0).map((one) => new Promise((resolve) => one.close(resolve))));
  await server?.stop();
  server = null;
});

async function listening(one: Server | Tunnel): Promise<string> {
  open.push(one);
  await new Promise<void>((resolve) => one.listen(0, '127.0.0.1', resolve));
  return `http://127.0.0.1:${(one.address() as AddressInfo).port}`;
}

function proxy(target: string, options: { changeOrigin: boolean; xfwd: boolean }): Promise<string> {
  const hand = createProxyMiddleware({ target, ...options });
  return listening(createServer((request, response) => void hand(request, response, () => undefined)));
}

const FORWARDERS: Record<string, { to(target: string): Promise<string>; saysSo: boolean; keepsName: boolean }> = {
  'a proxy that names this machine': { to: (target) => proxy(target, { changeOrigin: true, xfwd: false }), saysSo: false, keepsName: false },
  'a proxy that passes the name on and says for whom': { to: (target) => proxy(target, { changeOrigin: false, xfwd: true }), saysSo: true, keepsName: true },
  'a plain tunnel': {
    to: (target) =>
      listening(
        createTunnel((socket) => {
          const on = connect(Number(new URL(target).port), '127.0.0.1');
          socket.pipe(on).pipe(socket);
          for (const one of [socket, on]) one.on('error', () => undefined);
        }),
      ),
    saysSo: false,
    keepsName: true,
  },
};

const asked = (base: string, { headers, ...said }: Said): Promise<Heard> => rawRequest(base, { ...said, headers: { Connection: 'close', ...headers } });
const save = (base: string, path: string, body: object, headers: Record<string, string> = {}, method = 'PUT'): Promise<Heard> =>
  asked(base, { method, path, body: JSON.stringify(body), headers: { ...JSON_TYPE, ...headers } });

describe.each(Object.entries(FORWARDERS))('%s', (_, { to, saysSo, keepsName }) => {
  async function start(trustsLoopback: boolean): Promise<string> {
    server = await startTestServer(undefined, undefined, { names: [NAME], trustsLoopback });
    await server.access.changePasscode(PASSCODE, null);
    return to(server.base);
  }

  test('where a connection from this machine proves nothing, a stranger reads and changes nothing, by whatever name', async () => {
    const base = await start(false);
    for (const Host of ['localhost', '127.0.0.1', NAME]) {
      for (const path of ['/api/pieces', '/api/backups', '/api/access', '/api/photos/aside', '/api/openapi.json', '/api/events'])
        expect((await asked(base, { path, headers: { Host } })).status).toBe(401);
      expect((await save(base, '/api/access/passcode', { passcode: 'taken over' }, { Host })).status).toBe(401);
      expect((await save(base, '/api/backups', {}, { Host }, 'POST')).status).toBe(401);
      const health = await asked(base, { path: '/api/health', headers: { Host } });
      expect(JSON.parse(health.body)).toMatchObject({ asks: true });
      expect(health.body).not.toContain('dataDir');
    }
    expect(await server?.access.isPasscode(PASSCODE)).toBe(true);
  });

  test('with the passcode it is let in, from its own page too, and is not taken for this machine', async () => {
    const base = await start(false);
    const { host } = new URL(base);
    // What a browser says that has opened the forwarder's address, by a name that the studio goes by.
    const Host = keepsName ? `${NAME}:4310` : host;
    const Origin = keepsName ? `http://${Host}` : `http://${new URL(server?.base ?? '').host}`;
    const entered = await save(base, '/api/access/enter', { passcode: PASSCODE, device: 'Phone' }, { Host, Origin }, 'POST');
    expect(entered.status).toBe(200);
    const Cookie = String(entered.headers['set-cookie']).split(';')[0];
    const told = await asked(base, { path: '/api/access', headers: { Host, Cookie } });
    expect([told.status, JSON.parse(told.body).home]).toEqual([200, false]);
    expect((await save(base, '/api/access/passcode', { passcode: 'another one' }, { Host, Origin, Cookie })).status).toBe(401);
    expect((await save(base, '/api/access/passcode', { passcode: 'another one', old: 'tackfuse730' }, { Host, Origin, Cookie })).status).toBe(200);
  });

  if (saysSo)
    test('is never this machine, also where Torvin listens on it alone', async () => {
      const base = await start(true);
      for (const Host of ['localhost', '127.0.0.1']) expect((await asked(base, { headers: { Host } })).status).toBe(401);
    });
});

describe('this machine itself', () => {
  beforeEach(async () => {
    server = await startTestServer(undefined, undefined, { names: [NAME], trustsLoopback: false });
  });
  const told = async (headers: Record<string, string>) => {
    const { status, body } = await asked(server?.base ?? '', { path: '/api/access', headers });
    return [status, JSON.parse(body).home];
  };

  test('shows its token as a program, and loses by it nothing but the name where it was handed on', async () => {
    expect(await told({ Authorization: 'Bearer ' })).toEqual([401, undefined]);
    const token = server?.access.ownToken();
    expect(await told({ Authorization: `Bearer ${token}` })).toEqual([200, true]);
    expect(await told({ Authorization: `bearer ${token}`, 'X-Forwarded-For': '203.0.113.7' })).toEqual([200, false]);
    for (const wrong of [`Bearer ${token}x`, `Bearer ${token?.slice(1)}`, `Basic ${token}`, token ?? ''])
      expect((await told({ Authorization: wrong }))[0]).toBe(401);
    expect((await save(server?.base ?? '', '/api/access/passcode', { passcode: 'chosen here' }, { Authorization: `Bearer ${token}` })).status).toBe(200);
    expect(await server?.access.isPasscode('chosen here')).toBe(true);
  });

  test.each(['Forwarded', 'X-Forwarded-For', 'X-Forwarded-Anything', 'X-Real-IP', 'Via'])('is not what says %s', async (name) => {
    const token = server?.access.ownToken();
    expect(await told({ Authorization: `Bearer ${token}`, [name]: 'for=127.0.0.1' })).toEqual([200, false]);
  });

  test('opens the link in a browser once: it keeps a cookie with the same rights, and no token in its address', async () => {
    const token = server?.access.ownToken();
    const base = server?.base ?? '';
    const path = `/api/access/link?token=${token}`;
    const opened = await asked(base, { path });
    expect([opened.status, opened.headers.location]).toEqual([303, '/']);
    const Cookie = String(opened.headers['set-cookie']).split(';')[0];
    expect(await told({ Cookie })).toEqual([200, true]);
    expect(await told({ Cookie, Via: '1.1 proxy' })).toEqual([200, false]);
    expect((await asked(base, { path, headers: { Cookie } })).headers['set-cookie']).toBeUndefined();
    expect(server?.access.devices().map(({ name }) => name)).toEqual(['The computer Torvin runs on']);
    for (const wrong of [`/api/access/link?token=${token}x`, '/api/access/link', '/api/access/link?token[]=1']) {
      const refused = await asked(base, { path: wrong });
      expect([refused.status, refused.headers['set-cookie']]).toEqual([303, undefined]);
    }
  });
});

test('behind a proxy that ends https its own page may change things, its cookie is for https alone, and another page may not', async () => {
  server = await startTestServer(undefined, undefined, { names: [NAME], trustsLoopback: false });
  await server.access.changePasscode(PASSCODE, null);
  const body = { passcode: PASSCODE, device: 'Phone' };
  const by = (host: string, origin: string, more: Record<string, string> = {}) =>
    save(
      server?.base ?? '',
      '/api/access/enter',
      body,
      { Host: host, Origin: origin, 'X-Forwarded-Proto': 'https', 'X-Forwarded-For': '203.0.113.7', ...more },
      'POST',
    );
  const entered = await by(NAME, `https://${NAME}`);
  expect([entered.status, String(entered.headers['set-cookie'])]).toEqual([200, expect.stringContaining('Secure')]);
  expect((await by('localhost', `https://${NAME}`, { 'X-Forwarded-Host': NAME })).status).toBe(200);
  expect((await by(NAME, `http://${NAME}`)).status).toBe(403);
  expect((await by(NAME, 'https://elsewhere.example')).status).toBe(403);
  expect((await by('localhost', 'https://elsewhere.example', { 'X-Forwarded-Host': 'elsewhere.example' })).status).toBe(421);
});
