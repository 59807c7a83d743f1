/**
 * Two devices and one server, at random: whatever they edit, empty, delete, bring back and decide, with answers lost, pages closed and the
 * server killed in between, each edit that was taken from a person stands on the server, or in a conflict that is still to be decided.
 */
import type { Firing, FiringDetail, Glass, Piece, Shelves } from '@torvin/schema';
import { QueryClient } from '@tanstack/react-query';
import { eq } from 'drizzle-orm';
import fc from 'fast-check';
import { v7 as uuid } from 'uuid';
import { firings, pieces, records } from '../apps/server/src/db/tables';
import { type TestServer, startTestServer } from '../apps/server/src/test/testServer';
import type * as Kinds from '../apps/web/src/outbox/kinds';
import type * as Box from '../apps/web/src/outbox/outbox';
import type * as Shown from '../apps/web/src/outbox/shown';
import type * as Client from '../apps/web/src/outside/client';
import type * as Keys from '../apps/web/src/outside/keys';

jest.doMock('@/outside/page', () => ({ PAGE: 'page', OPENED_AT: 0, API: null }));
jest.doMock('@/outside/connection', () => ({
  endsAfter: () => undefined,
  passcodeWanted: () => undefined,
  serverAnswered: () => undefined,
  serverSilent: () => undefined,
}));
/* eslint-disable @typescript-eslint/no-require-imports -- read once what stands for the page is in its place */
const { ApiProblem, problemOfError } = require('@/outside/client') as typeof Client;
const { saveKinds } = require('@/outbox/kinds') as typeof Kinds;
const { Outbox, isConflict } = require('@/outbox/outbox') as typeof Box;
const { shownFiring, shownPiece, shownShelves } = require('@/outbox/shown') as typeof Shown;
const { keys } = require('@/outside/keys') as typeof Keys;
/* eslint-enable @typescript-eslint/no-require-imports */

const RUNS = process.env.LONG === '1' ? 1000 : 30;

const THINGS = ['piece', 'glass', 'firing'] as const;
type Thing = (typeof THINGS)[number];

let server: TestServer;
let base = '';
/** One of the demo’s firings. */
let toldOf = '';
const realFetch = globalThis.fetch;
beforeAll(async () => {
  server = await startTestServer();
  base = server.base;
  [{ id: toldOf }] = (await server.ask('GET', '/api/firings?result=right')).body.firings as Firing[];
});
afterAll(async () => {
  globalThis.fetch = realFetch;
  await server.stop();
});

/** The server is killed as it stands, and is there again on the same folder. */
async function killServer(): Promise<void> {
  const { dataDir } = server;
  await server.stop({ keepData: true });
  server = await startTestServer(dataDir);
  base = server.base;
}

interface Ids {
  piece: string;
  glass: string;
  firing: string;
}

/** A browser with one page that is open: what it has read, what waits in it, and what its storage keeps of that. */
class Device {
  online = true;
  /** So many answers do not arrive, though the server has acted. */
  lost = 0;
  private asked = 0;
  private arrivals = 0;
  private kept: readonly Box.Entry[] = [];
  private listeners = new Set<() => void>();
  private client = new QueryClient();
  outbox = this.open();

  private open(): InstanceType<typeof Outbox> {
    const kinds: Record<string, Box.SaveKind> = saveKinds(this.client, () => undefined);
    for (const kind of Object.values(kinds)) {
      const { send, taken } = kind;
      kind.taken = (answer, variables) => {
        this.arrivals += 1;
        taken(answer, variables);
      };
      // Asked at once, before anybody else is.
      kind.send = (variables, how) => {
        asking = this;
        this.asked += 1;
        return send(variables, how).finally(() => (this.asked -= 1));
      };
    }
    return new Outbox({
      kinds,
      read: (entry) => entry,
      judge(error) {
        if (error instanceof ApiProblem && error.status === 0) return { kind: 'silent' };
        return { kind: 'refused', problem: problemOfError(error), current: error instanceof ApiProblem ? error.current : undefined };
      },
      line: {
        answers: () => this.online,
        subscribe: (listener) => {
          this.listeners.add(listener);
          return () => this.listeners.delete(listener);
        },
      },
      keep: (entries) => {
        this.kept = JSON.parse(JSON.stringify(entries)) as Box.Entry[];
        return true;
      },
      report(error) {
        throw error;
      },
      standing: (name, { problem, current }) => {
        if (problem.code === 'stale' && name === 'savePiece') this.client.setQueryData(keys.piece((current as Piece).id), current);
      },
    });
  }

  /** The page is closed, by a person or by a power cut, and another takes up what it kept. */
  closePage(): void {
    const { kept } = this;
    this.outbox.forgetAll();
    this.listeners.clear();
    this.outbox = this.open();
    this.outbox.adopt(kept);
  }

  connect(online: boolean): void {
    this.online = online;
    if (online) this.lost = 0;
    for (const listener of this.listeners) listener();
  }

  async fetch(path: string, init?: RequestInit): Promise<Response> {
    if (!this.online) throw new TypeError('no network');
    const response = await realFetch(base + path, init).catch(() => {
      throw new TypeError('no network');
    });
    if (this.lost > 0 && init?.method !== undefined && init.method !== 'GET') {
      this.lost -= 1;
      this.connect(false);
      throw new TypeError('the answer was lost');
    }
    return response;
  }

  /** What was read while a save arrived may be of before it, and is not taken, as the client does not. */
  private async read<T>(path: string): Promise<T | null> {
    const before = this.arrivals;
    const response = await this.fetch(path).catch(() => null);
    const told = response?.ok ? ((await response.json()) as T) : null;
    return this.arrivals === before ? told : null;
  }

  /** Reads what can be read; what cannot stays as it was last. */
  async look({ piece, firing }: Ids): Promise<void> {
    const one = await this.read<Piece>(`/api/pieces/${piece}`);
    if (one) this.client.setQueryData(keys.piece(piece), one);
    const shelves = await this.read<Shelves>('/api/shelves');
    if (shelves) this.client.setQueryData(keys.shelves, shelves);
    const told = await this.read<FiringDetail>(`/api/firings/${firing}`);
    if (told) this.client.setQueryData(keys.firing(firing), told);
  }

  /** As its page shows it; undefined where it was never read, or is deleted as far as this device knows. */
  piece(id: string): Piece | undefined {
    const stands = this.client.getQueryData<Piece>(keys.piece(id));
    return stands && shownPiece(stands, this.outbox.waitingIn(`piece ${id}`));
  }
  glass(id: string): Glass | undefined {
    const stands = this.client.getQueryData<Shelves>(keys.shelves);
    return stands && shownShelves(stands, this.outbox.entries()).glasses.find((one) => one.id === id);
  }
  firing(id: string): Firing | undefined {
    const stands = this.client.getQueryData<FiringDetail>(keys.firing(id));
    return stands && shownFiring(stands, this.outbox.waitingIn(`firing ${id}`)).firing;
  }

  isIdle = (): boolean => this.asked === 0;
}

let asking: Device | null = null;

interface Run {
  devices: [Device, Device];
  ids: Ids;
  /** Marks of edits that were taken and that nobody has let go of knowingly. */
  owed: Set<string>;
}

const MARK = /<\w+>/g;
/** Not in what a form was filled with: that is no edit. */
const marksIn = (value: unknown): string[] => JSON.stringify(value ?? null, (key, one: unknown) => (key === 'before' ? undefined : one)).match(MARK) ?? [];
let marks = 0;
const mark = (): string => `<${(marks += 1).toString(36)}>`;

/** Nobody sends anything any more. */
async function quiet({ devices }: Run): Promise<void> {
  for (let still = 0; still < 3; still = devices.every((device) => device.isIdle()) ? still + 1 : 0) await new Promise((resolve) => setTimeout(resolve, 2));
}

/** What stands on the server, deleted or not. */
function standing({ ids }: Run): Record<Thing, unknown> {
  const { db } = server.opened;
  return {
    piece: db.select().from(pieces).where(eq(pieces.id, ids.piece)).get(),
    glass: db.select().from(records).where(eq(records.id, ids.glass)).get(),
    firing: db.select({ note: firings.note, place: firings.place }).from(firings).where(eq(firings.id, ids.firing)).get(),
  };
}

function mustOweNothing(run: Run): void {
  const held = new Set([...marksIn(standing(run)), ...run.devices.flatMap(({ outbox }) => outbox.entries().flatMap(({ variables }) => marksIn(variables)))]);
  const missing = [...run.owed].filter((one) => !held.has(one));
  if (missing.length > 0) throw new Error(`${missing.join(', ')} is neither on the server nor in a conflict: ${JSON.stringify(standing(run))}`);
}

type Field = 'first' | 'second';
/** The shortest of the fields holds forty letters. */
const LETTERS_AT_MOST = 36;

interface Filled {
  /** What stood in the field when the form was filled. */
  stands: string;
  name: string;
  on: number;
  variables(value: string): unknown;
}

/** A form of the thing as the device shows it; null where it shows none, or asks about a conflict first. */
function filled(device: Device, ids: Ids, thing: Thing, field: Field): Filled | null {
  const asks = device.outbox.entries().some(({ name, variables, refused }) => refused && thing !== 'piece' && thingOf(name, variables, ids) === thing);
  if (asks) return null;
  if (thing === 'piece') {
    const piece = device.piece(ids.piece);
    const [lay] = piece?.doc.journey ?? [];
    if (piece === undefined || lay.kind !== 'lay') return null;
    const { name, doc, version } = piece;
    const [{ name: called, ...layer }, ...layers] = lay.layers;
    const variables = (value: string): Kinds.Variables['savePiece'] => {
      const named = { ...layer, ...(value === '' ? {} : { name: value }) };
      const next = field === 'first' ? { name: value || 'x', doc } : { name, doc: { ...doc, journey: [{ ...lay, layers: [named, ...layers] }] } };
      return { id: ids.piece, ...next, what: 'x', before: { name, doc } };
    };
    return { stands: field === 'first' ? name : (called ?? ''), name: 'savePiece', on: version, variables };
  }
  if (thing === 'glass') {
    const glass = device.glass(ids.glass);
    if (glass === undefined) return null;
    const variables = (value: string): Kinds.Variables['saveRecord'] => {
      const next = field === 'first' ? { ...glass, name: value || 'x' } : { ...glass, source: value };
      return { kind: 'glasses', record: next, before: glass };
    };
    return { stands: field === 'first' ? glass.name : (glass.source ?? ''), name: 'saveRecord', on: glass.version, variables };
  }
  const firing = device.firing(ids.firing);
  if (firing === undefined) return null;
  const { zone, firedAt, place, result, lookReached, released, note, asFired, photos, knownBy, lesson, version } = firing;
  const told = { zone, firedAt, place, result, lookReached, released, note, asFired, photos, knownBy, lesson };
  const variables = (value: string): Kinds.Variables['saveFiring'] => ({
    id: ids.firing,
    body: { ...told, [field === 'first' ? 'place' : 'note']: value },
    before: told,
  });
  return { stands: field === 'first' ? place : note, name: 'saveFiring', on: version, variables };
}

/** Which of the three a save is of. */
const thingOf = (name: string, variables: unknown, ids: Ids): Thing | null =>
  THINGS.find(
    (thing) =>
      JSON.stringify(variables).includes(ids[thing]) &&
      /Piece|Record|Firing/
        .exec(name)?.[0]
        .toLowerCase()
        .startsWith(thing === 'glass' ? 'record' : thing),
  ) ?? null;

function put({ devices, ids, owed }: Run, who: number, thing: Thing, field: Field, make: (stands: string) => string, left: boolean): void {
  const device = devices[who];
  const form = filled(device, ids, thing, field);
  if (!form) return;
  const value = make(form.stands);
  const variables = form.variables(value);
  const { id } = device.outbox.put(form.name, variables, { on: form.on, own: thing !== 'piece' });
  if (left) device.outbox.release(id);
  // What the person saw there and wrote over was let go of knowingly.
  for (const one of marksIn(form.stands)) owed.delete(one);
  for (const one of marksIn(value)) owed.add(one);
}

/** What is in none of what is kept any more, and on no server, after a decision, was given up by it. */
function decided(run: Run, act: () => void): void {
  const inBoxes = (): string[] =>
    run.devices.flatMap(({ outbox }) => outbox.entries().flatMap(({ variables, refused }) => marksIn([variables, refused?.current])));
  const before = inBoxes();
  act();
  // Of saves that rest on one another the last is what they leave.
  const leaves = ({ outbox }: Device): unknown[] =>
    THINGS.map((of) => outbox.entries().findLast(({ name, variables }) => thingOf(name, variables, run.ids) === of)?.variables);
  const after = new Set(run.devices.flatMap((device) => marksIn(leaves(device))));
  for (const one of before) if (!after.has(one)) run.owed.delete(one);
}

class Step implements fc.AsyncCommand<object, Run> {
  constructor(
    private readonly words: string,
    private readonly act: (run: Run) => Promise<void> | void,
  ) {}
  check = (): boolean => true;
  async run(_model: object, run: Run): Promise<void> {
    await this.act(run);
    mustOweNothing(run);
  }
  toString = (): string => this.words;
}

const who = fc.nat({ max: 1 });
const thing = fc.constantFrom(...THINGS);
const field = fc.constantFrom<Field>('first', 'second');
const step = <T extends unknown[]>(arbitrary: fc.Arbitrary<T>, words: string, act: (run: Run, ...drawn: T) => Promise<void> | void) =>
  arbitrary.map((drawn) => new Step(`${words} ${drawn.join(' ')}`, (run) => act(run, ...drawn)));

const added = (stands: string): string => (stands.length > LETTERS_AT_MOST ? mark() : stands + mark());
const editing = step(fc.tuple(who, thing, field, fc.boolean()), 'edit', (run, i, of, at, left) => put(run, i, of, at, added, left));
/** As often as all else together. */
const EDITS = Array.from({ length: 10 }, () => editing);

const STEPS = [
  step(fc.tuple(who, thing, field, fc.boolean()), 'empty', (run, i, of, at, left) => put(run, i, of, at, () => '', left)),
  step(fc.tuple(who, thing), 'delete', (run, i, of) => {
    const form = filled(run.devices[i], run.ids, of, 'first');
    if (!form) return;
    const [name, variables] = {
      piece: ['deletePiece', { id: run.ids.piece, name: 'x' }],
      glass: ['removeRecord', { kind: 'glasses', id: run.ids.glass, name: 'x' }],
      firing: ['deleteFiring', { id: run.ids.firing, pieceName: 'x' }],
    }[of] as [string, object];
    run.devices[i].outbox.put(name, variables, { on: form.on });
  }),
  step(fc.tuple(who, thing), 'bring back', (run, i, of) => {
    const [name, variables] = {
      piece: ['restorePiece', { id: run.ids.piece, name: 'x' }],
      glass: ['restoreRecord', { kind: 'glasses', id: run.ids.glass, name: 'x' }],
      firing: ['restoreFiring', { id: run.ids.firing, pieceName: 'x' }],
    }[of] as [string, object];
    run.devices[i].outbox.put(name, variables);
  }),
  step(fc.tuple(who), 'look', async (run, i) => run.devices[i].look(run.ids)),
  step(fc.tuple(who), 'wait', async (run, _i) => quiet(run)),
  step(fc.tuple(who), 'lose the network', (run, i) => run.devices[i].connect(false)),
  step(fc.tuple(who), 'come back', async (run, i) => {
    run.devices[i].connect(true);
    await quiet(run);
    await run.devices[i].look(run.ids);
  }),
  step(fc.tuple(who), 'lose an answer', (run, i) => void (run.devices[i].lost = 1)),
  step(fc.tuple(who), 'close the page', (run, i) => run.devices[i].closePage()),
  step(fc.tuple(who, fc.nat(), fc.boolean()), 'decide', async (run, i, at, mine) => {
    await quiet(run);
    const { outbox } = run.devices[i];
    const refused = outbox.entries().filter((entry) => entry.refused);
    const entry = refused.at(at % Math.max(refused.length, 1));
    if (!entry?.refused) return;
    const { problem } = entry.refused;
    decided(run, () => {
      if (!mine) outbox.discard(entry.id);
      else if (problem.code === 'deleted') outbox.bringBackWithMine(entry.id);
      else if (isConflict(entry.refused as Box.Refusal)) outbox.mineOverTheirs(entry.id);
      else outbox.again(entry.id);
    });
    await quiet(run);
  }),
];

let killed = 0;
const killing = step(fc.tuple(who), 'kill the server', async (_run, _i) => {
  killed += 1;
  await killServer();
});

/** Things of this run's own; the firing is one of the demo's, told of anew. */
async function begun(): Promise<Run> {
  const [piece, glass] = [uuid(), `glass-${uuid().slice(-12)}`];
  const template = await server.piece('Plaque no. 14');
  const doc = { ...template.doc, journey: template.doc.journey.filter(({ kind }) => kind === 'lay').slice(0, 1) };
  expect((await server.ask('POST', '/api/pieces', { id: piece, name: 'x', doc })).status).toBe(200);
  const [shipped] = (await server.ask('GET', '/api/glasses')).body;
  expect((await server.ask('PUT', `/api/glasses/${glass}`, { ...shipped, id: glass, name: 'x', source: '', version: 0 })).status).toBe(200);
  server.opened.db.update(firings).set({ note: '', place: '', deletedAt: null }).where(eq(firings.id, toldOf)).run();
  const run: Run = { devices: [new Device(), new Device()], ids: { piece, glass, firing: toldOf }, owed: new Set() };
  for (const device of run.devices) await device.look(run.ids);
  return run;
}

test(`${RUNS} random days`, async () => {
  globalThis.fetch = (path, init) => {
    const device = asking;
    asking = null;
    return device ? device.fetch(String(path), init) : realFetch(path, init);
  };
  const counted = { conflicts: 0, edits: 0 };
  await fc.assert(
    fc.asyncProperty(fc.commands([...STEPS, ...EDITS, killing], { maxCommands: 30, size: 'max' }), async (steps) => {
      const run = await begun();
      await fc.asyncModelRun(() => ({ model: {}, real: run }), steps);
      for (const device of run.devices) device.connect(true);
      await quiet(run);
      mustOweNothing(run);
      counted.conflicts += run.devices.flatMap(({ outbox }) => outbox.entries()).length;
      counted.edits += run.owed.size;
      for (const { outbox } of run.devices) outbox.forgetAll();
    }),
    { numRuns: RUNS, seed: 20261129, endOnFailure: process.env.LONG !== '1' },
  );
  // Days on which nothing happens prove nothing.
  expect([counted.conflicts > RUNS / 10, counted.edits > RUNS, killed > RUNS / 10]).toEqual([true, true, true]);
}, 1_800_000);
