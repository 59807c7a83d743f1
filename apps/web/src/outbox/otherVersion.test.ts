/** A page whose server was renewed while it was open. */
import { API_HEADER, asks } from '@torvin/schema';
import { makeQueryClient } from '@/data/queries';
import { type ApiProblem, call } from '@/outside/client';
import { isOtherVersion } from '@/outside/version';
import { withFakeServer } from '@/test/fakeServer';
import { outboxOf } from './make';

jest.mock('@/outside/page', () => ({ PAGE: 'page', API: 'mine' }));

/** Refuses what another version means, and says with every answer what it means itself. */
class Renewed {
  api = 'another';
  readonly asked: string[] = [];

  answer(url: string, init?: RequestInit): { status: number; body: unknown; headers: Record<string, string> } {
    const headers = { [API_HEADER]: this.api };
    const theirs = (init?.headers as Record<string, string> | undefined)?.[API_HEADER];
    this.asked.push(`${init?.method} ${url} ${theirs ?? ''}`.trim());
    if (init?.body !== undefined && theirs !== this.api) return { status: 412, body: { code: 'other-version', path: '', message: 'renewed' }, headers };
    return { status: 200, body: {}, headers };
  }
}

const at = withFakeServer(() => new Renewed());
const studio = { temperatureUnit: 'C', lengthUnit: 'mm', massUnit: 'g', theme: 'dark', csv: 'comma' } as const;

test('what it saves is refused as if nobody had answered, waits, and goes when the two mean the same again', async () => {
  const outbox = outboxOf(makeQueryClient());
  outbox.put('saveStudio', studio);
  await jest.advanceTimersByTimeAsync(60_000);
  expect(at.current.asked).toEqual(['PUT /api/studio mine']);
  expect(isOtherVersion()).toBe(true);
  expect(outbox.entries()).toMatchObject([{ name: 'saveStudio', variables: studio }]);
  expect(outbox.entries()[0].refused).toBeUndefined();
  // The one before it was put back.
  at.current.api = 'mine';
  await call(asks.health);
  await jest.advanceTimersByTimeAsync(100);
  expect(isOtherVersion()).toBe(false);
  expect(outbox.entries()).toEqual([]);
});

test('what waits for no outbox says why', async () => {
  const refused = await call(asks.saveStudio, { body: studio }).catch((error: unknown) => error as ApiProblem);
  expect(refused).toMatchObject({ status: 0, problem: { code: 'other-version' } });
});
