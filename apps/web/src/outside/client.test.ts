import { asks } from '@torvin/schema';
import { onlineManager } from '@tanstack/react-query';
import { type ApiProblem, call, problemOfError } from './client';
import { serverAnswered } from './connection';

const answer = (status: number, body: string) =>
  jest.fn().mockResolvedValue({ ok: status < 400, status, headers: new Headers(), json: async () => JSON.parse(body) as unknown });

const problemFrom = async (fetched: jest.Mock): Promise<ApiProblem> => {
  global.fetch = fetched as unknown as typeof fetch;
  return call(asks.piece, { id: 'a/b' }).then(
    () => {
      throw new Error('it went through');
    },
    (error: unknown) => error as ApiProblem,
  );
};

describe('a call to the server', () => {
  test('puts the id into the path and the body into JSON', async () => {
    const fetched = answer(200, '{"theme":"dark"}');
    global.fetch = fetched as unknown as typeof fetch;
    await call(asks.saveStudio, { body: { temperatureUnit: 'C', lengthUnit: 'mm', massUnit: 'g', theme: 'dark' } });
    expect(fetched.mock.calls[0]).toEqual([
      '/api/studio',
      expect.objectContaining({ method: 'PUT', body: '{"temperatureUnit":"C","lengthUnit":"mm","massUnit":"g","theme":"dark"}' }),
    ]);
    await problemFrom(answer(404, '{"code":"unknown-id","path":"id","message":"none"}'));
    expect((global.fetch as jest.Mock).mock.calls[0][0]).toBe('/api/pieces/a%2Fb');
  });

  test('carries a problem through, with the current state of a stale save', async () => {
    const problem = await problemFrom(answer(409, '{"code":"stale","path":"version","message":"changed","current":{"version":3}}'));
    expect(problem).toMatchObject({ status: 409, problem: { code: 'stale' }, current: { version: 3 } });
  });

  test('names a server that does not answer', async () => {
    const problem = await problemFrom(jest.fn().mockRejectedValue(new TypeError('Failed to fetch')));
    expect(problem).toMatchObject({ status: 0, problem: { code: 'offline' } });
  });

  test('a save that nobody ever answers is none that was answered; what only asks may take its time', async () => {
    const never = jest.fn(
      (_: string, { signal }: RequestInit) =>
        new Promise<Response>((_resolve, reject) => signal?.addEventListener('abort', () => reject(signal.reason as Error))),
    );
    jest.useFakeTimers();
    global.fetch = never as unknown as typeof fetch;
    const saved = call(asks.deletePiece, { id: 'a', key: 'of-this-save', body: { version: 1 } }).catch((error: unknown) => error);
    void call(asks.piece, { id: 'a' });
    expect(never.mock.calls[1][1].signal).toBeUndefined();
    await jest.advanceTimersByTimeAsync(60_000);
    expect(await saved).toMatchObject({ status: 0, problem: { code: 'offline' } });
    expect(onlineManager.isOnline()).toBe(false);
    serverAnswered();
    jest.useRealTimers();
  });

  test('does not take a page of HTML for an answer', async () => {
    const problem = await problemFrom(answer(502, '<html>'));
    expect(problem.problem.code).toBe('unreadable-answer');
  });

  test('an answer that was cut off on its way is none: what was asked may have been done, and is not taken for refused', async () => {
    expect(await problemFrom(answer(200, '{"id":"a/b","na'))).toMatchObject({ status: 0, problem: { code: 'offline' } });
    expect(onlineManager.isOnline()).toBe(false);
    serverAnswered();
  });

  test('null is an answer: there is none of what was asked for', async () => {
    global.fetch = answer(200, 'null') as unknown as typeof fetch;
    expect(await call(asks.used, { query: { look: 'tack' } })).toBeNull();
    expect(onlineManager.isOnline()).toBe(true);
  });

  test('what nobody waits for any more says nothing of the server', async () => {
    const [gone, cut] = [new AbortController(), new DOMException('gone', 'AbortError')];
    global.fetch = jest.fn().mockResolvedValue({ ok: true, status: 200, headers: new Headers(), json: () => Promise.reject(cut) }) as unknown as typeof fetch;
    gone.abort();
    await expect(call(asks.piece, { id: 'a', signal: gone.signal })).rejects.toBe(cut);
    expect(onlineManager.isOnline()).toBe(true);
  });

  test('anything thrown becomes a problem', () => {
    expect(problemOfError(new Error('odd'))).toEqual({ code: 'unexpected', path: '', message: 'odd' });
  });
});
