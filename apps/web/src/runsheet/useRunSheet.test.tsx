import type { PurposefulSegment } from '@torvin/core/kiln';
import { firingsOf } from '@torvin/core/piece';
import type { Evaluation } from '@torvin/core/schedule';
import { ENGINE_VERSION } from '@torvin/core/version';
import type { Piece, Schedule } from '@torvin/schema';
import { type QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { keys } from '@/outside/keys';
import { usePiece, useSchedule } from '@/data/pieces';
import { makeQueryClient } from '@/data/queries';
import { storedKeys } from '@/outside/storage';
import type { Entry } from '@/outbox/outbox';
import { withFakeServer } from '@/test/fakeServer';
import { type RunSheetState, useRunSheet } from './useRunSheet';

const mockAsked: PurposefulSegment[][] = [];
jest.mock('@/engine/client', () => ({
  compute: async (_name: string, { segments }: { segments: PurposefulSegment[] }) => {
    mockAsked.push(segments);
    return { ok: true, value: { judged: segments[0].target_C, simulation: { series: 'drawn now' } } };
  },
}));

const rows = (target_C: number): PurposefulSegment[] => [{ role: 'work', rate_C_per_h: 200, target_C, hold_s: 600 }];
const schedule = (id: string, target_C: number, origin: Schedule['origin']): Schedule =>
  ({
    id,
    stepId: 's',
    origin,
    parentId: null,
    segments: rows(target_C),
    result: { judged: target_C } as unknown,
    snapshot: { firing: {}, engine: ENGINE_VERSION },
  }) as Schedule;
const computed = schedule('computed', 790, 'computed');
const first = {
  ...{
    id: 'p',
    name: 'Tray',
    version: 1,
    createdAt: 0,
    updatedAt: 0,
    undo: null,
    redo: null,
    turns: [],
    fired: {},
    tags: [],
    finishedAt: null,
    awayAt: null,
    patternAt: null,
    dueOn: null,
  },
  doc: { journey: [{ kind: 'fire', id: 's', scheduleId: 'computed', computedId: 'computed' }] },
} as unknown as Piece;

/** A server of one piece and its schedules, which counts versions as the real one does. */
class OneRun {
  piece = first;
  readonly schedules = new Map([['computed', computed]]);
  readonly saved: { parentId: string | null; pieceVersion: number; target_C: number }[] = [];
  silent = false;

  answer(url: string, init?: RequestInit): { status: number; body: unknown } {
    if (this.silent) throw new TypeError('Failed to fetch');
    const stale = { status: 409, body: { code: 'stale', path: 'version', message: 'changed', current: this.piece } };
    if (init?.method === 'POST' && url.endsWith('/schedules')) {
      const body = JSON.parse(String(init.body)) as { id: string; segments: PurposefulSegment[]; parentId: string; pieceVersion: number };
      this.saved.push({ parentId: body.parentId, pieceVersion: body.pieceVersion, target_C: body.segments[0].target_C });
      if (body.pieceVersion !== this.piece.version) return stale;
      const made = { ...schedule(body.id, body.segments[0].target_C, 'edited'), parentId: body.parentId };
      this.schedules.set(made.id, made);
      this.point(made.id, body.pieceVersion + 1);
      return { status: 200, body: { schedule: made, piece: this.piece } };
    }
    if (init?.method === 'PUT') {
      const body = JSON.parse(String(init.body)) as Piece;
      if (body.version !== this.piece.version) return stale;
      this.point(firingsOf(body.doc)[0].scheduleId ?? '', body.version + 1);
      return { status: 200, body: this.piece };
    }
    const wanted = /schedules\/([^/]+)$/.exec(url)?.[1];
    return { status: 200, body: wanted ? this.schedules.get(wanted) : url.endsWith('/pieces') ? [this.piece] : this.piece };
  }

  point(scheduleId: string, version: number): void {
    this.piece = { ...this.piece, version, doc: { ...this.piece.doc, journey: [{ ...firingsOf(this.piece.doc)[0], scheduleId }] } };
  }
}

const at = withFakeServer(() => new OneRun());
beforeEach(() => {
  mockAsked.length = 0;
});

async function openSheet(opened = computed): Promise<{ client: QueryClient; sheet(): RunSheetState; close(): void; rest(ms?: number): Promise<void> }> {
  const client = makeQueryClient();
  client.setQueryData(keys.piece('p'), first);
  client.setQueryData(keys.schedule('computed'), opened);
  const wrapper = ({ children }: { children: ReactNode }) => <QueryClientProvider client={client}>{children}</QueryClientProvider>;
  const { result, unmount } = renderHook(
    () => {
      const piece = usePiece('p').data ?? first;
      return useRunSheet(piece, useSchedule(firingsOf(piece.doc)[0].scheduleId).data ?? opened);
    },
    { wrapper },
  );
  const rest = (ms = 1500): Promise<void> => act(() => jest.advanceTimersByTimeAsync(ms));
  await rest(0);
  return { client, sheet: () => result.current, close: unmount, rest };
}
const judgedOf = ({ evaluation }: RunSheetState): number => (evaluation as Evaluation & { judged: number }).judged;

describe('a bead that moves', () => {
  test('asks the engine once for each place, and saves nothing', async () => {
    const { sheet, rest } = await openSheet();
    mockAsked.length = 0;
    for (const place of [795, 800, 805]) {
      act(() => sheet().preview(rows(place)));
      await rest(0);
    }
    expect(mockAsked.map(([row]) => row.target_C)).toEqual([795, 800, 805]);
    // What answers the finger is there at once; the page follows when the finger pauses.
    expect(sheet().live.now()).toMatchObject({ segments: rows(805), evaluation: { judged: 805 }, current: true });
    expect([judgedOf(sheet()), sheet().segments, sheet().changed]).toEqual([790, computed.segments, false]);
    await rest(300);
    expect(judgedOf(sheet())).toBe(805);
    expect(sheet()).toMatchObject({ current: true, changed: true });
    // Two places before React has drawn the first: the first is not asked for again.
    mockAsked.length = 0;
    act(() => {
      sheet().preview(rows(806));
      sheet().preview(rows(807));
    });
    await rest(0);
    expect(mockAsked.map(([row]) => row.target_C)).toEqual([806, 807]);
    act(() => sheet().cancel());
    expect(sheet().live.now()).toBeNull();
    await rest();
    expect(judgedOf(sheet())).toBe(790);
    expect(sheet().changed).toBe(false);
    expect(at.current.saved).toEqual([]);
  });
});

describe('a schedule that an earlier engine judged', () => {
  const told = { judged: 777, simulation: { total_s: 5 } };
  const earlier = { ...computed, result: told as unknown, snapshot: { firing: {}, engine: '3' } } as Schedule;

  test('keeps what it was told, marked with whose word that is, and only its curves are drawn anew', async () => {
    const { sheet, rest } = await openSheet(earlier);
    await rest();
    expect(mockAsked.map(([row]) => row.target_C)).toEqual([790]);
    expect(sheet().evaluation).toEqual({ judged: 777, engine: '3', simulation: { total_s: 5, series: 'drawn now' } });
  });

  test('is judged by this one once it is changed, and then says so', async () => {
    const { client, sheet, rest } = await openSheet(earlier);
    act(() => sheet().keep(rows(805)));
    await rest(0);
    expect(judgedOf(sheet())).toBe(805);
    const changed = client.getQueriesData<Schedule>({ queryKey: ['schedule'] }).find(([, one]) => one?.origin === 'edited')?.[1];
    expect(changed?.snapshot.engine).toBe(ENGINE_VERSION);
    await rest();
  });
});

describe('a schedule changed by hand', () => {
  test('is one version for presses that follow each other, on top of what was there', async () => {
    const { sheet, rest } = await openSheet();
    for (const place of [795, 800, 805]) act(() => sheet().keep(rows(place)));
    await rest();
    expect(at.current.saved).toEqual([{ parentId: 'computed', pieceVersion: 1, target_C: 805 }]);
    expect(sheet()).toMatchObject({ changed: true, queue: { saving: false, problem: null } });
    act(() => sheet().keep(rows(810)));
    await rest();
    expect(at.current.saved[1]).toMatchObject({ pieceVersion: 2, target_C: 810 });
    expect(at.current.saved[1].parentId).toBe([...at.current.schedules.keys()][1]);
  });

  test('is judged by the engine here though its page is left at once: it may be keyed in before the server answers', async () => {
    const { client, sheet, close, rest } = await openSheet();
    at.current.silent = true;
    act(() => sheet().keep(rows(805)));
    close();
    await rest(0);
    const [, kept] = client.getQueriesData<Schedule>({ queryKey: ['schedule'] }).map(([, schedule_]) => schedule_);
    expect(kept).toMatchObject({ segments: rows(805), result: { judged: 805 } });
  });

  test('goes back to the computed one, also while it is being saved', async () => {
    const { sheet, rest } = await openSheet();
    act(() => sheet().keep(rows(805)));
    await rest(700);
    act(() => sheet().backToComputed());
    await rest();
    expect(firingsOf(at.current.piece.doc)[0].scheduleId).toBe('computed');
    expect(sheet().segments[0].target_C).toBe(790);
  });

  test('is sent when its page is left, and when its tab is closed on top of one that is on its way', async () => {
    const left = await openSheet();
    act(() => left.sheet().keep(rows(805)));
    left.close();
    await left.rest(0);
    expect(at.current.saved.map(({ target_C }) => target_C)).toEqual([805]);
    at.current = new OneRun();
    const { sheet, rest } = await openSheet();
    let letThrough = (): void => undefined;
    const held = new Promise<void>((resolve) => (letThrough = resolve));
    const plain = global.fetch;
    global.fetch = (async (url: string, init?: RequestInit) => {
      const answer = await plain(url, init);
      if (init?.method === 'POST') await held;
      return answer;
    }) as typeof fetch;
    act(() => sheet().keep(rows(806)));
    await rest();
    act(() => sheet().keep(rows(807)));
    await act(async () => window.dispatchEvent(new Event('pagehide')));
    letThrough();
    await rest(0);
    expect(at.current.saved.map(({ target_C, pieceVersion }) => [target_C, pieceVersion])).toEqual([
      [806, 1],
      [807, 2],
    ]);
    expect(at.current.schedules.size).toBe(3);
  });

  test('that somebody else overtook is shown beside theirs, and saved over it when the person says so', async () => {
    const { sheet, rest } = await openSheet();
    at.current.piece = { ...at.current.piece, version: 4 };
    act(() => sheet().keep(rows(805)));
    await rest();
    expect(sheet().queue.elsewhere).toMatchObject({ version: 4 });
    expect(sheet().segments[0].target_C).toBe(805);
    act(() => sheet().queue.keepMine());
    await rest();
    expect(at.current.saved.at(-1)).toMatchObject({ pieceVersion: 4, target_C: 805 });
    expect(sheet()).toMatchObject({ queue: { elsewhere: null, saving: false } });
  });

  test('that is left undecided is not lost: it is found again from the header', async () => {
    const { sheet, close, rest } = await openSheet();
    at.current.piece = { ...at.current.piece, version: 4 };
    act(() => sheet().keep(rows(805)));
    await rest();
    close();
    const [kept] = JSON.parse(localStorage.getItem(storedKeys('torvin-outbox:')[0]) ?? '{}').entries as Entry[];
    expect(kept).toMatchObject({
      name: 'saveSchedule',
      refused: { current: { version: 4 } },
      variables: { pieceId: 'p', parentId: 'computed', segments: rows(805) },
    });
  });

  test('waits while the server is silent, each version on top of the one before, and undo says so', async () => {
    const { sheet, rest } = await openSheet();
    at.current.silent = true;
    act(() => sheet().keep(rows(805)));
    await rest();
    act(() => sheet().keep(rows(806)));
    await rest();
    expect(sheet()).toMatchObject({ queue: { saving: true, problem: null } });
    act(() => sheet().goBack());
    expect(sheet().problem?.message).toMatch(/what came before is kept there/);
    at.current.silent = false;
    await rest(20_000);
    expect(at.current.saved.map(({ target_C, pieceVersion }) => [target_C, pieceVersion])).toEqual([
      [805, 1],
      [806, 2],
    ]);
    expect(at.current.saved[1].parentId).toBe([...at.current.schedules.keys()][1]);
  });
});
