/** A stand-in for the server in tests of what saves: it answers every fetch, or is silent. Time stands still but for the test. */
import { serverAnswered } from '@/outside/connection';

export interface FakeServer {
  /** Throws where no answer is to come. */
  answer(url: string, init?: RequestInit): { status: number; body: unknown; headers?: Record<string, string> };
}

/** Registers the hooks; a new server stands before each test. */
export function withFakeServer<S extends FakeServer>(make: () => S): { current: S } {
  const at = {} as { current: S };
  beforeEach(() => {
    jest.useFakeTimers();
    localStorage.clear();
    sessionStorage.clear();
    at.current = make();
    global.fetch = (async (url: string, init?: RequestInit) => {
      const { status, body, headers } = at.current.answer(url, init);
      return { ok: status < 400, status, headers: new Headers(headers), json: async () => body };
    }) as unknown as typeof fetch;
  });
  afterEach(() => {
    serverAnswered();
    jest.useRealTimers();
  });
  return at;
}
