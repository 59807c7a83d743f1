/** The HTTP interface as one table: the server routes by it, the web app calls by it, OpenAPI is written from it. */
import { count, figure } from '@torvin/core/contract';
import { z } from 'zod';
import { AccessSchema, EnterSchema, NewPasscodeSchema, type Topic } from './access';
import {
  BackupSchema,
  BackupsSchema,
  BenchSchema,
  FiringChangeSchema,
  FiringDetailSchema,
  FiringPageSchema,
  FiringQuerySchema,
  FormUseSchema,
  FiringSchema,
  LoadAheadSchema,
  LoadChangeSchema,
  LoadDetailSchema,
  LoadSchema,
  LoadShownSchema,
  NewReadingsSchema,
  NewFiringSchema,
  LearnedQuerySchema,
  SeenFiringSchema,
  SeenQuerySchema,
  UsedQuerySchema,
  UsedSchema,
  LearnedSchema,
  NewScheduleSchema,
  AlikeSchema,
  RestoredSchema,
  SavedScheduleSchema,
  ScheduleNameSchema,
  ScheduleSchema,
  ScheduleVersionSchema,
  StudioSchema,
} from './documents';
import {
  BasedOnSchema,
  DoneSchema,
  FilingSchema,
  MadeUseSchema,
  NewPieceSchema,
  PieceChangeSchema,
  PiecePageSchema,
  PieceQuerySchema,
  PieceSchema,
} from './pieces';
import { DiagnosticsSchema } from './diagnostics';
import { ImportQuerySchema, ImportedSchema, PieceFileSchema, ofOlderFormat } from './pieceFile';
import { NewProgramSchema, ProgramQuerySchema, ProgramSchema } from './programs';
import { FindQuerySchema, FoundSchema } from './found';
import { NewReckoningSchema, RECKONINGS_KEPT, ReckoningSchema } from './reckonings';
import { KIND_LIST, type KINDS, type KindName, kindOf } from './kinds/all';
import type { Kind } from './kinds/kind';
import type { Stored } from './kinds/stored';
import { ShelvesSchema } from './kinds/shelves';

export interface Endpoint<Request extends z.ZodType | undefined = z.ZodType | undefined, Answer extends z.ZodType = z.ZodType> extends More {
  method: 'get' | 'post' | 'put' | 'delete';
  /** In Express's notation. */
  path: string;
  summary: string;
  request: Request;
  answer: Answer;
}

interface More {
  /** What may stand after the question mark. */
  query?: z.ZodObject;
  /** What a 409 brings along: the thing as it stands, or what stands in the way. */
  stands?: z.ZodType;
  /** Counted once by its Idempotency-Key, however often it comes. */
  keyed?: true;
  /** Puts what earlier versions wrote into today's words, before it is held to the schema. */
  older?: (request: unknown) => unknown;
  /** What open pages are told of once it has gone through. */
  changes?: Topic;
  /** Waits for the engine, and is told to come again where too many do. */
  computes?: true;
}

export const get = <A extends z.ZodType, M extends More = object>(path: string, summary: string, answer: A, more?: M): Endpoint<undefined, A> & M => ({
  ...{ method: 'get', path, summary, request: undefined, answer },
  ...(more as M),
});
export const send = <R extends z.ZodType, A extends z.ZodType, M extends More = object>(
  method: 'post' | 'put' | 'delete',
  path: string,
  summary: string,
  request: R,
  answer: A,
  more?: M,
): Endpoint<R, A> & M => ({ ...{ method, path, summary, request, answer }, ...(more as M) });

const NothingSchema = z.strictObject({}).meta({ id: 'Nothing' });
const BringBackSchema = z
  .strictObject({ withNamed: z.boolean().optional().meta({ description: 'With what it names, where that was deleted too' }) })
  .meta({ id: 'BringBack' });
const ArchivedSchema = z.strictObject({ archived: z.boolean() }).meta({ id: 'Archived' });
const piece = { stands: PieceSchema } as const;

/** What waits for a person to erase it, and is never erased by itself. */
export const AsideSchema = z
  .object({
    pictures: count('Moved aside because no firing has had them for a day'),
    bytes: figure('bytes'),
    pieces: count('Deleted more than 30 days ago, and remembered by no firing'),
    firings: count('Deleted more than 30 days ago'),
  })
  .meta({ id: 'Aside' });
export type Aside = z.infer<typeof AsideSchema>;

export const HealthSchema = z.object({
  ok: z.literal(true),
  version: z.string(),
  schema: count('Which state of the database'),
  dataDir: z.string().optional().meta({ description: 'Told to the machine itself alone' }),
  asks: z.boolean().meta({ description: 'Whether this device has yet to give the passcode' }),
});

export const api = {
  diagnostics: get(
    '/api/diagnostics',
    'What goes with a report of a fault: versions, settings, counts and the last of the log, nothing that anybody wrote',
    DiagnosticsSchema,
  ),
  health: get('/api/health', 'Whether the server is up, and whether it asks for the passcode', HealthSchema),
  studio: get('/api/studio', "The studio's settings", StudioSchema),
  saveStudio: send('put', '/api/studio', "Replaces the studio's settings", StudioSchema, StudioSchema, { changes: 'studio' }),
  shelves: get('/api/shelves', 'All records: glass, kilns, controllers, tests', ShelvesSchema),
  madeUses: get('/api/uses/made', 'How much of each made glass pieces take, by what they lay of it', z.array(MadeUseSchema)),
  formUses: get('/api/uses/forms', 'What was fired in each mould or former, and since each of its coats', z.array(FormUseSchema)),
  pieces: get('/api/pieces', 'Pieces as lists show them, newest change first or in another order, a page at a time', PiecePageSchema, {
    query: PieceQuerySchema,
  }),
  piece: get('/api/pieces/:id', 'One piece', PieceSchema),
  createPiece: send('post', '/api/pieces', 'Makes a piece; repeated with the same id it does nothing', NewPieceSchema, PieceSchema, { changes: 'piece' }),
  savePiece: send('put', '/api/pieces/:id', 'Changes a piece; 409 with the current piece when based on an older version', PieceChangeSchema, PieceSchema, {
    ...piece,
    keyed: true,
    changes: 'piece',
  }),
  undoPiece: send('post', '/api/pieces/:id/undo', 'Takes the last change of a piece back', BasedOnSchema, PieceSchema, { ...piece, changes: 'piece' }),
  redoPiece: send('post', '/api/pieces/:id/redo', 'Does again what undo took back', BasedOnSchema, PieceSchema, { ...piece, changes: 'piece' }),
  deletePiece: send(
    'delete',
    '/api/pieces/:id',
    'Deletes a piece; it can be brought back for 30 days, its firings stay in the Notebook',
    BasedOnSchema,
    DoneSchema,
    { ...piece, changes: 'piece' },
  ),
  restorePiece: send('post', '/api/pieces/:id/restore', 'Brings a deleted piece back', NothingSchema, PieceSchema, { changes: 'piece' }),
  filePiece: send('put', '/api/pieces/:id/filing', 'Tags a piece, tells it finished, puts it away or takes it out again', FilingSchema, PieceSchema, {
    ...piece,
    changes: 'piece',
  }),
  pieceFile: get('/api/pieces/:id/file', 'A piece with its schedules, firings and records as one file', PieceFileSchema),
  importPiece: send('post', '/api/import', 'Takes a piece file in; a copy where the piece is there still', PieceFileSchema, ImportedSchema, {
    query: ImportQuerySchema,
    stands: z.array(z.string()),
    older: ofOlderFormat,
    changes: 'piece',
  }),
  saveSchedule: send(
    'post',
    '/api/pieces/:id/schedules',
    "Adds a schedule version, simulated by the server, and makes it its step's",
    NewScheduleSchema,
    SavedScheduleSchema,
    { ...piece, computes: true, changes: 'piece' },
  ),
  versions: get(
    '/api/pieces/:id/schedules',
    'The schedule versions of a piece that were left, named or fired, or are in use, newest first',
    z.array(ScheduleVersionSchema),
  ),
  alike: get('/api/schedules/:id/alike', 'Pieces that wait for the same kiln with the very same schedule, by name', AlikeSchema),
  schedule: get('/api/schedules/:id', 'One schedule version as it was made', ScheduleSchema),
  nameSchedule: send('put', '/api/schedules/:id/name', 'Names a schedule version', ScheduleNameSchema, ScheduleSchema, { changes: 'piece' }),
  firings: get('/api/firings', 'Firings, newest first, a page at a time', FiringPageSchema, { query: FiringQuerySchema }),
  firing: get('/api/firings/:id', 'One firing with the schedule it ran', FiringDetailSchema),
  learned: get('/api/learned', 'What the firings of a kiln have taught; null where none is recorded', LearnedSchema.nullable(), {
    query: LearnedQuerySchema,
    computes: true,
  }),
  seen: get('/api/seen', 'How firings of one kind came out in a kiln, newest first, with the heat work they did', z.array(SeenFiringSchema), {
    query: SeenQuerySchema,
  }),
  used: get('/api/used-set-up', 'How the like was set up when it was last fired; null where it never was', UsedSchema.nullable(), {
    query: UsedQuerySchema,
  }),
  find: get('/api/find', 'Whatever has all the words, the newest of each kind; slips of the fingers and other spellings are forgiven', FoundSchema, {
    query: FindQuerySchema,
  }),
  bench: get('/api/bench', 'What is in the kiln, what waits and for what, what was last learned', BenchSchema, { computes: true }),
  access: get('/api/access', 'Where other devices find this studio, and which of them have been let in', AccessSchema),
  enter: send('post', '/api/access/enter', 'Lets a device in by the passcode: it is given a cookie to show from then on', EnterSchema, DoneSchema, {
    changes: 'access',
  }),
  changePasscode: send('put', '/api/access/passcode', 'Takes another passcode; all other devices must enter it again', NewPasscodeSchema, AccessSchema, {
    changes: 'access',
  }),
  endDevice: send('delete', '/api/access/devices/:id', 'Lets a device in no longer until it gives the passcode again', NothingSchema, AccessSchema, {
    changes: 'access',
  }),
  aside: get('/api/aside', 'What was deleted long ago, and pictures that no firing has: kept until they are erased', AsideSchema),
  eraseAside: send('post', '/api/aside/erase', 'Erases the pictures that lie aside, for good', NothingSchema, AsideSchema, { changes: 'aside' }),
  backups: get('/api/backups', 'The backups that there are, and where they lie', BackupsSchema),
  makeBackup: send('post', '/api/backups', 'Makes a backup now; it stays until it is deleted', NothingSchema, BackupSchema, { changes: 'backups' }),
  deleteBackup: send('delete', '/api/backups/:id', 'Deletes a backup', NothingSchema, DoneSchema, { changes: 'backups' }),
  restoreBackup: send(
    'post',
    '/api/backups/:id/restore',
    'Puts a backup in the place of what there is, which is moved aside; every hash is checked before anything moves',
    NothingSchema,
    RestoredSchema,
  ),
  programs: get('/api/programs', 'What the programs of the controllers hold', z.array(ProgramSchema), { query: ProgramQuerySchema }),
  keyProgram: send(
    'post',
    '/api/programs',
    'Says what stands in a program from now on; repeated with the same id it does nothing',
    NewProgramSchema,
    ProgramSchema,
    { changes: 'program' },
  ),
  removeProgram: send('delete', '/api/programs/:id', 'Takes a wrong entry out: what stood there before it stands again', NothingSchema, DoneSchema, {
    changes: 'program',
  }),
  restoreProgram: send('post', '/api/programs/:id/restore', 'Brings an entry back that was taken out', NothingSchema, ProgramSchema, {
    changes: 'program',
  }),
  reckonings: get('/api/reckonings', `The last ${RECKONINGS_KEPT} saved calculations, newest first, with what was typed`, z.array(ReckoningSchema)),
  keepReckoning: send('post', '/api/reckonings', 'Keeps a calculation; repeated with the same id it does nothing', NewReckoningSchema, ReckoningSchema, {
    changes: 'reckonings',
  }),
  loads: get('/api/loads', 'What is in the kilns, and what is planned for them', z.array(LoadShownSchema)),
  load: get('/api/loads/:id', 'One load: what it was keyed with, what is in it, its note and what was read in the kiln', LoadDetailSchema),
  addReadings: send(
    'post',
    '/api/loads/:id/readings',
    'Adds what was read in the kiln while a load was in it; one that is sent again counts once',
    NewReadingsSchema,
    LoadDetailSchema,
    { changes: 'firing' },
  ),
  saveLoad: send('put', '/api/loads/:id', 'Says when a kiln was opened, which frees it, or adds a note to a load', LoadChangeSchema, LoadSchema, {
    stands: LoadSchema,
    keyed: true,
    changes: 'firing',
  }),
  recordFiring: send(
    'post',
    '/api/firings',
    'Records a firing or starts it; repeated with the same id it does nothing; 409 where the kiln is in use or the schedule outdated',
    NewFiringSchema,
    FiringSchema,
    { stands: z.union([LoadAheadSchema, z.array(z.string())]), computes: true, changes: 'firing' },
  ),
  saveFiring: send('put', '/api/firings/:id', 'Changes the record of a firing', FiringChangeSchema, FiringDetailSchema, {
    stands: FiringSchema,
    keyed: true,
    computes: true,
    changes: 'firing',
  }),
  deleteFiring: send('delete', '/api/firings/:id', 'Deletes a firing; it can be brought back for 30 days', BasedOnSchema, DoneSchema, {
    stands: FiringSchema,
    changes: 'firing',
  }),
  restoreFiring: send('post', '/api/firings/:id/restore', 'Brings a deleted firing back', NothingSchema, FiringSchema, {
    stands: LoadAheadSchema,
    changes: 'firing',
  }),
} as const;

/** What every kind of record can be asked, by its definition. */
function recordEndpoints<T extends Stored, In>({ path, one, many, schema, change }: Kind<T, In>) {
  const at = `/api/${path}/:id`;
  return {
    list: get(`/api/${path}`, `All ${many}`, z.array(schema)),
    one: get(at, `One ${one}`, schema),
    save: send('put', at, `Adds or changes a ${one}; 409 with the ${one} that stands when based on an older version`, change, schema, {
      stands: schema,
      keyed: true,
      changes: 'shelves',
    }),
    archive: send('post', `${at}/archive`, `Puts a ${one} away, or back; what was made with it keeps it`, ArchivedSchema, ShelvesSchema, {
      changes: 'shelves',
    }),
    remove: send('delete', at, `Deletes a ${one} that nothing names; it can be brought back`, BasedOnSchema, DoneSchema, {
      stands: schema,
      changes: 'shelves',
    }),
    restore: send('post', `${at}/restore`, `Brings a deleted ${one} back; 409 with what it names that was deleted too`, BringBackSchema, schema, {
      stands: z.array(z.string()),
      changes: 'shelves',
    }),
  };
}

type EndpointsOf<K> = K extends Kind<infer T, infer In> ? ReturnType<typeof recordEndpoints<T, In>> : never;

export const recordApi = Object.fromEntries(KIND_LIST.map((name) => [name, recordEndpoints(kindOf(name))])) as {
  [K in KindName]: EndpointsOf<(typeof KINDS)[K]>;
};

type KindEndpoints = Record<keyof (typeof recordApi)['families'], Endpoint>;
/** The endpoints of a kind that is known by its name alone; its schema holds what is sent and answered. */
// A kind's endpoints name its records, so that those of any kind have no type in common.
// eslint-disable-next-line no-restricted-syntax -- the server holds each request to the kind's schema
export const endpointsOf = (kind: KindName): KindEndpoints => recordApi[kind] as unknown as KindEndpoints;

export type AnswerOf<E extends Endpoint> = z.output<E['answer']>;
export type RequestOf<E extends Endpoint> = E['request'] extends z.ZodType ? z.input<E['request']> : undefined;
