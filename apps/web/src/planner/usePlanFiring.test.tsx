import { changeLayer, asJourney, laidLayers, firingsOf, type LaidLayer } from '@torvin/core/piece';
import { EMPTY_SHELVES, type Piece, type PieceDoc, type Shelves, type Step } from '@torvin/schema';
import { QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { keys } from '@/outside/keys';
import { makeQueryClient } from '@/data/queries';
import { putPiece } from '@/outbox/shown';
import { outboxOf } from '@/outbox/make';
import { withFakeServer } from '@/test/fakeServer';
import { usePlanFiring } from './usePlanFiring';

/** Depths of the bodies that the engine was asked to compose for, m. */
const mockAsked: number[] = [];
let mockMeanwhile: (() => void) | null = null;
jest.mock('@/engine/client', () => ({
  compute: async (_name: string, { body }: { body: { layers: { thickness_m: number }[] } }) => {
    mockAsked.push(body.layers.reduce((sum, { thickness_m }) => sum + thickness_m, 0));
    mockMeanwhile?.();
    return { ok: true, value: { segments: [], remarks: [], readings: [] } };
  },
}));

const typical = { expansion_perK: 9e-6, annealing_C: 515, softening_C: 680, density_kg_m3: 2500, youngs_Pa: 7e10, poisson: 0.22 };
const named = { source: '', version: 1 };
const shelves = {
  ...EMPTY_SHELVES,
  families: [{ ...typical, conductivity_W_mK: 1.2, heatCapacity_J_kgK: 1100, surfaceTension_N_m: 0.3, id: 'f', name: 'F', ...named }],
  glasses: [{ id: 'clear', name: 'Clear', familyId: 'f', colour: '#ffffff', thicknesses_m: [0.003], forms: ['sheet'], contents: [], coated: false, ...named }],
  kilns: [
    { id: 'k', name: 'K', top_C: 900, power_K_per_s: 0.2, loss_per_s: 5e-5, radiantLoss_per_K3_s: 5.6e-14, ambient_C: 20, acrossLag_s_per_300mm: 72, ...named },
  ],
  controllers: [{ id: 'c', name: 'C', unit: 'C', fullSpeedCode: 4000, mostSegments: 8, ...named }],
  archived: [],
} satisfies Shelves;
const laid = (thickness_m: number): PieceDoc =>
  asJourney({
    ...{ schemaVersion: 2, footprint: { shape: 'disc', diameter_m: 0.2 }, dammed: false, typed: {}, steps: [] },
    layers: [{ id: 'a', form: 'sheet', glassId: 'clear', thickness_m }],
  });
const doc = laid(0.003);
const piece: Piece = {
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
const step: Step = {
  ...{ kind: 'fire', id: 's', look: 'fullFuse', setup: { kind: 'bareShelf', paper: false }, kilnId: 'k', controllerId: 'c' },
  ...{ school: { soak: 'auto', heat: 'cooler' }, scheduleId: null, computedId: null },
};

class Taking {
  readonly saved: { url: string; body: { version?: number; pieceVersion?: number; doc?: PieceDoc } }[] = [];
  version = 1;

  answer(url: string, init?: RequestInit): { status: number; body: unknown } {
    const body = JSON.parse(String(init?.body ?? '{}')) as Taking['saved'][number]['body'];
    if (init?.method === 'GET') return { status: 200, body: url.includes('/api/seen') ? [] : {} };
    this.saved.push({ url, body });
    this.version += 1;
    const now = { ...piece, doc: body.doc ?? doc, version: this.version };
    return { status: 200, body: init?.method === 'POST' ? { piece: now, schedule: { id: 'made' } } : now };
  }
}
const at = withFakeServer(() => new Taking());
beforeEach(() => {
  mockAsked.length = 0;
  mockMeanwhile = null;
});

test('a piece that is laid otherwise while its schedule is computed is computed once more, and keeps what was laid', async () => {
  const client = makeQueryClient();
  client.setQueryData(keys.piece('p'), piece);
  const wrapper = ({ children }: { children: ReactNode }) => <QueryClientProvider client={client}>{children}</QueryClientProvider>;
  const { result } = renderHook(() => usePlanFiring('p', shelves), { wrapper });
  mockMeanwhile = () => {
    mockMeanwhile = null;
    const deeper = changeLayer(doc, { ...laidLayers(doc)[0], thickness_m: 0.006 } as LaidLayer);
    if (!deeper.ok) throw new Error(deeper.problem.message);
    putPiece(client, outboxOf(client), { id: 'p', name: 'Tray', ...deeper.value, before: { name: 'Tray', doc } }, { on: 1 });
  };
  let remarks: string[] | null = null;
  await act(async () => {
    const planned = result.current.plan(step, piece);
    await jest.advanceTimersByTimeAsync(1000);
    remarks = await planned;
  });
  expect(remarks).toEqual([]);
  expect(mockAsked).toEqual([0.003, 0.006]);
  const docs = at.current.saved.flatMap(({ body }) => body.doc ?? []);
  expect(docs.map((one) => [laidLayers(one)[0], firingsOf(one).length])).toMatchObject([
    [{ thickness_m: 0.006 }, 0],
    [{ thickness_m: 0.006 }, 1],
  ]);
  expect(at.current.saved.at(-1)?.url).toMatch(/schedules$/);
});

test('one that is changed without end is said so, and nothing of it is saved', async () => {
  const client = makeQueryClient();
  client.setQueryData(keys.piece('p'), piece);
  const wrapper = ({ children }: { children: ReactNode }) => <QueryClientProvider client={client}>{children}</QueryClientProvider>;
  const { result } = renderHook(() => usePlanFiring('p', shelves), { wrapper });
  let depth = 0.003;
  mockMeanwhile = () => {
    depth += 0.001;
    client.setQueryData(keys.piece('p'), { ...piece, doc: laid(depth) });
  };
  await act(async () => void (await result.current.plan(step, piece)));
  expect(result.current.problem?.message).toMatch(/changed while this was calculated/);
  expect(at.current.saved).toEqual([]);
});
