/** What open pages are told, as it comes over the wire. */
import { EventEmitter } from 'node:events';
import { type ClientRequest, get } from 'node:http';
import type { Change } from '@torvin/schema';
import { NOW, type TestServer, startTestServer } from '../test/testServer';
import { type Hub, makeHub } from './hub';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

interface Listening {
  heard: { id: string; event: string; change: Change }[];
  headers: NodeJS.Dict<string | string[]>;
  request: ClientRequest;
}

/** A stream as a browser reads it, without what a browser does when it ends. */
function listen(path = '/api/events', headers: Record<string, string> = {}): Promise<Listening> {
  return new Promise((resolve) => {
    const request = get(server.base + path, { headers: { 'Accept-Encoding': 'gzip, br', ...headers } }, (response) => {
      const listening: Listening = { heard: [], headers: response.headers, request };
      let text = '';
      response.on('data', (chunk: Buffer) => {
        const parts = (text + chunk.toString()).split('\n\n');
        text = parts.pop() ?? '';
        for (const part of parts) {
          const [, id, event, data] = /^id: (.*)\nevent: (.*)\ndata: (.*)$/.exec(part) ?? [];
          if (id) listening.heard.push({ id, event, change: JSON.parse(data) as Change });
        }
        resolve(listening);
      });
      response.on('error', () => undefined);
    });
    request.on('error', () => undefined);
  });
}

const heard = async ({ heard }: Listening, count: number): Promise<Change[]> => {
  const changes = () => heard.filter(({ event }) => event === 'change').map(({ change }) => change);
  while (changes().length < count) await new Promise((resolve) => setTimeout(resolve, 5));
  return changes();
};

const theme = (value: string, page?: string) =>
  server.ask('PUT', '/api/studio', { temperatureUnit: 'C', lengthUnit: 'mm', massUnit: 'g', theme: value }, page ? { 'Torvin-Page': page } : {});

test('a change is told to every stream, with whose it was; what was refused is not, nor what was only read', async () => {
  const [one, two] = [await listen(), await listen()];
  await server.ask('GET', '/api/pieces');
  expect((await theme('purple')).status).toBe(422);
  await theme('dark', 'page-one');
  const [piece] = await server.pieces();
  await server.ask('PUT', `/api/pieces/${piece.id}`, { version: piece.version, name: 'Renamed', doc: piece.doc });
  const told = [
    { topic: 'studio', page: 'page-one' },
    { topic: 'piece', id: piece.id },
  ];
  expect([await heard(one, 2), await heard(two, 2)]).toEqual([told, told]);
  expect([one.headers['content-type'], one.headers['content-encoding']]).toEqual(['text/event-stream', undefined]);
  one.request.destroy();
  two.request.destroy();
});

test('goes on after the last event that was had, by either way of saying it; where that is not known anything may have changed', async () => {
  const first = await listen();
  await theme('light');
  await heard(first, 1);
  const last = first.heard.at(-1)?.id ?? '';
  first.request.destroy();
  await theme('dark');
  await theme('system');
  for (const again of [await listen('/api/events', { 'Last-Event-ID': last }), await listen(`/api/events?after=${encodeURIComponent(last)}`)]) {
    expect((await heard(again, 2)).map(({ topic }) => topic)).toEqual(['studio', 'studio']);
    again.request.destroy();
  }
  for (const after of ['zz.3', 'nonsense', '%00', `${last}9`]) {
    const lost = await listen(`/api/events?after=${after}`);
    expect(await heard(lost, 1)).toEqual([{ topic: 'all' }]);
    lost.request.destroy();
  }
  const fresh = await listen();
  expect(fresh.heard.map(({ event }) => event)).toEqual(['here']);
  fresh.request.destroy();
});

test('a stream does not keep a backup from being put back, and is told of it', async () => {
  const listening = await listen();
  const { body: made } = await server.ask('POST', '/api/backups', {});
  const waits = jest.spyOn(global, 'setTimeout');
  expect((await server.ask('POST', `/api/backups/${made.id}/restore`, {})).status).toBe(200);
  // Requests that have not ended are looked at every 20 ms, five hundred times at most.
  expect(waits.mock.calls.filter(([, ms]) => ms === 20).length).toBeLessThan(100);
  waits.mockRestore();
  expect((await heard(listening, 2)).map(({ topic }) => topic)).toEqual(['backups', 'all']);
  listening.request.destroy();
});

describe('more than it remembers', () => {
  /** Every event that a stream of this hub is written. */
  const written = (hub: Hub, after?: string): { id: string; change: Change }[] => {
    const response = Object.assign(new EventEmitter(), {
      text: '',
      writableLength: 0,
      writeHead: () => undefined,
      destroy: () => undefined,
      end: () => undefined,
    });
    Object.assign(response, { write: (text: string) => void (response.text += text) });
    hub.stream(response as never, after, null);
    return [...response.text.matchAll(/id: (.*)\nevent: change\ndata: (.*)\n/g)].map(([, id, data]) => ({ id, change: JSON.parse(data) as Change }));
  };
  const change = (n: number): Change => ({ topic: 'piece', id: `piece ${n}` });

  test('five hundred changes later a stream goes on exactly where it ended, and one change later it is told that all may have changed', () => {
    const hub = makeHub(NOW);
    hub.publish(change(0));
    const had = hub.last;
    for (let n = 1; n <= 500; n += 1) hub.publish(change(n));
    expect(written(hub, had).map((one) => one.change)).toEqual(Array.from({ length: 500 }, (_, i) => change(i + 1)));
    hub.publish(change(501));
    expect(written(hub, had).map((one) => one.change)).toEqual([{ topic: 'all' }]);
    // Of the latest ones none is left out, however many there were.
    const late = hub.last;
    for (let n = 502; n <= 520; n += 1) hub.publish(change(n));
    expect(written(hub, late).map((one) => one.change)).toEqual(Array.from({ length: 19 }, (_, i) => change(502 + i)));
    expect(written(hub, hub.last)).toEqual([]);
    hub.close();
  });
});
