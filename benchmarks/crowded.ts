/** What saves, lists and the Bench cost in a crowded studio, 10,000 records and 5,000 pieces, beside an empty one: asked in turns, as ratios. */
import type { Glass, Piece } from '@torvin/schema';
import { join } from 'node:path';
import { openDatabase } from '../apps/server/src/opening/open';
import { records } from '../apps/server/src/db/tables';
import { fillTenYears } from '../apps/server/src/test/tenYears';
import { ROOT, Studio } from '../e2e/server';

const PIECES = 5000;
const RECORDS = 10_000;
const ROUNDS = 60;
const AT_ONCE = 500;

/** Glasses, copied from the one that the demo's pieces are of. */
async function crowded(): Promise<Studio> {
  const studio = new Studio();
  await studio.start();
  await studio.stop();
  const { db, closeWhole } = openDatabase(studio.dataDir, join(ROOT, 'apps/server/src/db/migrations'));
  fillTenYears(db, PIECES, Date.now());
  const [glass] = db
    .select()
    .from(records)
    .all()
    .filter(({ kind }) => kind === 'glasses');
  for (let from = 0; from < RECORDS; from += AT_ONCE)
    db.insert(records)
      .values(Array.from({ length: AT_ONCE }, (_, i) => ({ ...glass, id: `glass-${from + i}`, doc: { ...glass.doc, name: `Glass no. ${from + i}` } })))
      .run();
  await closeWhole();
  await studio.start();
  return studio;
}

class Asked {
  private constructor(
    private readonly address: string,
    private piece: Piece,
    private glass: Glass,
    private readonly scheduled: Piece,
  ) {}

  static async of(address: string): Promise<Asked> {
    const ask = async <T>(method: string, path: string, body?: object): Promise<T> => answer<T>(address, method, path, body);
    const [glass] = await ask<Glass[]>('GET', 'glasses');
    const layer = { id: '0198c5a2-0000-7000-8000-000000000002', form: 'sheet', glassId: glass.id, thickness_m: 0.003 };
    const doc = {
      ...{ schemaVersion: 3, dammed: false, footprint: { shape: 'rectangle', width_m: 0.2, length_m: 0.1 }, typed: { width: '200 mm', length: '100 mm' } },
      journey: [{ kind: 'lay', id: '0198c5a2-0000-7000-8000-000000000003', side: 'above', layers: [layer] }],
    };
    const piece = await ask<Piece>('POST', 'pieces', { id: '0198c5a2-0000-7000-8000-000000000001', name: 'Measured', doc });
    return new Asked(address, piece, glass, piece);
  }

  private readonly ask = <T>(method: string, path: string, body?: object): Promise<T> => answer<T>(this.address, method, path, body);

  readonly acts: Record<string, () => Promise<void>> = {
    'a piece saved': async () => {
      const { id, name, doc, version } = this.piece;
      this.piece = await this.ask('PUT', `pieces/${id}`, { version, name: name === 'Measured' ? 'Measured again' : 'Measured', doc, what: 'x' });
    },
    'a record saved': async () => {
      this.glass = await this.ask('PUT', `glasses/${this.glass.id}`, { ...this.glass, source: this.glass.source === 'one' ? 'other' : 'one' });
    },
    'a piece filed': () => this.ask('PUT', `pieces/${this.scheduled.id}/filing`, { tags: ['x'], finishedAt: null, awayAt: null, patternAt: null }),
    'the list of pieces': () => this.ask('GET', 'pieces'),
    'the list of firings': () => this.ask('GET', 'firings'),
    'one piece': () => this.ask('GET', `pieces/${this.piece.id}`),
    'the Bench': () => this.ask('GET', 'bench'),
    'the Bench after a piece was saved': async () => {
      await this.acts['a piece saved']();
      await this.ask('GET', 'bench');
    },
  };
}

async function answer<T>(address: string, method: string, path: string, body?: object): Promise<T> {
  const response = await fetch(`${address}/api/${path}`, {
    method,
    ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } }),
  });
  const told: unknown = await response.json();
  if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${JSON.stringify(told)}`);
  return told as T;
}

const median = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

export async function crowdedStudio(): Promise<void> {
  const empty = new Studio({ TORVIN_START: 'own' });
  await empty.start();
  const full = await crowded();
  try {
    const [few, many] = [await Asked.of(empty.address), await Asked.of(full.address)];
    for (const what of Object.keys(few.acts)) {
      const times: [number[], number[]] = [[], []];
      for (let i = 0; i < ROUNDS; i += 1)
        for (const [at, asked] of [few, many].entries()) {
          const since = performance.now();
          await asked.acts[what]();
          times[at].push(performance.now() - since);
        }
      const [less, more] = times.map(median);
      process.stdout.write(
        `${what}, ${RECORDS} records and ${PIECES} pieces: ${more.toFixed(1)} ms, ${(more / less).toFixed(1)} times an empty studio's ${less.toFixed(1)} ms\n`,
      );
    }
  } finally {
    await empty.end();
    await full.end();
  }
}
