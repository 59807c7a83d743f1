import type { Piece } from '@torvin/schema';
import { makeQueryClient } from '@/data/queries';
import { keys } from '@/outside/keys';
import { withFakeServer } from '@/test/fakeServer';
import { outboxOf } from './make';

const piece = { id: 'p', name: 'Tray', version: 1, doc: { journey: [{ kind: 'lay', id: 'l', layers: [{ id: 'a', depth: 3 }] }] } } as unknown as Piece;

/** Answers what it is told to, then that it has taken what was sent. */
class Told {
  readonly next: { status: number; body: unknown; retryAfter?: string }[] = [];
  readonly asked: { at: number; key: string | undefined; keepalive: boolean | undefined; version: number }[] = [];

  answer(_url: string, init?: RequestInit): { status: number; body: unknown; headers?: Record<string, string> } {
    const { version, ...change } = JSON.parse(String(init?.body)) as { version: number; name: string; doc: object };
    const key = (init?.headers as Record<string, string>)['Idempotency-Key'];
    this.asked.push({ at: Date.now(), key, keepalive: init?.keepalive, version });
    const { retryAfter, ...told } = this.next.shift() ?? { status: 200, body: { ...piece, ...change, version: version + 1 } };
    return { ...told, headers: retryAfter === undefined ? {} : { 'Retry-After': retryAfter } };
  }
}

const at = withFakeServer(() => new Told());
const change = (depth: number, before = piece): object => ({
  id: 'p',
  name: before.name,
  doc: { ...before.doc, journey: [{ kind: 'lay', id: 'l', layers: [{ id: 'a', depth }] }] },
  what: 'depth',
  before: { name: before.name, doc: before.doc },
});

test('a busy server is asked again when it says, under the same key, in a request that outlives its page', async () => {
  const client = makeQueryClient();
  at.current.next.push({ status: 503, body: { code: 'busy', path: '', message: 'busy' }, retryAfter: '7' });
  at.current.next.push({ status: 503, body: { code: 'busy', path: '', message: 'busy' } });
  outboxOf(client).put('savePiece', change(4), { on: 1 });
  await jest.advanceTimersByTimeAsync(20_000);
  const [first, second, third] = at.current.asked;
  expect([second.at - first.at, third.at - second.at]).toEqual([7000, 2000]);
  expect(new Set(at.current.asked.map(({ key }) => key)).size).toBe(1);
  expect(first.key).toMatch(/^[0-9a-f-]{36}$/);
  expect(first.keepalive).toBe(true);
  expect(outboxOf(client).entries()).toEqual([]);
  expect(client.getQueryData(keys.piece('p'))).toMatchObject({ version: 2 });
});

test('what was pressed to and fro is no change of mine, and what stands is shown once it is known', async () => {
  const client = makeQueryClient();
  const outbox = outboxOf(client);
  const theirs = { ...piece, version: 5, doc: { journey: [{ kind: 'lay', id: 'l', layers: [{ id: 'a', depth: 9 }] }] } };
  at.current.next.push({ status: 409, body: { code: 'stale', path: 'version', message: 'stale', current: theirs } });
  outbox.put('savePiece', change(4), { on: 1, rest: { key: 'depth', for_ms: 400 } });
  outbox.put(
    'savePiece',
    change(3, { ...piece, doc: { ...piece.doc, journey: [{ kind: 'lay', id: 'l', layers: [{ id: 'a', depth: 4 }] }] } } as unknown as Piece),
    {
      on: 1,
      rest: { key: 'depth', for_ms: 400 },
    },
  );
  await jest.advanceTimersByTimeAsync(500);
  expect(client.getQueryData(keys.piece('p'))).toMatchObject({ version: 5 });
  const [refused] = outbox.entries();
  outbox.mineOverTheirs(refused.id);
  await jest.advanceTimersByTimeAsync(0);
  expect(client.getQueryData(keys.piece('p'))).toMatchObject({ version: 6, doc: { journey: [{ layers: [{ depth: 9 }] }] } });
});
