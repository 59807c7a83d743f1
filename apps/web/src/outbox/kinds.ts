/** Every save that the app makes: in which queue it goes, whose versions it counts, how it is sent, and what it is in words. */
import { asJourney, firingOf, firingsOf, withStep } from '@torvin/core/piece';
import type {
  AnyRecord,
  Filing,
  Firing,
  FiringChange,
  FiringDetail,
  KindName,
  Load,
  LoadDetail,
  NewFiring,
  NewPiece,
  NewProgram,
  NewReckoning,
  NewSchedule,
  Photo,
  Piece,
  PieceDoc,
  PiecePage,
  Program,
  SavedSchedule,
  Schedule,
  Shelves,
  Studio,
} from '@torvin/schema';
import { KIND_NAMES, asks, inOrder, namedInDoc, photosOf, asksOfKind } from '@torvin/schema';
import type { InfiniteData, QueryClient } from '@tanstack/react-query';
import { ApiProblem, call, sendPhoto } from '@/outside/client';
import { adoptPiece, keys, readAnew } from '@/outside/keys';
import { sendRecord } from '@/outside/records';
import { isSame, onto, partsOnto } from './merge';
import type { Entry, Refusal, SaveKind } from './outbox';
import { dropPicture, knownNames, localIdsIn, nameGiven, readPicture, withPhotos, withoutLocal } from './pictures';

type State = Pick<Piece, 'name' | 'doc'>;
type Told = Omit<FiringChange, 'version'>;

/** What each save needs to be sent, by its name. before: what it changed; null where only older pages knew that. */
export interface Variables {
  createPiece: NewPiece;
  savePiece: State & { id: string; what: string; before: State | null };
  deletePiece: { id: string; name: string };
  restorePiece: { id: string; name: string };
  filePiece: { id: string; name: string; filing: Filing };
  saveSchedule: Omit<NewSchedule, 'pieceVersion'> & { pieceId: string };
  nameSchedule: { id: string; pieceId: string; name: string };
  recordFiring: NewFiring;
  saveFiring: { id: string; body: Told; before: Told | null };
  deleteFiring: { id: string; pieceName: string };
  restoreFiring: { id: string; pieceName: string };
  openLoad: { id: string; openedAt: number | null };
  noteLoad: { id: string; note: string };
  /** of: what its schedule is of, to be shown until the server has said so. */
  keyProgram: NewProgram & { controllerName: string; of: Pick<Program, 'pieceId' | 'pieceName' | 'stepId'> };
  removeProgram: { id: string; controllerId: string; controllerName: string; slot: number };
  restoreProgram: { id: string; controllerId: string; controllerName: string; slot: number };
  keepReckoning: NewReckoning;
  addPhoto: { id: string; fileName: string };
  saveRecord: { kind: KindName; record: AnyRecord; before: AnyRecord | null };
  archiveRecord: { kind: KindName; id: string; name: string; archived: boolean };
  removeRecord: { kind: KindName; id: string; name: string };
  /** withNamed: what it names was deleted too, and comes back with it. */
  restoreRecord: { kind: KindName; id: string; name: string; withNamed?: boolean };
  saveStudio: Studio;
  /** What another version of Torvin kept and this one cannot read. */
  unknown: { entry: Entry };
}
export type SaveName = keyof Variables;

export interface Answers extends Record<SaveName, unknown> {
  createPiece: Piece;
  savePiece: Piece;
  restorePiece: Piece;
  filePiece: Piece;
  saveSchedule: SavedSchedule;
  nameSchedule: Schedule;
  saveFiring: FiringDetail;
  noteLoad: Load;
  addPhoto: Photo;
  saveRecord: AnyRecord;
  archiveRecord: Shelves;
}

type Kinds = { [N in SaveName]: SaveKind<Variables[N], Answers[N], unknown> };

export const pieceQueue = (id: string): string => `piece ${id}`;
export const firingQueue = (id: string): string => `firing ${id}`;
export const SHELVES_QUEUE = 'shelves';

/** A kept picture that the browser has lost in the meantime. */
const LOST_PICTURE = { code: 'lost-picture', path: '', message: 'This browser does not have the picture any more; add it once more.' };

const UNKNOWN = {
  code: 'unknown-save',
  path: '',
  message: 'This version of Torvin cannot send it. It stays here until you let it go, or the version that kept it is back.',
};

/** Ids of the records that a piece names: one that is new is saved under its own id, and goes first. */
const recordsIn = (doc: PieceDoc): string[] => namedInDoc(doc).map(({ id }) => id);

/** filled: puts the name of a picture into the saves that wait for it. */
export function saveKinds(client: QueryClient, filled: (id: string, put: (variables: unknown) => unknown) => void): Kinds {
  const forgetFirings = (): void => {
    void readAnew(client, keys.firings);
    void readAnew(client, ['versions']);
    void readAnew(client, keys.loads);
    void readAnew(client, ['piece']);
  };
  const adoptList = (kind: KindName, change: Parameters<typeof withList>[2]): void =>
    void client.setQueryData<Shelves>(keys.shelves, (shelves) => shelves && withList(shelves, kind, change));
  const forgetShelves = (): void => {
    void readAnew(client, keys.shelves);
    void readAnew(client, keys.loads);
    void readAnew(client, keys.madeUses);
    void readAnew(client, keys.formUses);
    void readAnew(client, keys.bench);
  };

  const piece = ({ id, name }: { id: string; name: string }) => ({ name: 'restorePiece', variables: { id, name } });
  return {
    createPiece: {
      queue: ({ id }) => pieceQueue(id),
      counts: ({ id }) => pieceQueue(id),
      revives: piece,
      send: (body, { key }) => call(asks.createPiece, { body, key }),
      needs: ({ doc }) => recordsIn(doc),
      taken: (saved) => adoptPiece(client, saved),
      words: ({ name }) => `New piece: ${name}`,
    },
    savePiece: {
      queue: ({ id }) => pieceQueue(id),
      counts: ({ id }) => pieceQueue(id),
      send: ({ id, name, doc, what }, { key, version }) => call(asks.savePiece, { id, key, body: { name, doc, what, version } }),
      taken: (saved) => adoptPiece(client, saved),
      join: (resting, next) => ({ ...next, before: resting.before }),
      needs: ({ doc }) => recordsIn(doc),
      onto: pieceOnto,
      revives: piece,
      words: ({ name, what }) => `${name}: ${what}`,
    },
    deletePiece: {
      queue: ({ id }) => pieceQueue(id),
      counts: ({ id }) => pieceQueue(id),
      send: ({ id }, { key, version }) => call(asks.deletePiece, { id, key, body: { version } }),
      taken(_, { id }) {
        // Its page may still be open, and would read it anew.
        client.removeQueries({ queryKey: keys.piece(id), type: 'inactive' });
        void readAnew(client, keys.madeUses);
        client.setQueriesData<InfiniteData<PiecePage>>(
          { queryKey: keys.pieces },
          (read) => read && { ...read, pages: read.pages.map((page) => ({ ...page, pieces: page.pieces.filter((row) => row.id !== id) })) },
        );
      },
      words: ({ name }) => `${name} deleted`,
    },
    restorePiece: {
      queue: ({ id }) => pieceQueue(id),
      send: ({ id }, { key }) => call(asks.restorePiece, { id, key, body: {} }),
      taken: (saved) => adoptPiece(client, saved),
      words: ({ name }) => `${name} brought back`,
    },
    filePiece: {
      queue: ({ id }) => pieceQueue(id),
      send: ({ id, filing }, { key }) => call(asks.filePiece, { id, key, body: filing }),
      join: (_resting, next) => next,
      taken: (filed) => adoptPiece(client, filed),
      revives: piece,
      words: ({ name, filing: { awayAt, finishedAt, patternAt } }) =>
        `${name} ${awayAt !== null ? 'archived' : patternAt !== null ? 'made a pattern' : finishedAt !== null ? 'finished' : 'filed'}`,
    },
    saveSchedule: {
      queue: ({ pieceId }) => pieceQueue(pieceId),
      counts: ({ pieceId }) => pieceQueue(pieceId),
      send: ({ pieceId, ...schedule }, { key, version }) => call(asks.saveSchedule, { id: pieceId, key, body: { ...schedule, pieceVersion: version } }),
      taken({ schedule, piece: saved }, { pieceId }) {
        client.setQueryData(keys.schedule(schedule.id), schedule);
        adoptPiece(client, saved);
        void readAnew(client, keys.versions(pieceId));
      },
      // Schedules are rows of their own: a joined edit is the one that rests, with other rows.
      join: (resting, next) => ({ ...next, id: resting.id, parentId: resting.parentId }),
      onto: (variables, standing: Piece) => ({ variables, leaves: withSchedule(standing, variables) }),
      revives: ({ pieceId }) => piece({ id: pieceId, name: 'The piece' }),
      words: ({ origin }) => (origin === 'computed' ? 'A calculated schedule' : 'A schedule changed by hand'),
    },
    nameSchedule: {
      queue: ({ pieceId }) => pieceQueue(pieceId),
      send: ({ id, name }, { key }) => call(asks.nameSchedule, { id, key, body: { name } }),
      taken(schedule, { id, pieceId }) {
        client.setQueryData(keys.schedule(id), schedule);
        void readAnew(client, keys.versions(pieceId));
      },
      words: ({ name }) => `A version named '${name}'`,
    },
    recordFiring: {
      queue: ({ pieceId }) => pieceQueue(pieceId),
      send: (body, { key }) => call(asks.recordFiring, { key, body: withPhotos(body, withoutLocal) }),
      taken: forgetFirings,
      // A schedule's save has the schedule's own id.
      needs: ({ photos = [], scheduleId }) => [scheduleId, ...localIdsIn(photos)],
      words: ({ note }) => `A firing recorded${note ? `: ${note}` : ''}`,
    },
    saveFiring: {
      queue: ({ id }) => firingQueue(id),
      counts: ({ id }) => firingQueue(id),
      send: ({ id, body }, { key, version }) => call(asks.saveFiring, { id, key, body: { ...withPhotos(body, withoutLocal), version } }),
      taken(detail, { id }) {
        client.setQueryData(keys.firing(id), detail);
        forgetFirings();
      },
      needs: ({ body: { photos = [] } }) => localIdsIn(photos),
      onto: firingOnto,
      revives: ({ id }) => ({ name: 'restoreFiring', variables: { id, pieceName: 'a piece' } }),
      words: ({ body: { note } }) => `A firing told${note ? `: ${note}` : ''}`,
    },
    deleteFiring: {
      queue: ({ id }) => firingQueue(id),
      counts: ({ id }) => firingQueue(id),
      send: ({ id }, { key, version }) => call(asks.deleteFiring, { id, key, body: { version } }),
      taken: forgetFirings,
      words: ({ pieceName }) => `A firing of ${pieceName} deleted`,
    },
    restoreFiring: {
      queue: ({ id }) => firingQueue(id),
      send: ({ id }, { key }) => call(asks.restoreFiring, { id, key, body: {} }),
      taken: forgetFirings,
      words: ({ pieceName }) => `A firing of ${pieceName} brought back`,
    },
    openLoad: {
      queue: ({ id }) => `load ${id}`,
      counts: ({ id }) => `load ${id}`,
      send: ({ id, openedAt }, { key, version }) => call(asks.saveLoad, { id, key, body: { version, openedAt } }),
      taken: forgetFirings,
      onto: (variables, standing: Load) => ({ variables, leaves: { ...standing, openedAt: variables.openedAt } }),
      words: () => 'A kiln opened',
    },
    noteLoad: {
      queue: ({ id }) => `load ${id}`,
      counts: ({ id }) => `load ${id}`,
      send: ({ id, note }, { key, version }) => call(asks.saveLoad, { id, key, body: { version, note } }),
      taken(saved, { id }) {
        client.setQueryData<LoadDetail>(keys.load(id), (read) => read && { ...read, ...saved });
        forgetFirings();
      },
      onto: (variables, standing: Load) => ({ variables, leaves: { ...standing, note: variables.note } }),
      words: ({ note }) => `Noted of a load: ${note}`,
    },
    keyProgram: {
      queue: ({ controllerId }) => `programs ${controllerId}`,
      send: ({ controllerName: _name, of: _of, ...body }, { key }) => call(asks.keyProgram, { key, body }),
      taken: () => void readAnew(client, keys.programs()),
      needs: ({ scheduleId }) => (scheduleId === null ? [] : [scheduleId]),
      words: ({ slot, controllerName }) => `Program ${slot} of ${controllerName}`,
    },
    removeProgram: {
      queue: ({ controllerId }) => `programs ${controllerId}`,
      send: ({ id }, { key }) => call(asks.removeProgram, { id, key, body: {} }),
      taken: () => void readAnew(client, keys.programs()),
      words: ({ slot, controllerName }) => `The entry of program ${slot} of ${controllerName} taken out`,
    },
    restoreProgram: {
      queue: ({ controllerId }) => `programs ${controllerId}`,
      send: ({ id }, { key }) => call(asks.restoreProgram, { id, key, body: {} }),
      taken: () => void readAnew(client, keys.programs()),
      words: ({ slot, controllerName }) => `The entry of program ${slot} of ${controllerName} brought back`,
    },
    keepReckoning: {
      queue: () => 'reckonings',
      send: (body, { key }) => call(asks.keepReckoning, { key, body }),
      taken: () => void readAnew(client, keys.reckonings),
      words: ({ told }) => `Calculated: ${told}`,
    },
    addPhoto: {
      queue: ({ id }) => `photo ${id}`,
      async send({ id }) {
        const picture = await readPicture(id);
        if (!picture) throw new ApiProblem(LOST_PICTURE, 410);
        return sendPhoto(picture);
      },
      taken({ hash }, { id }) {
        nameGiven(id, hash);
        filled(id, named);
        void dropPicture(id);
      },
      givenUp: ({ id }) => void dropPicture(id),
      words: ({ fileName }) => `The picture ${fileName}`,
    },
    saveRecord: {
      queue: () => SHELVES_QUEUE,
      counts: ({ kind, record }) => `${kind} ${record.id}`,
      send: ({ kind, record }, { key, version }) => sendRecord(kind, { ...('photos' in record ? withPhotos(record, withoutLocal) : record), version }, key),
      // Shown as it was taken until all is read anew: what is on the page must not flicker back.
      taken(record, { kind }) {
        adoptList(kind, (list) => [...list.filter(({ id }) => id !== record.id), record]);
        forgetShelves();
      },
      needs: ({ record }) => localIdsIn(photosOf(record)),
      onto: recordOnto,
      revives: ({ kind, record }) => ({
        name: 'restoreRecord',
        variables: { kind, id: record.id, name: 'name' in record ? record.name : `The ${KIND_NAMES[kind].one}` },
      }),
      words: ({ kind, record }) => `On the shelves: ${'name' in record ? record.name : `a ${KIND_NAMES[kind].one}`}`,
    },
    archiveRecord: {
      queue: () => SHELVES_QUEUE,
      send: ({ kind, id, archived }, { key }) => call(asksOfKind(kind).archive, { id, key, body: { archived } }),
      taken: (shelves) => client.setQueryData(keys.shelves, shelves),
      words: ({ name, archived }) => `${name} ${archived ? 'archived' : 'restored'}`,
    },
    removeRecord: {
      queue: () => SHELVES_QUEUE,
      counts: ({ kind, id }) => `${kind} ${id}`,
      send: ({ kind, id }, { key, version }) => call(asksOfKind(kind).remove, { id, key, body: { version } }),
      taken(_, { kind, id }) {
        adoptList(kind, (list) => list.filter((one) => one.id !== id));
        forgetShelves();
      },
      words: ({ name }) => `${name} deleted`,
    },
    restoreRecord: {
      queue: () => SHELVES_QUEUE,
      send: ({ kind, id, withNamed }, { key }) => call(asksOfKind(kind).restore, { id, key, body: withNamed ? { withNamed } : {} }),
      taken: forgetShelves,
      words: ({ name }) => `${name} brought back`,
    },
    saveStudio: {
      queue: () => 'studio',
      send: (body, { key }) => call(asks.saveStudio, { body, key }),
      taken: () => undefined,
      words: () => 'Units and theme',
    },
    unknown: {
      queue: ({ entry }) => `unknown ${entry.id}`,
      send: () => Promise.reject(new ApiProblem(UNKNOWN, 410)),
      taken: () => undefined,
      words: ({ entry }) => `Something that another version of Torvin kept (${entry.name})`,
    },
  };

  function named(variables: unknown): unknown {
    const { body, record, ...rest } = variables as { body?: { photos?: string[] }; record?: { photos?: string[] }; photos?: string[] };
    if (body) return { ...rest, body: withPhotos(body, knownNames) };
    return record ? { ...rest, record: withPhotos(record, knownNames) } : withPhotos(rest, knownNames);
  }
}

/** Outline and the words it was typed in are one thing. What an older page kept does not say what it changed: all but the firings. */
export function pieceOnto(variables: Variables['savePiece'], standing: Piece): { variables: Variables['savePiece']; leaves: Piece } {
  const { name, doc, before } = variables;
  const stands = { name: standing.name, doc: standing.doc };
  const merged = before
    ? onto<State>(before, { name, doc }, stands)
    : { name, doc: { ...doc, journey: [...doc.journey.filter(({ kind }) => kind !== 'fire'), ...firingsOf(standing.doc)] } };
  const typed = isSame(merged.doc.footprint, doc.footprint) ? doc.typed : standing.doc.typed;
  const next = { name: merged.name, doc: { ...merged.doc, typed } };
  return { variables: { ...variables, ...next, before: stands }, leaves: { ...standing, ...next } };
}

/** What was told of a firing, of which somebody else has told meanwhile. */
export function firingOnto(variables: Variables['saveFiring'], standing: Firing): { variables: Variables['saveFiring']; leaves: Firing } {
  const { before, body } = variables;
  if (!before) return { variables, leaves: standing };
  const { atOnce: _atOnce, ...told } = body;
  const stands: Told = Object.fromEntries(Object.keys(told).map((key) => [key, standing[key as keyof Firing]])) as Omit<Told, 'atOnce'>;
  const merged = onto(before, body, stands);
  return { variables: { ...variables, body: merged, before: stands }, leaves: { ...standing, ...merged } as Firing };
}

/** The shelves with another list of one kind, in its order. */
export const withList = (shelves: Shelves, kind: KindName, change: (list: readonly AnyRecord[]) => AnyRecord[]): Shelves => ({
  ...shelves,
  [kind]: inOrder(kind, change(shelves[kind])),
});

export function recordOnto(variables: Variables['saveRecord'], standing: AnyRecord): { variables: Variables['saveRecord']; leaves: AnyRecord } {
  const { record, before } = variables;
  const bare = (one: AnyRecord): object => ({ ...one, version: 0 });
  const merged = before === null ? record : (partsOnto(bare(before), bare(record), bare(standing)) as AnyRecord);
  return { variables: { ...variables, record: merged, before: standing }, leaves: merged };
}

/** The piece with a schedule of one of its steps in use. */
export function withSchedule(piece: Piece, { stepId, id, origin }: Pick<NewSchedule, 'stepId' | 'id' | 'origin'>): Piece {
  const step = firingOf(piece.doc, stepId);
  return step ? { ...piece, doc: withStep(piece.doc, { ...step, scheduleId: id, computedId: origin === 'computed' ? id : step.computedId }) } : piece;
}

/** A piece that was kept before there were journeys, in the form of today: what it was made of, and what it was made into. */
function ofJourneys(entry: Entry): Entry {
  if (entry.name !== 'createPiece' && entry.name !== 'savePiece') return entry;
  const { doc, before, ...rest } = entry.variables as { doc: unknown; before?: { doc: unknown } | null };
  const then = before && { ...before, doc: asJourney(before.doc) };
  return { ...entry, variables: { ...rest, doc: asJourney(doc), ...(before === undefined ? {} : { before: then }) } };
}

/** What was kept, as one of the saves that this version knows: shown and held where it is none, and taken up where it has become one. */
export function readEntry(kinds: Record<string, SaveKind>, entry: Entry): Entry {
  const kept = ofJourneys(entry.name === 'unknown' ? (entry.variables as Variables['unknown']).entry : entry);
  try {
    const { queue, counts, needs, words } = kinds[kept.name];
    for (const ask of [queue, counts, needs, words]) ask?.(kept.variables);
    return kept;
  } catch {
    return { id: kept.id, name: 'unknown', variables: { entry: kept } satisfies Variables['unknown'], on: null, refused: { problem: UNKNOWN } };
  }
}

/** The way in which a refused save can still go: an outdated start as it is, one at another's time all the same, a stale save with what it changed, one of what was deleted with that brought back, any other once more. */
export function wayOn(name: string, { problem }: Refusal): 'asItIs' | 'atOnce' | 'mine' | 'back' | 'withNamed' | 'again' | null {
  if (name === 'unknown') return null;
  if (name === 'recordFiring' && problem.code === 'outdated') return 'asItIs';
  if (problem.code === 'overlaps') return 'atOnce';
  if (problem.code === 'deleted') return 'back';
  if (problem.code === 'names-deleted') return 'withNamed';
  return problem.code === 'stale' ? 'mine' : 'again';
}
