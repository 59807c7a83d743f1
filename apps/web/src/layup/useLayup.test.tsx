import { changeLayer, asJourney, laidLayers, type LaidLayer } from '@torvin/core/piece';
import type { Piece, PieceDoc } from '@torvin/schema';
import { type QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { serverSilent } from '@/outside/connection';
import { keys } from '@/outside/keys';
import { usePiece } from '@/data/pieces';
import { makeQueryClient } from '@/data/queries';
import { outboxOf } from '@/outbox/make';
import type { Entry } from '@/outbox/outbox';
import { withFakeServer } from '@/test/fakeServer';
import { type Layup, useLayup } from './useLayup';

const doc: PieceDoc = asJourney({
  schemaVersion: 2,
  footprint: { shape: 'disc', diameter_m: 0.3 },
  dammed: false,
  typed: {},
  layers: [
    { id: 'a', form: 'sheet', glassId: 'clear', thickness_m: 0.003 },
    { id: 'b', form: 'sheet', glassId: 'clear', thickness_m: 0.003 },
  ],
  steps: [],
});
const first: Piece = {
  id: 'p',
  name: 'Tray',
  doc,
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
};

/** A server of one piece, which counts versions as the real one does. */
class OnePiece {
  piece = first;
  readonly asked: { version: number; thickness_m: number[]; what: string }[] = [];
  /** Answers this once, then as usual. */
  next: { status: number; body: unknown } | null = null;
  silent = false;

  answer(url: string, init?: RequestInit): { status: number; body: unknown } {
    if (this.silent) throw new TypeError('Failed to fetch');
    if (init?.method !== 'PUT') return { status: 200, body: url.endsWith('/pieces') ? [this.piece] : this.piece };
    const body = JSON.parse(String(init.body)) as Pick<Piece, 'name' | 'doc' | 'version'> & { what: string };
    this.asked.push({
      version: body.version,
      what: body.what,
      thickness_m: laidLayers(body.doc).map((layer) => ('thickness_m' in layer ? layer.thickness_m : 0)),
    });
    const { next } = this;
    this.next = null;
    if (next) return next;
    if (body.version !== this.piece.version) return { status: 409, body: { code: 'stale', path: 'version', message: 'changed', current: this.piece } };
    this.piece = { ...this.piece, name: body.name, doc: body.doc, version: body.version + 1, undo: body.what };
    return { status: 200, body: this.piece };
  }
}

const at = withFakeServer(() => new OnePiece());

function newClient(): QueryClient {
  const client = makeQueryClient();
  client.setQueryData(keys.piece('p'), first);
  return client;
}

async function openPiece(client = newClient()): Promise<{ layup(): Layup; close(): void; rest(ms?: number): Promise<void> }> {
  const wrapper = ({ children }: { children: ReactNode }) => <QueryClientProvider client={client}>{children}</QueryClientProvider>;
  const { result, unmount } = renderHook(() => useLayup(usePiece('p').data ?? first), { wrapper });
  const rest = (ms = 1000): Promise<void> => act(() => jest.advanceTimersByTimeAsync(ms));
  await rest(0);
  return { layup: () => result.current, close: unmount, rest };
}

/** Makes a layer so deep, as a stepper does. */
function deepen(layup: Layup, index: number, thickness_m: number, key = `depth ${index}`): void {
  act(() => layup.edit(changeLayer(layup.doc, { ...laidLayers(layup.doc)[index], thickness_m } as LaidLayer), key));
}

/** What was refused while no page says so: the header does. */
function unsaid(client: QueryClient): readonly Entry[] {
  const outbox = outboxOf(client);
  return outbox.entries().filter((entry) => entry.refused && !outbox.isClaimed(entry));
}

describe('a lay-up that is edited', () => {
  test('shows every edit at once, and saves presses of one stepper as one change', async () => {
    const { layup, rest } = await openPiece();
    for (const depth of [0.004, 0.005, 0.006]) deepen(layup(), 0, depth);
    expect(laidLayers(layup().doc)[0]).toMatchObject({ thickness_m: 0.006 });
    expect(layup().queue.saving).toBe(true);
    expect(at.current.asked).toEqual([]);
    await rest();
    expect(at.current.asked).toEqual([{ version: 1, thickness_m: [0.006, 0.003], what: expect.any(String) as string }]);
    expect(layup().queue).toMatchObject({ saving: false, problem: null, elsewhere: null });
  });

  test('saves nothing where nothing has changed', async () => {
    const { layup, rest } = await openPiece();
    deepen(layup(), 0, 0.003);
    expect(layup().queue.saving).toBe(false);
    deepen(layup(), 0, 0.004);
    deepen(layup(), 0, 0.004, 'typed');
    await rest();
    expect(at.current.asked).toHaveLength(1);
  });

  test('saves different changes apart, each on top of the one before', async () => {
    const { layup, rest } = await openPiece();
    deepen(layup(), 0, 0.004);
    deepen(layup(), 1, 0.006);
    await rest();
    expect(at.current.asked.map(({ version, thickness_m }) => [version, ...thickness_m])).toEqual([
      [1, 0.004, 0.003],
      [2, 0.004, 0.006],
    ]);
    expect(at.current.piece.version).toBe(3);
  });

  test('keeps a change whose page had not drawn the one before it', async () => {
    const { layup, rest } = await openPiece();
    const before = layup();
    const edit = (index: number, thickness_m: number, key: string): void =>
      before.edit(changeLayer(before.doc, { ...laidLayers(before.doc)[index], thickness_m } as LaidLayer), key);
    act(() => {
      edit(0, 0.004, 'one');
      edit(1, 0.006, 'other');
    });
    expect(laidLayers(layup().doc)).toMatchObject([{ thickness_m: 0.004 }, { thickness_m: 0.006 }]);
    await rest();
    expect(laidLayers(at.current.piece.doc)).toMatchObject([{ thickness_m: 0.004 }, { thickness_m: 0.006 }]);
  });

  test('is not undone by a reading that was asked for before it was saved and came after', async () => {
    const client = newClient();
    const { layup, rest } = await openPiece(client);
    let letThrough = (): void => undefined;
    const held = new Promise<void>((resolve) => (letThrough = resolve));
    const plain = global.fetch;
    global.fetch = (async (url: string, init?: RequestInit) => {
      const answer = await plain(url, init);
      if (init?.method !== 'PUT') await held;
      return answer;
    }) as typeof fetch;
    void act(() => void client.refetchQueries({ queryKey: keys.piece('p') }));
    await rest(0);
    deepen(layup(), 0, 0.004);
    await rest();
    letThrough();
    await rest();
    expect(laidLayers(layup().doc)[0]).toMatchObject({ thickness_m: 0.004 });
    expect(client.getQueryData(keys.piece('p'))).toMatchObject({ version: 2 });
  });

  test('says what the server refused, keeps it, and sends it again when asked to', async () => {
    const { layup, rest } = await openPiece();
    at.current.next = { status: 500, body: { code: 'broken', path: '', message: 'The disk is full.' } };
    deepen(layup(), 0, 0.004);
    await rest();
    expect(layup().queue.problem?.message).toBe('The disk is full.');
    expect(laidLayers(layup().doc)[0]).toMatchObject({ thickness_m: 0.004 });
    deepen(layup(), 1, 0.006);
    await rest();
    expect(at.current.asked).toHaveLength(1);
    act(() => layup().queue.retry());
    await rest();
    expect(laidLayers(at.current.piece.doc)).toMatchObject([{ thickness_m: 0.004 }, { thickness_m: 0.006 }]);
    expect(layup().queue.saving).toBe(false);
  });

  test('is sent when its page is left', async () => {
    const { layup, close, rest } = await openPiece();
    deepen(layup(), 0, 0.004);
    close();
    await rest(0);
    expect(laidLayers(at.current.piece.doc)[0]).toMatchObject({ thickness_m: 0.004 });
  });

  test('is sent when its tab is closed, on top of the one that is on its way', async () => {
    const { layup, rest } = await openPiece();
    deepen(layup(), 0, 0.004);
    deepen(layup(), 1, 0.006);
    await rest(0);
    expect(at.current.asked).toHaveLength(1);
    await act(async () => window.dispatchEvent(new Event('pagehide')));
    await rest(0);
    expect(at.current.asked.map(({ version }) => version)).toEqual([1, 2]);
    expect(laidLayers(at.current.piece.doc)).toMatchObject([{ thickness_m: 0.004 }, { thickness_m: 0.006 }]);
  });
});

describe('a lay-up that somebody else saved meanwhile', () => {
  const theirs = (): void => {
    at.current.piece = {
      ...at.current.piece,
      name: 'Theirs',
      version: 5,
      doc: asJourney({ schemaVersion: 2, footprint: doc.footprint, dammed: false, typed: {}, layers: laidLayers(doc).slice(0, 1), steps: [] }),
    };
  };

  test('shows both, and mine is saved over theirs, all of it, when the person says so', async () => {
    const { layup, rest } = await openPiece();
    theirs();
    deepen(layup(), 0, 0.004);
    deepen(layup(), 1, 0.006);
    await rest();
    expect(layup().queue.elsewhere).toMatchObject({ name: 'Theirs', version: 5 });
    expect(laidLayers(layup().doc)).toHaveLength(2);
    act(() => layup().queue.keepMine());
    await rest();
    expect(layup().queue).toMatchObject({ elsewhere: null, saving: false });
    expect(at.current.piece).toMatchObject({ name: 'Theirs', version: 7, doc: { journey: [{ layers: [{ thickness_m: 0.004 }, { thickness_m: 0.006 }] }] } });
  });

  test('or theirs is taken, and nothing of mine is sent any more', async () => {
    const { layup, rest } = await openPiece();
    theirs();
    deepen(layup(), 0, 0.004);
    await rest();
    const before = at.current.asked.length;
    act(() => layup().queue.takeTheirs());
    await rest();
    expect(layup()).toMatchObject({ name: 'Theirs', queue: { elsewhere: null, saving: false } });
    expect(at.current.asked).toHaveLength(before);
  });

  test('is not lost when the page is left undecided', async () => {
    const client = newClient();
    const { layup, close, rest } = await openPiece(client);
    theirs();
    deepen(layup(), 0, 0.004);
    await rest();
    expect(unsaid(client)).toEqual([]);
    close();
    const [kept] = unsaid(client);
    expect(kept).toMatchObject({ name: 'savePiece', refused: { problem: { code: 'stale' }, current: { version: 5 } } });
    expect(kept.variables).toMatchObject({ doc: { journey: [{ layers: [{ thickness_m: 0.004 }, {}] }] } });
  });
});

describe('a lay-up while the server is silent', () => {
  test('goes on being edited; the changes go in their order when it answers', async () => {
    const { layup, rest } = await openPiece();
    at.current.silent = true;
    deepen(layup(), 0, 0.004);
    await rest();
    deepen(layup(), 1, 0.006);
    await rest();
    expect(laidLayers(layup().doc)).toMatchObject([{ thickness_m: 0.004 }, { thickness_m: 0.006 }]);
    expect(layup().queue).toMatchObject({ saving: true, problem: null });
    at.current.silent = false;
    await rest(20_000);
    expect(at.current.piece).toMatchObject({ version: 3, doc: { journey: [{ layers: [{ thickness_m: 0.004 }, { thickness_m: 0.006 }] }] } });
    expect(layup().queue.saving).toBe(false);
  });

  test('is shown as it was left when its page is opened again, and goes on from there', async () => {
    const client = newClient();
    client.mount();
    at.current.silent = true;
    const left = await openPiece(client);
    deepen(left.layup(), 0, 0.004);
    await left.rest();
    left.close();
    const { layup, rest } = await openPiece(client);
    expect(layup()).toMatchObject({ doc: { journey: [{ layers: [{ thickness_m: 0.004 }, { thickness_m: 0.003 }] }] } });
    expect(layup().undo).toMatch(/changed/);
    deepen(layup(), 1, 0.006);
    await rest();
    at.current.silent = false;
    await rest(20_000);
    expect(at.current.piece).toMatchObject({ version: 3, doc: { journey: [{ layers: [{ thickness_m: 0.004 }, { thickness_m: 0.006 }] }] } });
    expect(layup().queue).toMatchObject({ elsewhere: null, problem: null, saving: false });
    client.unmount();
  });

  test('whose page was left is found again from the header where somebody else saved first', async () => {
    const client = newClient();
    client.mount();
    at.current.silent = true;
    const { layup, close, rest } = await openPiece(client);
    deepen(layup(), 0, 0.004);
    await rest();
    close();
    at.current.piece = { ...at.current.piece, name: 'Theirs', version: 5 };
    at.current.silent = false;
    await rest(20_000);
    expect(unsaid(client)).toMatchObject([
      { refused: { current: { version: 5 } }, variables: { doc: { journey: [{ layers: [{ thickness_m: 0.004 }, {}] }] } } },
    ]);
    expect(client.getQueryData(keys.piece('p'))).toMatchObject({ name: 'Theirs', version: 5 });
    client.unmount();
  });

  test('says that undo has to wait', async () => {
    const { layup, rest } = await openPiece();
    serverSilent();
    act(() => layup().goBack());
    await rest(0);
    expect(layup().problem?.message).toMatch(/what came before is kept there/);
  });
});
