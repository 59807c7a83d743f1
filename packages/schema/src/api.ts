/** The HTTP interface as one table: the server routes by it, the web app calls by it, OpenAPI is written from it. */
import { count, figure } from '@torvin/core/contract';
import { z } from 'zod';
import { AT, type At, atOfKind } from './at';
import { AccessSchema, EnterSchema, NewPasscodeSchema, type Topic } from './access';
import {
  BackupSchema,
  BackupsSchema,
  BenchSchema,
  FiringChangeSchema,
  FiringDetailSchema,
  FiringPageSchema,
  FiringRowSchema,
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
  ForKilnSchema,
  SuggestedLoadSchema,
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
import { NewReckoningSchema, ReckoningSchema } from './reckonings';
import { RECKONINGS_KEPT } from './reckoningsKept';
import { type AnyRecord, type KINDS, kindOf } from './kinds/all';
import { KIND_LIST, type KindName } from './kinds/names';
import type { Kind } from './kinds/kind';
import type { Stored } from './kinds/stored';
import { ShelvesSchema } from './kinds/shelves';

export interface Endpoint<Request extends z.ZodType | undefined = z.ZodType | undefined, Answer extends z.ZodType = z.ZodType> extends At, More {
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

export const get = <A extends z.ZodType, M extends More = object>(at: At, summary: string, answer: A, more?: M): Endpoint<undefined, A> & M => ({
  ...{ ...at, summary, request: undefined, answer },
  ...(more as M),
});
export const send = <R extends z.ZodType, A extends z.ZodType, M extends More = object>(
  at: At,
  summary: string,
  request: R,
  answer: A,
  more?: M,
): Endpoint<R, A> & M => ({ ...{ ...at, summary, request, answer }, ...(more as M) });

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
    AT.diagnostics,
    'What goes with a report of a fault: versions, settings, counts and the last of the log, nothing that anybody wrote',
    DiagnosticsSchema,
  ),
  health: get(AT.health, 'Whether the server is up, and whether it asks for the passcode', HealthSchema),
  studio: get(AT.studio, "The studio's settings", StudioSchema),
  saveStudio: send(AT.saveStudio, "Replaces the studio's settings", StudioSchema, StudioSchema, { changes: 'studio' }),
  shelves: get(AT.shelves, 'All records: glass, kilns, controllers, tests', ShelvesSchema),
  madeUses: get(AT.madeUses, 'How much of each made glass pieces take, by what they lay of it', z.array(MadeUseSchema)),
  formUses: get(AT.formUses, 'What was fired in each mould or former, and since each of its coats', z.array(FormUseSchema)),
  pieces: get(AT.pieces, 'Pieces as lists show them, newest change first or in another order, a page at a time', PiecePageSchema, {
    query: PieceQuerySchema,
  }),
  piece: get(AT.piece, 'One piece', PieceSchema),
  createPiece: send(AT.createPiece, 'Makes a piece; repeated with the same id it does nothing', NewPieceSchema, PieceSchema, { changes: 'piece' }),
  savePiece: send(AT.savePiece, 'Changes a piece; 409 with the current piece when based on an older version', PieceChangeSchema, PieceSchema, {
    ...piece,
    keyed: true,
    changes: 'piece',
  }),
  undoPiece: send(AT.undoPiece, 'Takes the last change of a piece back', BasedOnSchema, PieceSchema, { ...piece, changes: 'piece' }),
  redoPiece: send(AT.redoPiece, 'Does again what undo took back', BasedOnSchema, PieceSchema, { ...piece, changes: 'piece' }),
  deletePiece: send(AT.deletePiece, 'Deletes a piece; it can be brought back for 30 days, its firings stay in the Notebook', BasedOnSchema, DoneSchema, {
    ...piece,
    changes: 'piece',
  }),
  restorePiece: send(AT.restorePiece, 'Brings a deleted piece back', NothingSchema, PieceSchema, { changes: 'piece' }),
  filePiece: send(AT.filePiece, 'Tags a piece, tells it finished, puts it away or takes it out again', FilingSchema, PieceSchema, {
    ...piece,
    changes: 'piece',
  }),
  pieceFile: get(AT.pieceFile, 'A piece with its schedules, firings and records as one file', PieceFileSchema),
  importPiece: send(AT.importPiece, 'Takes a piece file in; a copy where the piece is there still', PieceFileSchema, ImportedSchema, {
    query: ImportQuerySchema,
    stands: z.array(z.string()),
    older: ofOlderFormat,
    changes: 'piece',
  }),
  saveSchedule: send(AT.saveSchedule, "Adds a schedule version, simulated by the server, and makes it its step's", NewScheduleSchema, SavedScheduleSchema, {
    ...piece,
    computes: true,
    changes: 'piece',
  }),
  versions: get(AT.versions, 'The schedule versions of a piece that were left, named or fired, or are in use, newest first', z.array(ScheduleVersionSchema)),
  alike: get(AT.alike, 'Pieces that wait for the same kiln with the very same schedule, by name', AlikeSchema),
  forKiln: get(AT.forKiln, 'Pieces that wait for their kilns with a schedule: what can go into one load, by name', ForKilnSchema),
  suggestedLoads: get(AT.suggestedLoads, 'What of those may go into one load, what is due first before the others', z.array(SuggestedLoadSchema)),
  schedule: get(AT.schedule, 'One schedule version as it was made', ScheduleSchema),
  nameSchedule: send(AT.nameSchedule, 'Names a schedule version', ScheduleNameSchema, ScheduleSchema, { changes: 'piece' }),
  firings: get(AT.firings, 'Firings, newest first, a page at a time', FiringPageSchema, { query: FiringQuerySchema }),
  firing: get(AT.firing, 'One firing with the schedule it ran', FiringDetailSchema),
  nearest: get(AT.nearest, 'Firings of its kind that are most like it by body, form and kiln, the nearest first', z.array(FiringRowSchema)),
  learned: get(AT.learned, 'What the firings of a kiln have taught; null where none is recorded', LearnedSchema.nullable(), {
    query: LearnedQuerySchema,
    computes: true,
  }),
  seen: get(AT.seen, 'How firings of one kind came out in a kiln, newest first, with the heat work they did', z.array(SeenFiringSchema), {
    query: SeenQuerySchema,
  }),
  used: get(AT.used, 'How the like was set up when it was last fired; null where it never was', UsedSchema.nullable(), {
    query: UsedQuerySchema,
  }),
  find: get(AT.find, 'Whatever has all the words, the newest of each kind; slips of the fingers and other spellings are forgiven', FoundSchema, {
    query: FindQuerySchema,
  }),
  bench: get(AT.bench, 'What is in the kiln, what waits and for what, what was last learned', BenchSchema, { computes: true }),
  access: get(AT.access, 'Where other devices find this studio, and which of them have been let in', AccessSchema),
  enter: send(AT.enter, 'Lets a device in by the passcode: it is given a cookie to show from then on', EnterSchema, DoneSchema, {
    changes: 'access',
  }),
  changePasscode: send(AT.changePasscode, 'Takes another passcode; all other devices must enter it again', NewPasscodeSchema, AccessSchema, {
    changes: 'access',
  }),
  endDevice: send(AT.endDevice, 'Lets a device in no longer until it gives the passcode again', NothingSchema, AccessSchema, {
    changes: 'access',
  }),
  aside: get(AT.aside, 'What was deleted long ago, and pictures that no firing has: kept until they are erased', AsideSchema),
  eraseAside: send(AT.eraseAside, 'Erases the pictures that lie aside, for good', NothingSchema, AsideSchema, { changes: 'aside' }),
  backups: get(AT.backups, 'The backups that there are, and where they lie', BackupsSchema),
  makeBackup: send(AT.makeBackup, 'Makes a backup now; it stays until it is deleted', NothingSchema, BackupSchema, { changes: 'backups' }),
  deleteBackup: send(AT.deleteBackup, 'Deletes a backup', NothingSchema, DoneSchema, { changes: 'backups' }),
  restoreBackup: send(
    AT.restoreBackup,
    'Puts a backup in the place of what there is, which is moved aside; every hash is checked before anything moves',
    NothingSchema,
    RestoredSchema,
  ),
  programs: get(AT.programs, 'What the programs of the controllers hold', z.array(ProgramSchema), { query: ProgramQuerySchema }),
  keyProgram: send(AT.keyProgram, 'Says what stands in a program from now on; repeated with the same id it does nothing', NewProgramSchema, ProgramSchema, {
    changes: 'program',
  }),
  removeProgram: send(AT.removeProgram, 'Takes a wrong entry out: what stood there before it stands again', NothingSchema, DoneSchema, {
    changes: 'program',
  }),
  restoreProgram: send(AT.restoreProgram, 'Brings an entry back that was taken out', NothingSchema, ProgramSchema, {
    changes: 'program',
  }),
  reckonings: get(AT.reckonings, `The last ${RECKONINGS_KEPT} saved calculations, newest first, with what was typed`, z.array(ReckoningSchema)),
  keepReckoning: send(AT.keepReckoning, 'Keeps a calculation; repeated with the same id it does nothing', NewReckoningSchema, ReckoningSchema, {
    changes: 'reckonings',
  }),
  loads: get(AT.loads, 'What is in the kilns, and what is planned for them', z.array(LoadShownSchema)),
  load: get(AT.load, 'One load: what it was keyed with, what is in it, its note and what was read in the kiln', LoadDetailSchema),
  addReadings: send(
    AT.addReadings,
    'Adds what was read in the kiln while a load was in it; one that is sent again counts once',
    NewReadingsSchema,
    LoadDetailSchema,
    { changes: 'firing' },
  ),
  saveLoad: send(AT.saveLoad, 'Says when a kiln was opened, which frees it, or adds a note to a load', LoadChangeSchema, LoadSchema, {
    stands: LoadSchema,
    keyed: true,
    changes: 'firing',
  }),
  recordFiring: send(
    AT.recordFiring,
    'Records a firing or starts it; repeated with the same id it does nothing; 409 where the kiln is in use or the schedule outdated',
    NewFiringSchema,
    FiringSchema,
    { stands: z.union([LoadAheadSchema, z.array(z.string())]), computes: true, changes: 'firing' },
  ),
  saveFiring: send(AT.saveFiring, 'Changes the record of a firing', FiringChangeSchema, FiringDetailSchema, {
    stands: FiringSchema,
    keyed: true,
    computes: true,
    changes: 'firing',
  }),
  deleteFiring: send(AT.deleteFiring, 'Deletes a firing; it can be brought back for 30 days', BasedOnSchema, DoneSchema, {
    stands: FiringSchema,
    changes: 'firing',
  }),
  restoreFiring: send(AT.restoreFiring, 'Brings a deleted firing back', NothingSchema, FiringSchema, {
    stands: LoadAheadSchema,
    changes: 'firing',
  }),
} as const;

/** An endpoint as who asks it needs it: where it is; what goes there and comes back is known to the compiler alone. */
export interface Asked<E extends Endpoint> extends At {
  of?: E;
}
export type AskedOf<Table extends Record<string, Endpoint>> = { [N in keyof Table]: Asked<Table[N]> };

/** What every kind of record can be asked, by its definition. */
function recordEndpoints<T extends Stored, In>({ path, one, many, schema, change }: Kind<T, In>) {
  const at = atOfKind(path);
  return {
    list: get(at.list, `All ${many}`, z.array(schema)),
    one: get(at.one, `One ${one}`, schema),
    save: send(at.save, `Adds or changes a ${one}; 409 with the ${one} that stands when based on an older version`, change, schema, {
      stands: schema,
      keyed: true,
      changes: 'shelves',
    }),
    archive: send(at.archive, `Puts a ${one} away, or back; what was made with it keeps it`, ArchivedSchema, ShelvesSchema, {
      changes: 'shelves',
    }),
    remove: send(at.remove, `Deletes a ${one} that nothing names; it can be brought back`, BasedOnSchema, DoneSchema, {
      stands: schema,
      changes: 'shelves',
    }),
    restore: send(at.restore, `Brings a deleted ${one} back; 409 with what it names that was deleted too`, BringBackSchema, schema, {
      stands: z.array(z.string()),
      changes: 'shelves',
    }),
  };
}

type EndpointsOf<K> = K extends Kind<infer T, infer In> ? ReturnType<typeof recordEndpoints<T, In>> : never;

export const recordApi = Object.fromEntries(KIND_LIST.map((name) => [name, recordEndpoints(kindOf(name))])) as {
  [K in KindName]: EndpointsOf<(typeof KINDS)[K]>;
};

/** Of a kind that is known by its name alone. */
export type RecordEndpoints = ReturnType<typeof recordEndpoints<AnyRecord, unknown>>;

export type AnswerOf<E extends Endpoint> = z.output<E['answer']>;
export type RequestOf<E extends Endpoint> = E['request'] extends z.ZodType ? z.input<E['request']> : undefined;
