import { type EarlierDocument, asJourney } from '@torvin/core/piece';
import { type AnyRecord, EMPTY_SHELVES, type FiringDetail, type Piece, type PieceDoc, type Shelves, type Step, rowOfPiece } from '@torvin/schema';
import { QueryClient } from '@tanstack/react-query';
import { IDBFactory } from 'fake-indexeddb';
import { type Variables, firingOnto, readEntry, recordOnto, saveKinds, wayOn } from './kinds';
import type { Outbox, Refusal, SaveKind } from './outbox';
import { pieceNow, shownPiece, shownPrograms, shownShelves } from './shown';
import { shownRows } from './shownRows';
import { dropPicture, keepPicture, knownNames, localIdsIn, localName, readPicture } from './pictures';

const sheet = (id: string, thickness_m = 0.003) => ({ id, form: 'sheet', glassId: 'clear', thickness_m }) as const;
const step = (id: string, scheduleId: string | null, look: Step['look'] = 'fullFuse') =>
  ({ kind: 'fire', id, look, scheduleId, computedId: scheduleId }) as Step;
type Change = Partial<PieceDoc> & { layers?: EarlierDocument['layers']; steps?: Step[] };
const doc = ({ layers = [sheet('a')], steps = [step('s', 'old')], ...more }: Change = {}): PieceDoc => ({
  ...{ schemaVersion: 3, footprint: { shape: 'disc', diameter_m: 0.3 }, dammed: false, typed: { diameter: '300 mm' } },
  journey: [{ kind: 'lay', id: 'laid', side: 'above', layers }, ...steps],
  ...more,
});
const piece = (now: PieceDoc, version = 4): Piece => ({
  id: 'p',
  name: 'Tray',
  doc: now,
  version,
  createdAt: 0,
  updatedAt: 0,
  undo: null,
  redo: null,
  fired: {},
  turns: [],
  ...{ tags: [], finishedAt: null, awayAt: null, patternAt: null, dueOn: null },
});
const save = (mine: PieceDoc, before: PieceDoc | null = doc()): Variables['savePiece'] => ({
  id: 'p',
  name: 'Tray',
  doc: mine,
  what: 'changed',
  before: before && { name: 'Tray', doc: before },
});

const kinds = saveKinds(new QueryClient(), () => undefined);

test('a save that was kept before there were journeys is taken up as one of today, and goes onto what stands', () => {
  const { kind: _kind, ...fire } = step('s', 'old');
  const earlier = (thickness_m: number): EarlierDocument => ({
    ...{ schemaVersion: 2, footprint: { shape: 'disc', diameter_m: 0.3 }, dammed: false, typed: { diameter: '300 mm' } },
    ...{ layers: [sheet('a', thickness_m)], steps: [fire] },
  });
  const kept = {
    id: 'e',
    name: 'savePiece',
    variables: { id: 'p', name: 'Tray', doc: earlier(0.006), what: 'deeper', before: { name: 'Tray', doc: earlier(0.003) } },
    on: 3,
  };
  const taken = readEntry(kinds as unknown as Record<string, SaveKind>, kept);
  expect(taken).toMatchObject({ name: 'savePiece', on: 3, variables: { doc: { schemaVersion: 3 }, before: { doc: { schemaVersion: 3 } } } });
  const standing = piece({ ...asJourney(earlier(0.003)), dammed: true }, 9);
  expect(kinds.savePiece.onto?.(taken.variables as Variables['savePiece'], standing).variables).toMatchObject({
    doc: { dammed: true, journey: [{ layers: [{ thickness_m: 0.006 }] }, { kind: 'fire', scheduleId: 'old' }] },
  });
});

describe('mine over theirs', () => {
  test('of a lay-up leaves their schedules, their firings and their name', () => {
    const theirs = piece(doc({ steps: [step('s', 'theirs'), step('new', 'also theirs')] }), 9);
    const { variables, leaves } = kinds.savePiece.onto?.(save(doc({ layers: [sheet('a', 0.006)] })), { ...theirs, name: 'Theirs' }) ?? {};
    expect(variables).toMatchObject({
      name: 'Theirs',
      doc: { journey: [{ layers: [{ thickness_m: 0.006 }] }, { scheduleId: 'theirs' }, { scheduleId: 'also theirs' }] },
    });
    expect(leaves).toMatchObject({ name: 'Theirs', doc: { journey: [{}, { scheduleId: 'theirs' }, {}] } });
    // Once more onto the same it changes nothing.
    expect(kinds.savePiece.onto?.(variables as Variables['savePiece'], leaves).variables).toEqual({ ...variables, before: expect.anything() as unknown });
  });

  test('of a lay-up kept by an older page, which did not know what it changed, leaves their firings all the same', () => {
    const { variables } = kinds.savePiece.onto?.(save(doc({ layers: [sheet('a', 0.006)] }), null), piece(doc({ steps: [step('s', 'theirs')] }))) ?? {};
    expect(variables).toMatchObject({ doc: { journey: [{ layers: [{ thickness_m: 0.006 }] }, { scheduleId: 'theirs' }] } });
  });

  test('of an outline takes the words with the figures', () => {
    const wider = doc({ footprint: { shape: 'disc', diameter_m: 0.4 }, typed: { diameter: '40 cm' } });
    const theirs = piece(doc({ footprint: { shape: 'disc', diameter_m: 0.25 }, typed: { diameter: '25 cm' } }));
    expect(kinds.savePiece.onto?.(save(wider), theirs).variables.doc).toMatchObject({ footprint: { diameter_m: 0.4 }, typed: { diameter: '40 cm' } });
    expect(kinds.savePiece.onto?.(save(doc({ dammed: true })), theirs).variables.doc).toMatchObject({
      dammed: true,
      footprint: { diameter_m: 0.25 },
      typed: { diameter: '25 cm' },
    });
  });

  test('of a schedule is that schedule, on its own step', () => {
    const schedule: Variables['saveSchedule'] = { pieceId: 'p', id: 'mine', stepId: 's', parentId: 'old', origin: 'edited', segments: [] };
    const standing = piece(doc({ layers: [sheet('z')], steps: [step('s', 'theirs'), step('t', 'kept')] }));
    const { variables, leaves } = kinds.saveSchedule.onto?.(schedule, standing) ?? {};
    expect(variables).toEqual(schedule);
    expect((leaves as Piece).doc).toMatchObject({ journey: [{ layers: [{ id: 'z' }] }, { scheduleId: 'mine', computedId: 'theirs' }, { scheduleId: 'kept' }] });
  });

  test('of what is told of a firing, and of a record, is what I changed of it', () => {
    const before = { zone: 'UTC', firedAt: 1, place: '', result: null, lookReached: null, note: '', asFired: null, photos: [], knownBy: '' };
    const mine = { id: 'f', body: { ...before, note: 'mine' }, before };
    const standing = { ...before, id: 'f', version: 3, place: 'front', pieceName: 'Tray' } as unknown as FiringDetail['firing'];
    expect(firingOnto(mine, standing).variables.body).toEqual({ ...before, note: 'mine', place: 'front' });
    const kiln = { id: 'k', name: 'Low', source: 'own', version: 1, top_C: 900 } as never;
    const renamed = { ...(kiln as object), name: 'Mine' } as never;
    const { variables } = recordOnto({ kind: 'kilns', record: renamed, before: kiln }, { ...(kiln as object), top_C: 950, version: 2 } as never);
    expect(variables.record).toMatchObject({ name: 'Mine', top_C: 950 });
  });
});

test('a piece is shown as what waits will leave it, whether or not the server has it already', () => {
  const waiting = [
    { name: 'savePiece', variables: save(doc({ layers: [sheet('a', 0.006)] })) },
    { name: 'saveSchedule', variables: { pieceId: 'p', id: 'new', stepId: 's', parentId: 'old', origin: 'edited', segments: [] } },
    { name: 'recordFiring', variables: {} },
  ];
  const shown = shownPiece(piece(doc()), waiting);
  expect(shown).toMatchObject({
    version: 4,
    undo: 'schedule changed',
    redo: null,
    doc: { journey: [{ layers: [{ thickness_m: 0.006 }] }, { scheduleId: 'new', computedId: 'old' }] },
  });
  expect(shownPiece({ ...shown, version: 6 }, waiting).doc).toEqual(shown.doc);
});

test.each([
  ['recordFiring', 'outdated', 'asItIs'],
  ['recordFiring', 'kiln-in-use', 'again'],
  ['savePiece', 'stale', 'mine'],
  ['savePiece', 'impossible', 'again'],
] as const)('%s refused for being %s goes on by %s', (name, code, way) => {
  expect(wayOn(name, { problem: { code, path: '', message: '' }, current: { version: 3 } })).toBe(way);
});

test('programs are shown as what waits will leave them: keyed over, told of where its schedule is asked about, once', () => {
  const of = { pieceId: 'p', pieceName: 'Tray', stepId: 's' };
  const program = (id: string, scheduleId: string | null, more: object = {}) => ({
    ...{ id, controllerId: 'box', slot: 3, scheduleId, rows: [], keyedAt: 100, readAt: null, slips: null, ...of, ahead_s: 0, keyedOverAt: null },
    ...more,
  });
  const standing = [program('a', 'old'), program('b', 'other', { slot: 4 })];
  const body = { id: 'c', controllerId: 'box', slot: 3, scheduleId: 'new', rows: [], keyedAt: 200, readAt: 200, slips: 0 };
  const waiting = [{ name: 'keyProgram', variables: { ...body, controllerName: 'Box', of: { ...of, pieceName: 'Disc' } } }];
  const shown = shownPrograms(standing, waiting, 'new');
  expect(shown.map(({ id, pieceName, slips }) => [id, pieceName, slips])).toEqual([
    ['b', 'Tray', null],
    ['c', 'Disc', 0],
  ]);
  expect(shown[1]).not.toHaveProperty('controllerName');
  expect(shownPrograms(standing, waiting, 'old').find(({ id }) => id === 'a')).toMatchObject({ keyedOverAt: 200 });
  // The server has it by now.
  expect(shownPrograms(shown, waiting, 'new')).toEqual(shown);
  expect(shownPrograms(standing, [{ ...waiting[0], refused: { problem: { code: '', path: '', message: '' } } }], 'new')).toEqual(standing);
});

describe('what a page of another version kept', () => {
  const kinds = saveKinds(new QueryClient(), () => undefined);
  const known = { id: 'a', name: 'nameSchedule', variables: { id: 's', pieceId: 'p', name: 'Second' }, on: null };
  test.each([
    ['a save of a name that is not known', { id: 'b', name: 'saveJourney', variables: { id: 'p' }, on: 4 }],
    ['a save whose contents cannot be read', { id: 'c', name: 'createPiece', variables: { id: 'p', layers: 3 }, on: 0 }],
  ])('%s is held, named, and taken up again by a version that knows it', (_, entry) => {
    const held = readEntry(kinds, entry);
    expect(held).toMatchObject({ id: entry.id, name: 'unknown', refused: { problem: { code: 'unknown-save' } } });
    expect(kinds.unknown.words(held.variables as Variables['unknown'])).toContain(entry.name);
    expect(wayOn(held.name, held.refused as Refusal)).toBeNull();
    const later = { ...kinds, [entry.name]: kinds.nameSchedule } as unknown as Record<string, SaveKind>;
    expect(readEntry(later, held)).toEqual(entry);
    expect(readEntry(kinds, held)).toEqual(held);
  });

  test('what is known goes as it is', () => expect(readEntry(kinds, known)).toBe(known));
});

describe('a picture that has not gone', () => {
  beforeEach(() => {
    localStorage.clear();
    global.indexedDB = new IDBFactory();
    // jsdom has none; what is kept here is never changed.
    global.structuredClone ??= <T>(value: T): T => value;
  });

  test('is kept with its bytes until it is dropped', async () => {
    expect(await keepPicture('one', new Blob(['bytes']))).toBe(true);
    expect((await readPicture('one'))?.size).toBe(5);
    await dropPicture('one');
    expect(await readPicture('one')).toBeUndefined();
  });

  test('goes before the firing that shows it, which then names it as the server does', async () => {
    const asked: string[] = [];
    global.fetch = (async (url: string, init: RequestInit) => {
      asked.push(`${init.method} ${url} ${typeof init.body === 'string' ? init.body : 'bytes'}`);
      return { ok: true, status: 200, headers: new Headers(), json: async () => ({ hash: 'a1' }) };
    }) as unknown as typeof fetch;
    const firing = { id: 'f', pieceId: 'p', scheduleId: 's', photos: ['b2', localName('two')] } as unknown as Variables['recordFiring'];
    const filled = jest.fn();
    const own = saveKinds(new QueryClient(), filled);
    expect(own.recordFiring.needs?.(firing)).toEqual(['s', 'two']);
    await keepPicture('two', new Blob(['bytes']));
    own.addPhoto.taken(await own.addPhoto.send({ id: 'two', fileName: 'x.jpg' }, { key: 'k', version: 0 }), { id: 'two', fileName: 'x.jpg' });
    const [id, put] = filled.mock.calls[0] as [string, (variables: unknown) => unknown];
    expect(id).toBe('two');
    expect(put(firing)).toMatchObject({ photos: ['b2', 'a1'] });
    expect(put({ id: 'f', body: { photos: [localName('two')] } })).toMatchObject({ body: { photos: ['a1'] } });
    await own.recordFiring.send(firing, { key: 'k', version: 0 });
    expect(asked[1]).toMatch(/"photos":\["b2","a1"\]/);
    expect(localIdsIn(knownNames([localName('two'), localName('lost')]))).toEqual(['lost']);
    await expect(own.addPhoto.send({ id: 'never', fileName: 'x' }, { key: 'k', version: 0 })).rejects.toMatchObject({ problem: { code: 'lost-picture' } });
  });
});

describe('what waits is shown', () => {
  const queueOf = ({ name, variables }: { name: string; variables: unknown }): string => (kinds as unknown as Record<string, SaveKind>)[name].queue(variables);
  const entry = <N extends keyof Variables>(name: N, variables: Variables[N], more = {}) => ({ id: name, name, variables, on: null, ...more });

  test('a piece that the server has not seen stands before the others, as it was changed since', () => {
    const made = { id: 'new', name: 'Begun offline', doc: doc({ steps: [] }) };
    const deeper = { ...save(doc({ layers: [sheet('a', 0.006)], steps: [] }), made.doc), id: 'new', name: made.name };
    const waiting = [entry('createPiece', made), entry('savePiece', { ...deeper, before: { name: made.name, doc: made.doc } })];
    const unread = { queueOf, known: () => undefined, glasses: [] };
    const shown = shownRows([rowOfPiece(piece(doc()), [])], waiting, unread);
    expect(shown).toMatchObject([{ id: 'new', name: 'Begun offline', version: 0, laid: 1, profile: { layers: [{ thickness_m: 0.006 }] } }, { id: 'p' }]);
    expect(shownRows(shown, waiting, unread)).toHaveLength(2);
    // One that the server has is shown as it was changed, whether it has been read whole or not.
    const renamed = [entry('savePiece', { ...save(doc(), doc()), name: 'Renamed' })];
    for (const known of [() => undefined, () => piece(doc())]) {
      expect(shownRows([rowOfPiece(piece(doc()), [])], renamed, { queueOf, known, glasses: [] })).toMatchObject([{ id: 'p', name: 'Renamed' }]);
    }
    // A further change goes onto it too, as onto one that has been read.
    const outbox = { waitingIn: () => waiting } as unknown as Outbox;
    expect(pieceNow(new QueryClient(), outbox, 'new')).toMatchObject({ version: 0, doc: { journey: [{ layers: [{ thickness_m: 0.006 }] }] } });
    expect(pieceNow(new QueryClient(), outbox, 'other')).toBeUndefined();
    expect(shownRows([], [...waiting, entry('deletePiece', { id: 'new', name: made.name })], unread)).toEqual([]);
    expect(shownRows([], [{ ...waiting[0], refused: { problem: { code: 'x', path: '', message: '' } } }], unread)).toEqual([]);
  });

  test('a piece waits for the records that it names, where those are new', () => {
    const planned = { ...step('s', null), kilnId: 'kiln', controllerId: 'box', releaseId: 'primer' };
    expect(kinds.createPiece.needs?.({ id: 'new', name: 'New', doc: doc({ steps: [planned] }) })).toEqual(['clear', 'kiln', 'box', 'primer']);
    expect(kinds.savePiece.needs?.(save(doc({ steps: [] })))).toEqual(['clear']);
  });

  test('records are as they will be: made, changed, put away, deleted', () => {
    const release = (id: string, more = {}) => ({
      ...{ id, version: 3, name: id, source: '', kind: 'primer', top_C: 850, firings: 1, note: '' },
      ...more,
    });
    const shelves = { ...EMPTY_SHELVES, releases: [release('a'), release('b'), release('c')] } as Shelves;
    const record = (one: object) => one as AnyRecord;
    const shown = shownShelves(shelves, [
      entry('saveRecord', { kind: 'releases', record: record(release('aa', { version: 0 })), before: null }),
      entry('saveRecord', { kind: 'releases', record: record(release('b', { top_C: 900 })), before: record(release('b')) }),
      entry('archiveRecord', { kind: 'releases', id: 'a', name: 'a', archived: true }),
      entry('removeRecord', { kind: 'releases', id: 'c', name: 'c' }),
      entry('saveRecord', { kind: 'releases', record: record(release('d')), before: null }, { refused: { problem: { code: 'x', path: '', message: '' } } }),
    ]);
    expect(shown.releases.map(({ id, version, top_C }) => [id, version, top_C])).toEqual([
      ['a', 3, 850],
      ['aa', 0, 850],
      ['b', 3, 900],
    ]);
    expect(shown.archived).toEqual(['a']);
    expect(shownShelves(shelves, [])).toBe(shelves);
  });
});

test('what the server has taken of a record stands on the shelves at once, before they are read anew', async () => {
  const client = new QueryClient();
  const { saveRecord, removeRecord } = saveKinds(client, () => undefined);
  const record = (id: string, name: string, version = 1) => ({ id, name, version }) as unknown as AnyRecord;
  const names = (): string[] => (client.getQueryData<Shelves>(['shelves'])?.kilns ?? []).map(({ name, version }) => `${name} ${version}`);
  const told = (of: AnyRecord) => ({ kind: 'kilns' as const, record: of, before: null });
  // Nothing that was never read is made up.
  saveRecord.taken(record('a', 'Low'), told(record('a', 'Low')));
  expect(client.getQueryData(['shelves'])).toBeUndefined();
  client.setQueryData<Shelves>(['shelves'], EMPTY_SHELVES);
  saveRecord.taken(record('b', 'Tall'), told(record('b', 'Tall')));
  saveRecord.taken(record('a', 'Low'), told(record('a', 'Low')));
  saveRecord.taken(record('b', 'High', 2), told(record('b', 'High')));
  expect(names()).toEqual(['High 2', 'Low 1']);
  await new Promise((resolve) => setTimeout(resolve));
  expect(client.getQueryState(['shelves'])?.isInvalidated).toBe(true);
  removeRecord.taken(undefined, { kind: 'kilns', id: 'b', name: 'High' });
  expect(names()).toEqual(['Low 1']);
});
