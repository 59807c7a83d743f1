import { type QueryClient, onlineManager } from '@tanstack/react-query';
import type { Studio } from '@torvin/schema';
import { serverAnswered, serverSilent } from './connection';
import { makeQueryClient } from './queries';
import { type Refused, addRefused, dropRefused, refuseAgain, wayOn } from './refused';
import { overTheirs, sendAgain, wordsOfSave } from './saves';
import { storedKeys } from './storage';

const STUDIO: Studio = { temperatureUnit: 'F', lengthUnit: 'in', massUnit: 'oz', theme: 'dark' };
const KEPT = 'torvin-kept:';

let answers: (url: string, init?: RequestInit) => Promise<{ ok: boolean; status: number; body: unknown }>;
const asked: string[] = [];

const silence = (): void => {
  answers = async () => {
    throw new TypeError('Failed to fetch');
  };
};
const answerAll = (status = 200, body: unknown = { ok: true }): void => {
  answers = async () => ({ ok: status < 400, status, body });
};

beforeEach(() => {
  jest.useFakeTimers();
  localStorage.clear();
  sessionStorage.clear();
  asked.length = 0;
  silence();
  global.fetch = (async (url: string, init?: RequestInit) => {
    if (init?.method) asked.push(`${init.method} ${url} ${String(init.body)}`);
    const { body, ...rest } = await answers(url, init);
    return { ...rest, json: async () => body };
  }) as unknown as typeof fetch;
});
afterEach(() => {
  serverAnswered();
  jest.useRealTimers();
});

const settle = (ms = 50): Promise<void> => jest.advanceTimersByTimeAsync(ms);
const pending = (client: QueryClient): number => client.getMutationCache().findAll({ status: 'pending' }).length;
/** As a hook does it. */
const save = (client: QueryClient, variables: unknown): void => {
  const mutation = client.getMutationCache().build<unknown, Error, unknown, unknown>(client, { mutationKey: ['saveStudio'], scope: { id: 'studio' } });
  mutation.execute(variables).catch(() => undefined);
};

/** What is left when a tab is closed at once: what it kept, and nothing of it that runs. */
async function closeTab(client: QueryClient): Promise<string> {
  const [key] = storedKeys(KEPT);
  const left = localStorage.getItem(key) ?? '';
  client.clear();
  await settle(1000);
  localStorage.setItem(key, left);
  return left;
}

describe('a save while the server is silent', () => {
  test('waits, and goes by itself when the server answers again', async () => {
    const client = makeQueryClient();
    client.mount();
    save(client, STUDIO);
    await settle();
    expect(onlineManager.isOnline()).toBe(false);
    expect(pending(client)).toBe(1);
    answerAll(200, STUDIO);
    await settle(10_000);
    expect(onlineManager.isOnline()).toBe(true);
    expect(pending(client)).toBe(0);
    expect(asked.filter((line) => line.startsWith('PUT'))).toHaveLength(2);
    expect(storedKeys(KEPT)).toEqual([]);
    client.unmount();
  });

  test('outlives its page: the same tab, opened again, sends what waited, in its order', async () => {
    const first = makeQueryClient();
    serverSilent();
    save(first, { ...STUDIO, theme: 'light' });
    save(first, STUDIO);
    await settle();
    expect(asked).toEqual([]);
    expect(storedKeys(KEPT)).toHaveLength(1);
    await closeTab(first);
    answerAll(200, STUDIO);
    serverAnswered();
    const second = makeQueryClient();
    await settle();
    expect(asked.map((line) => /"theme":"(\w+)"/.exec(line)?.[1])).toEqual(['light', 'dark']);
    expect(pending(second)).toBe(0);
    await settle(1000);
    expect(storedKeys(KEPT)).toEqual([]);
  });

  test('stays kept together with the one that is being sent, so that a reload sends both in their order', async () => {
    const client = makeQueryClient();
    client.mount();
    serverSilent();
    for (const theme of ['light', 'dark', 'system'] as const) save(client, { ...STUDIO, theme });
    await settle();
    const kept = (): string[] => {
      const [key] = storedKeys(KEPT);
      const left = JSON.parse((key && localStorage.getItem(key)) || '{"mutations":[]}') as { mutations: { state: { variables: Studio } }[] };
      return left.mutations.map(({ state }) => state.variables.theme);
    };
    expect(kept()).toEqual(['light', 'dark', 'system']);
    let letThrough = (): void => undefined;
    const held = new Promise<void>((resolve) => (letThrough = resolve));
    answers = async (_url, init) => {
      if (init?.method) await held;
      return { ok: true, status: 200, body: STUDIO };
    };
    serverAnswered();
    await settle(300);
    expect(asked).toHaveLength(1);
    expect(kept()).toEqual(['light', 'dark', 'system']);
    letThrough();
    await settle(300);
    expect(asked).toHaveLength(3);
    expect(storedKeys(KEPT)).toEqual([]);
    client.unmount();
  });

  test('of another tab is left alone while that lives, and taken up when it is gone', async () => {
    const first = makeQueryClient();
    serverSilent();
    save(first, STUDIO);
    await settle();
    const left = await closeTab(first);
    localStorage.clear();
    sessionStorage.clear();
    answerAll(200, STUDIO);
    serverAnswered();
    localStorage.setItem(`${KEPT}other`, left);
    expect(pending(makeQueryClient())).toBe(0);
    await settle();
    expect(asked).toEqual([]);
    await settle(30_000);
    localStorage.setItem(`${KEPT}other`, left);
    makeQueryClient();
    await settle();
    expect(asked).toHaveLength(1);
  });

  test('refused after its page is gone is kept for the person, with the version that stands', async () => {
    const first = makeQueryClient();
    serverSilent();
    save(first, STUDIO);
    await settle();
    await closeTab(first);
    answerAll(409, { code: 'stale', path: 'version', message: 'changed', current: { version: 7 } });
    serverAnswered();
    makeQueryClient();
    await settle();
    expect(JSON.parse(localStorage.getItem('torvin-refused') ?? '[]')).toMatchObject([
      { name: 'saveStudio', variables: STUDIO, currentVersion: 7, problem: { code: 'stale' } },
    ]);
  });

  test('of a duplicated tab is kept under a name of its own', async () => {
    const client = makeQueryClient();
    serverSilent();
    save(client, STUDIO);
    await settle();
    const [own] = storedKeys(KEPT);
    window.dispatchEvent(new StorageEvent('storage', { key: own, newValue: '{}' }));
    save(client, STUDIO);
    await settle();
    expect(storedKeys(KEPT)).toHaveLength(2);
    expect(JSON.parse(sessionStorage.getItem('torvin-tab') ?? '""')).not.toBe(own.slice(KEPT.length));
    client.clear();
  });

  test('what nobody can read is passed over', async () => {
    localStorage.setItem(`${KEPT}broken`, '{"at":');
    expect(pending(makeQueryClient())).toBe(0);
  });
});

const stored = (): Refused[] => JSON.parse(localStorage.getItem('torvin-refused') ?? '[]') as Refused[];

describe('a refused save', () => {
  test.each([
    ['recordFiring', 'outdated', null, 'asItIs'],
    ['recordFiring', 'kiln-in-use', null, 'again'],
    ['savePiece', 'stale', 7, 'mine'],
    ['savePiece', 'outdated', null, 'again'],
  ] as const)('%s for being %s (version %s) goes on %s', (name, code, currentVersion, way) => {
    expect(wayOn({ name, problem: { code, path: '', message: '' }, currentVersion })).toBe(way);
  });

  test('is sent once more on top of what stands, whatever it is a save of', async () => {
    answerAll(200, STUDIO);
    await sendAgain(makeQueryClient(), 'saveStudio', STUDIO);
    expect(asked).toHaveLength(1);
    expect(overTheirs({ id: 'a', body: { version: 1, note: 'n' } }, 4)).toEqual({ id: 'a', body: { version: 4, note: 'n' } });
    expect(overTheirs({ id: 'a', body: { id: 's', pieceVersion: 1 } }, 4)).toEqual({ id: 'a', body: { id: 's', pieceVersion: 4 } });
    expect(overTheirs({ kind: 'kilns', record: { id: 'k', version: 1 } }, 4)).toEqual({ kind: 'kilns', record: { id: 'k', version: 4 } });
  });

  test('of one thing gives way to the next save of it, which carries the whole of it', () => {
    const refuse = (id: string, name: string): void =>
      addRefused({ name: 'savePiece', variables: { id, body: { name, what: 'x' } }, problem: { code: 'stale', path: '', message: 'no' }, currentVersion: 4 });
    refuse('a', 'first');
    refuse('b', 'other');
    refuse('a', 'second');
    // Refused saves outlive a page, and a test: only those of pieces are looked at.
    const pieces = (): Refused[] => stored().filter(({ name }) => name === 'savePiece');
    expect(pieces().map(({ variables }) => (variables as { body: { name: string } }).body.name)).toEqual(['other', 'second']);
    const [{ id }] = pieces();
    refuseAgain(id, { problem: { code: 'stale', path: '', message: 'again' }, currentVersion: 9 });
    expect(pieces()[0]).toMatchObject({ id, currentVersion: 9, problem: { message: 'again' } });
    pieces().forEach((one) => dropRefused(one.id));
    expect(pieces()).toEqual([]);
  });

  test('is dropped when the person lets it go', () => {
    addRefused({ name: 'saveStudio', variables: STUDIO, problem: { code: 'x', path: '', message: 'no' }, currentVersion: null });
    const [{ id }] = stored().slice(-1);
    dropRefused(id);
    expect(stored().map((one) => one.id)).not.toContain(id);
  });
});

describe('what waits in words', () => {
  test('names the piece and what was done', () => {
    expect(wordsOfSave('savePiece', { id: 'a', body: { name: 'Tray', what: 'top sheet changed' } })).toBe('Tray: top sheet changed');
    expect(wordsOfSave('recordFiring', { note: 'rim even' })).toBe('A firing recorded: rim even');
    expect(wordsOfSave(undefined, {})).toBeNull();
  });
});
