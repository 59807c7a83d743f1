/** A studio's other documents: backups, schedule versions, firings, what waits, settings. */
import { HOW_FAR } from '@torvin/core/learn';
import { LOOKS } from '@torvin/core/look';
import { STAGES } from '@torvin/core/making';
import { type MadeFrom, type OfFiredLayers, LAYER_FORMS, STEP_KINDS } from '@torvin/core/piece';
import { CHANGES_FIRST, type SeenFiring, SETUP_KINDS, WETS } from '@torvin/core/schedule';
import { EMPTY_ITEM_KINDS } from '@torvin/core/emptyFiring';
import { z } from 'zod';
import {
  ControllerInputSchema,
  CoatSchema,
  count,
  EvaluationSchema,
  figure,
  FiringCaseSchema,
  FootprintSchema,
  GlassConstantsSchema,
  id,
  instant,
  CorrectionsSchema,
  KilnConstantsSchema,
  oneOf,
  ProblemSchema,
  PurposefulSegmentSchema,
  quantity,
  SchoolSchema,
  StudioLimitsSchema,
  SEGMENTS_AT_MOST,
  ShapingSchema,
  words,
  schemaFor,
} from '@torvin/core/contract';
import { CSV_STYLES } from './csv';
import { LessonSchema, toldOfFiring } from './firingFields';
import { FilingSchema, recordId, LaidLayerSchema, StepSchema, version, PieceSchema, PieceRowSchema, asked } from './pieces';
import { ResultSchema } from './result';
import { WAITS } from './waits';
import { ControllerSchema, photoHash } from './records';

/** One file with all of a studio: who asked for it, when, and how much it holds. */
export const BackupSchema = z
  .object({
    id: z.string().meta({ description: 'The name of its file' }),
    why: z.enum(['daily', 'asked', 'migration']),
    madeAt: instant,
    bytes: figure('bytes'),
    /** Which state the database in it has. */
    schema: count('How many migrations its database has been through'),
    holds: z.object({ pieces: count(), firings: count(), records: count(), pictures: count() }),
  })
  .meta({ id: 'Backup' });
export type Backup = z.infer<typeof BackupSchema>;

export const BackupsSchema = z
  .object({
    folder: z.string(),
    /** Newest first. */
    kept: z.array(BackupSchema),
    /** Why the last one that was to be made by itself was not. */
    fault: ProblemSchema.nullable(),
  })
  .meta({ id: 'Backups' });

export const RestoredSchema = z
  .object({
    madeAt: instant,
    holds: BackupSchema.shape.holds,
    /** The folder that what was there before lies in now; null where there was nothing. */
    aside: z.string().nullable(),
  })
  .meta({ id: 'Restored' });
export type Restored = z.infer<typeof RestoredSchema>;

export const NewScheduleSchema = z.strictObject({
  id,
  stepId: id,
  pieceVersion: version,
  parentId: id.nullable(),
  origin: oneOf('Origin', ['computed', 'edited']),
  segments: z.array(PurposefulSegmentSchema).min(1).max(SEGMENTS_AT_MOST),
});
export type NewSchedule = z.infer<typeof NewScheduleSchema>;

/** A layer as it is drawn and named: dense depth where it lies, the share of the outline it covers. */
export const DrawnLayerSchema = z
  .object({
    name: z.string(),
    colour: z.string(),
    thickness_m: figure('m'),
    form: z.enum(LAYER_FORMS).optional(),
    cover: figure('').optional(),
    count: count().optional(),
    spans_m: z
      .array(z.tuple([figure('m'), figure('m')]).readonly())
      .readonly()
      .optional()
      .meta({ description: 'Where its parts stand as they are seen from the side, from the middle' }),
    stripes: z
      .array(z.object({ colour: z.string(), share: figure('') }))
      .readonly()
      .optional()
      .meta({ description: 'Of made glass what it is of, from the lowest up or from left to right' }),
    stacked: z.literal(true).optional().meta({ description: 'Its stripes lie one on another' }),
    crosswise: z.literal(true).optional().meta({ description: 'Its stripes lie from the front to the back' }),
    coated: z.enum(['up', 'down']).optional(),
    ware: z.enum(EMPTY_ITEM_KINDS).optional().meta({ description: 'It is no glass: a shelf or mould that is fired by itself' }),
  })
  .meta({ id: 'DrawnLayer' });
export type DrawnLayer = z.infer<typeof DrawnLayerSchema>;

/** What a person can have changed since; see madeFromDifferences. */
export const MadeFromSchema = schemaFor<MadeFrom, OfFiredLayers>()(
  z
    .object({
      footprint: FootprintSchema,
      dammed: z.boolean(),
      mapped: z.object({ thin_m: figure('m'), thick_m: figure('m'), apart_m: figure('m') }).optional(),
      layers: z.array(z.object({ glassName: z.string(), depth_m: figure('m'), laid: LaidLayerSchema })),
      glasses: z.record(z.string(), GlassConstantsSchema.strip()),
      before: z.array(z.object({ look: StepSchema.shape.look, setup: StepSchema.shape.setup })),
      hands: z.array(z.looseObject({ kind: z.enum(STEP_KINDS) })).optional(),
      look: StepSchema.shape.look,
      setup: StepSchema.shape.setup,
      formName: z.string().optional(),
      school: SchoolSchema,
      release: z.object({ id: recordId('Release'), name: z.string(), coat: CoatSchema }).optional(),
      kiln: z.object({ id: recordId('Kiln'), name: z.string(), constants: KilnConstantsSchema.strip(), taken: CorrectionsSchema.optional() }),
      place_K: figure('K').optional(),
      place: z.object({ lag_s: figure('s').optional(), underShelf: z.literal(true).optional(), load_J_K: figure('J/K').optional() }).optional(),
      controller: z.object({ id: recordId('Controller'), name: z.string(), counts: ControllerInputSchema.strip() }),
      limits: StudioLimitsSchema.optional(),
    })
    .meta({ id: 'MadeFrom' }),
);

/** What a schedule was made from, kept so that later edits of records do not change the past. */
export const SnapshotSchema = z
  .object({
    firing: FiringCaseSchema,
    familyName: z.string(),
    /** Left out by versions from before learning went by ids. */
    familyId: z.string().optional(),
    kilnName: z.string(),
    controller: ControllerSchema,
    layers: z.array(DrawnLayerSchema),
    /** Which of the named set-ups it stood in; older snapshots knew one only. */
    setup: z
      .object({
        kind: z.enum(SETUP_KINDS),
        paper: z.boolean(),
        wet: z.enum(WETS).optional(),
        shaping: ShapingSchema.optional(),
        form: StepSchema.shape.setup.shape.form,
        shelf: StepSchema.shape.setup.shape.shelf,
      })
      .default({ kind: 'bareShelf', paper: false }),
    engine: z.string(),
    /** Left out by older versions, which are then judged by what their case tells. */
    madeFrom: MadeFromSchema.optional(),
  })
  .meta({ id: 'Snapshot' });
export type Snapshot = z.infer<typeof SnapshotSchema>;

const scheduleName = words('Name of the version', 60);

export const ScheduleSchema = z
  .object({
    id,
    name: scheduleName,
    pieceId: id,
    stepId: id,
    parentId: id.nullable(),
    origin: NewScheduleSchema.shape.origin,
    segments: NewScheduleSchema.shape.segments,
    snapshot: SnapshotSchema,
    result: EvaluationSchema,
    createdAt: instant,
  })
  .meta({ id: 'Schedule' });
export type Schedule = z.infer<typeof ScheduleSchema>;

/** One version as lists show it. */
export const ScheduleVersionSchema = ScheduleSchema.pick({ id: true, name: true, stepId: true, parentId: true, origin: true, createdAt: true })
  .extend({
    work_C: figure('°C'),
    work_s: figure('s'),
    total_s: figure('s'),
    kilnName: z.string(),
    engine: z.string().meta({ description: 'Version of the engine whose word it is' }),
    firings: count(),
  })
  .meta({ id: 'ScheduleVersion' });
export type ScheduleVersion = z.infer<typeof ScheduleVersionSchema>;

/** Pieces that wait for the same kiln with the very same schedule: they can go into one load. */
export const AlikeSchema = z
  .array(z.object({ pieceId: id, pieceName: z.string(), scheduleId: id, broken: count('Limits that its schedule breaks') }))
  .meta({ id: 'Alike' });
export type Alike = z.infer<typeof AlikeSchema>[number];

/** Pieces whose next firing is planned, with the kiln and the schedule that each has for itself. */
export const ForKilnSchema = z
  .array(
    z.object({
      ...{ pieceId: id, pieceName: z.string(), stepId: id, look: z.enum(LOOKS), kilnId: z.string(), scheduleId: id },
      familyId: z.string().nullable(),
      damp: z.boolean().meta({ description: 'It, or what it lies in, is damp: it is fired alone' }),
      total_s: figure('s', 'By itself'),
      dueOn: FilingSchema.shape.dueOn,
    }),
  )
  .meta({ id: 'ForKiln' });
export type ForKiln = z.infer<typeof ForKilnSchema>[number];

/** Pieces that may go into one load: composing it has the last word. */
export const SuggestedLoadSchema = z
  .object({
    ...{ kilnId: z.string(), look: z.enum(LOOKS) },
    pieces: z.array(z.object({ id, name: z.string() })),
    onOneShelf: z.boolean().meta({ description: 'They find room on one shelf; false where the inside of the kiln is not known' }),
    atLeast_s: figure('s', 'About how long it takes'),
    apart_s: figure('s', 'One after the other'),
  })
  .meta({ id: 'SuggestedLoad' });
export type SuggestedLoad = z.infer<typeof SuggestedLoadSchema>;

export const ScheduleNameSchema = z.strictObject({ name: scheduleName });

export const SavedScheduleSchema = z.object({ piece: PieceSchema, schedule: ScheduleSchema }).meta({ id: 'SavedSchedule' });
export type SavedSchedule = z.infer<typeof SavedScheduleSchema>;

const zone = words('Time zone', 60, 1).refine(
  (name) => {
    try {
      new Intl.DateTimeFormat('en', { timeZone: name });
      return true;
    } catch {
      return false;
    }
  },
  { error: ({ input }) => `'${String(input)}' is not a time zone; write for example Europe/Lisbon.` },
);

/** A photo as it was written anew: JPEG, upright, nothing of the camera's in it. */
export const PhotoSchema = z.object({ hash: photoHash, width: figure('pixels').int(), height: figure('pixels').int() }).meta({ id: 'Photo' });
export type Photo = z.infer<typeof PhotoSchema>;

/** What a thermocouple in a kiln can show, from a cold room up, °C. */
const READING_RANGE_C = { least: -40, most: 1700 } as const;
/** What a person says of a firing; all but the start can wait until the kiln is open. */
const told = {
  /** When it was started. */
  firedAt: instant,
  zone,
  ...toldOfFiring,
};

/** What is in a kiln together: one start, one opening. It counts from at, the real start or, before that is known, the planned one. */
export const LoadSchema = z
  .object({
    id,
    /** Null where an old record names a kiln that is on no shelf. */
    kilnId: z.string().nullable(),
    kilnName: z.string(),
    plannedAt: instant.nullable(),
    startedAt: instant.nullable(),
    openedAt: instant.nullable(),
    at: instant,
    zone,
    ahead_s: figure('s', 'By how much the device that sent the start had its clock before the server’s'),
    scheduleNumber: figure('', 'Which of its schedules it runs; null where old records put unlike ones into one load').int().nullable(),
    controllerId: z.string().nullable(),
    slot: figure('', 'The program of its controller that it was keyed into, where that is known').int().nullable(),
    note: z.string(),
    version,
  })
  .meta({ id: 'Load' });
export type Load = z.infer<typeof LoadSchema>;

/** channel: which thermocouple, '' for that of the controller; at: when, ms UTC. */
export const KilnReadingSchema = z
  .strictObject({
    channel: words('Thermocouple', 40).default(''),
    at: instant,
    reading_C: quantity('Reading', '°C', READING_RANGE_C.least, READING_RANGE_C.most),
  })
  .meta({ id: 'KilnReading' });
export type KilnReading = z.infer<typeof KilnReadingSchema>;

/** A load that is in its kiln or planned for it, with what is in it. */
export const LoadAheadSchema = LoadSchema.extend({
  entries: z.array(z.object({ firingId: id, pieceId: id, stepId: id, pieceName: z.string(), look: z.enum(LOOKS), scheduleId: id })),
  /** By its schedules: the first and the last moment to check at, when the controller is done, when it may be opened. */
  lookFrom: instant,
  lookTo: instant,
  controlled: instant,
  until: instant,
}).meta({ id: 'LoadAhead' });
export type LoadAhead = z.infer<typeof LoadAheadSchema>;

/** A load as it is shown: whether what it was put in for is still what lies there. */
export const LoadShownSchema = LoadAheadSchema.extend({
  outdated: z.array(z.string()).meta({ description: 'How its pieces differ from what their schedules were made from, where it is only planned' }),
}).meta({ id: 'LoadShown' });
export type LoadShown = z.infer<typeof LoadShownSchema>;

/** All of a load, also after it has been told of. schedule: what it was keyed with; null where its pieces have unlike ones. */
export const LoadDetailSchema = LoadSchema.extend({
  schedule: z
    .object({
      number: figure('', 'Counted from 1').int(),
      segments: z.array(PurposefulSegmentSchema),
      entries: z.array(z.object({ pieceId: id, stepId: id, scheduleId: id })),
      createdAt: instant,
    })
    .nullable(),
  entries: z.array(
    z.object({ firingId: id, pieceId: id, stepId: id, pieceName: z.string(), look: z.enum(LOOKS), scheduleId: id, result: ResultSchema.nullable() }),
  ),
  outdated: LoadShownSchema.shape.outdated,
  readings: z.array(KilnReadingSchema),
}).meta({ id: 'LoadDetail' });
export type LoadDetail = z.infer<typeof LoadDetailSchema>;

/** openedAt: when the kiln was opened, which frees it; null takes that back. What is left out stays. */
export const LoadChangeSchema = z.strictObject({ version, openedAt: instant.nullable().optional(), note: words('Note', 4000).optional() });

const READINGS_AT_ONCE = 2000;

export const NewReadingsSchema = z.strictObject({ readings: z.array(KilnReadingSchema).min(1).max(READINGS_AT_ONCE) }).meta({ id: 'NewReadings' });

/** Its time is that of another firing of the piece, or of another load in the kiln, and that was asked: so it was. */
const atOnce = z.boolean().default(false);

export const NewFiringSchema = z.strictObject({
  id,
  pieceId: id,
  scheduleId: id,
  ...told,
  /** The load it joins, or the id that a new one is to have. */
  loadId: id.optional(),
  /** firedAt is when the controller is set to start, not when it did. */
  planned: z.boolean().default(false),
  /** The schedule is fired although the piece or its set-up is not what it was made from. */
  asItIs: z.boolean().default(false),
  atOnce,
});
export type NewFiring = z.input<typeof NewFiringSchema>;

export const FiringChangeSchema = z.strictObject({ version, ...told, atOnce });
export type FiringChange = z.input<typeof FiringChangeSchema>;

export const FiringSchema = z
  .object({
    id,
    pieceId: id,
    scheduleId: id,
    stepId: id,
    ...told,
    version,
    load: LoadSchema,
    /** How what lay there differed from what its schedule was made from. */
    differences: z.array(z.string()),
    /** What stood against it when it was started. */
    accepted: z.array(z.string()),
    pieceName: z.string(),
    createdAt: instant,
    /** Hottest target of its schedule, °C, that target's hold, s, and the whole firing's length, s. */
    work_C: figure('°C'),
    work_s: figure('s'),
    total_s: figure('s'),
    kilnName: z.string(),
    familyName: z.string(),
    look: z.enum(LOOKS),
  })
  .meta({ id: 'Firing' });
export type Firing = z.infer<typeof FiringSchema>;

/** A firing as a list shows it: how it ran in two figures, the beginning of its note. */
export const FiringRowSchema = FiringSchema.pick({
  ...{ id: true, pieceId: true, scheduleId: true, stepId: true, firedAt: true, zone: true, version: true, createdAt: true },
  ...{ place: true, result: true, seen: true, lookReached: true, released: true, note: true, photos: true },
  ...{ pieceName: true, work_C: true, work_s: true, total_s: true, kilnName: true, familyName: true, look: true },
} as const)
  .extend({
    /** Hottest target as it ran, °C, and its hold, s. */
    ran_C: figure('°C'),
    ran_s: figure('s'),
  })
  .meta({ id: 'FiringRow' });
export type FiringRow = z.infer<typeof FiringRowSchema>;

/** asFiredResult: the engine's word on what really ran, where that was otherwise than planned. */
export const FiringDetailSchema = z
  .object({
    firing: FiringSchema,
    schedule: ScheduleSchema,
    asFiredResult: EvaluationSchema.nullable(),
    opens_C: figure('°C', 'At most, where the kiln is opened'),
    /** What else is in its load. */
    together: z.array(z.object({ id, pieceName: z.string() })),
  })
  .meta({ id: 'FiringDetail' });
export type FiringDetail = z.infer<typeof FiringDetailSchema>;

/** Which firings to list; each part narrows. Text is looked for in piece, note, place, kiln, family. */
export const FiringQuerySchema = z.object({
  text: asked(80),
  look: z.enum(LOOKS).optional(),
  result: z.enum(['short', 'right', 'past', 'open']).optional(),
  kiln: asked(80),
  piece: asked(60),
  /** Those that stood in or on this form. */
  form: asked(60),
  /** Where the last page ended. */
  after: asked(120),
});
export type FiringQuery = z.infer<typeof FiringQuerySchema>;

export const FiringPageSchema = z
  .object({
    firings: z.array(FiringRowSchema),
    /** How many there are in all pages. */
    total: count(),
    /** What could be narrowed to: results and kinds that occur among what is otherwise asked for, each with how many. */
    results: z.array(z.object({ result: z.enum([...ResultSchema.options, 'open']), count: count() })),
    looks: z.array(z.object({ look: z.enum(LOOKS), count: count() })),
    /** Where the next page begins; null at the end. */
    next: z.string().nullable(),
  })
  .meta({ id: 'FiringPage' });
export type FiringPage = z.infer<typeof FiringPageSchema>;

const TallySchema = z.object({ fell: count('Came by itself'), tapped: count('Came by tapping'), stuck: count('Stuck'), broke: count('Broke coming off') });

/** What was fired in a form, and since each coat that was told of it. */
export const FormUseSchema = z
  .object({
    id: recordId('Mould or former'),
    fired: count('Firings that stood in or on it'),
    /** How glass came off it, of the firings that were told of. */
    released: TallySchema,
    lastAt: instant.nullable(),
    coats: z.array(
      z.object({
        id: recordId('Coat'),
        hot: count('Firings since, in which glass sticks'),
        cool: count('Firings since, cooler ones'),
        hottest_C: figure('°C', 'Hottest since').nullable(),
        released: TallySchema,
      }),
    ),
  })
  .meta({ id: 'FormUse' });
export type FormUse = z.infer<typeof FormUseSchema>;

/** A coat that is used up, where glass may lie on it next. */
const RecoatSchema = z.object({ formId: z.string(), formName: z.string(), zone: z.string(), coatId: z.string(), releaseId: z.string(), why: z.string() });

/** A mould in the making: what is next, and from when on; null where nothing has to be waited for. */
const MakingNextSchema = z.object({
  ...{ id: recordId('Mould in the making'), formId: z.string(), formName: z.string(), next: z.enum(STAGES), title: z.string() },
  from: instant.nullable(),
  why: z.string(),
});

/** A piece that waits, with what its schedule says where it has one. */
export const WaitingPieceSchema = z
  .object({
    piece: PieceRowSchema,
    for: z.enum(WAITS),
    /** Of the firing that is next; null where none is planned yet. */
    look: z.enum(LOOKS).nullable(),
    kilnId: z.string().nullable(),
    /** What the step of the hands is called that is next; null where a firing is. */
    step: z.string().nullable(),
    stepId: id.nullable(),
    /** The last turn of that step in the kiln; null where it had none, and where nothing of glass is fired. */
    firingId: id.nullable(),
    /** The whole length of its schedule, s; null where it has none. */
    total_s: figure('s').nullable(),
    /** How what stands now differs from what its schedule was made from. */
    outdated: z.array(z.string()),
  })
  .meta({ id: 'WaitingPiece' });
export type WaitingPiece = z.infer<typeof WaitingPieceSchema>;

/** What the firings of a kiln have taught of it, with one family of glass. */
export const LearnedSchema = z
  .object({
    kilnId: z.string(),
    kilnName: z.string(),
    familyName: z.string(),
    firings: count(),
    offset_K: figure('K', 'Controller less glass'),
    workFactor: figure(''),
    /** What each look takes by itself, times the usual. */
    looks: z.array(z.object({ look: z.enum(LOOKS), factor: figure(''), sd_log: figure(''), firings: count() })),
    offset_sd_K: figure('K', 'Standard deviation of the offset'),
    workFactor_sd_log: figure('', "Standard deviation of the factor's logarithm"),
    separated: z.boolean(),
    /** The last ten firings against the ten before; null where there are too few. */
    drift: z.object({ hotter_K: figure('K'), sd_K: figure('K'), isSure: z.boolean() }).nullable(),
    /** Its offset as ten firings at a time tell it, the oldest first. */
    line: z.array(z.object({ firingId: id, offset_K: figure('K'), sd_K: figure('K') })),
    /** What it was learnt from, newest first, with what was left out. */
    lessons: z.array(
      z.object({
        ...{ firingId: id, pieceName: z.string(), firedAt: instant, look: z.enum(LOOKS), result: ResultSchema, lesson: LessonSchema },
        /** The work it did by what the controller read, in shares of the least and of the most that its look needs. */
        ...{ ofLeast: figure(''), ofMost: figure('') },
        /** What a cone beside the glass told: controller less glass; null where none did. */
        cone_K: figure('K').nullable(),
        /** The shape that it came to was measured, and counts. */
        measured: z.boolean(),
        /** What the rest would have taught; null where that was not asked for, or where it is left out. */
        without: z.object({ offset_K: figure('K'), workFactor: figure('') }).nullable(),
      }),
    ),
  })
  .meta({ id: 'Learned' });
export type Learned = z.infer<typeof LearnedSchema>;

/** A firing that was opened and told of, as the next of its kind is planned by. */
export const SeenFiringSchema = schemaFor<SeenFiring>()(
  z
    .object({
      ...{ kilnId: z.string(), stepId: z.string(), look: z.enum(LOOKS), formId: z.string().nullable() },
      firingId: z.string().optional(),
      ...{ outcome: ResultSchema, by: z.enum(HOW_FAR).optional() },
      work_perPa: figure('1/Pa', 'By what the controller read'),
      work_C: figure('°C', 'Its working temperature, as it ran'),
      body: z.object({
        ...{ annealing_C: figure('°C'), softening_C: figure('°C'), mean_m: figure('m'), max_m: figure('m'), narrow_m: figure('m'), far_m: figure('m') },
        ...{ joined: z.boolean(), parts: count() },
      }),
      shaping: ShapingSchema.optional(),
    })
    .meta({ id: 'SeenFiring' }),
);

/** Of which kiln, and of which kind of firing. */
export const SeenQuerySchema = z.object({ kiln: z.string().min(1).max(60), look: z.enum(LOOKS) });

/** Of which kind of firing, and in which of the studio's forms; of that form before the kind. */
export const UsedQuerySchema = z.object({ look: z.enum(LOOKS), form: asked(60) });

/** How the like was set up when it was last fired: what the next one is offered first. */
export const UsedSchema = z
  .object({
    kilnId: StepSchema.shape.kilnId,
    controllerId: StepSchema.shape.controllerId,
    releaseId: StepSchema.shape.releaseId,
    setup: SnapshotSchema.shape.setup.unwrap(),
  })
  .meta({ id: 'UsedSetUp' });
export type UsedSetUp = z.infer<typeof UsedSchema>;

/** Of which kiln; of the one that was told of last where left out. */
export const LearnedQuerySchema = z.object({ kiln: asked(60), weighed: oneOf('Weighed', ['yes', 'no']).default('no') });

/** What is going on: firings not told of yet, the pieces that wait and were changed last, what the firings of a kiln have taught. */
export const BenchSchema = z
  .object({
    inKiln: z.array(FiringSchema),
    waiting: z.array(WaitingPieceSchema),
    /** How many wait in all, and how many pieces there are. */
    waitingInAll: count(),
    pieces: count(),
    /** What may go into one load, of all that wait; null where nothing goes together. */
    together: SuggestedLoadSchema.nullable(),
    /** Of the kiln that was told of last. */
    learned: LearnedSchema.nullable(),
    /** Kilns whose firings have taught something, the last first. */
    taught: z.array(z.object({ kilnId: z.string(), kilnName: z.string() })),
    /** Forms whose coat is used up, scratched or was too hot, by their names. */
    recoat: z.array(RecoatSchema),
    /** Moulds in the making, what can be gone on with first. */
    making: z.array(MakingNextSchema),
  })
  .meta({ id: 'Bench' });
export type Bench = z.infer<typeof BenchSchema>;

/** What a studio is asked on its first day, in this order. */
export const FIRST_QUESTIONS = ['units', 'kiln', 'controller', 'glass', 'schedule', 'shelf'] as const;
export type FirstQuestion = (typeof FIRST_QUESTIONS)[number];

/** How far the first day has come. */
export const FirstDaySchema = z.strictObject({
  answered: z.array(oneOf('Question', FIRST_QUESTIONS)),
  /** The family that new pieces begin with; null where it is not known yet. */
  familyId: recordId('Family').nullable(),
  /** A schedule that works already, as it was typed or pasted; '' for none. */
  schedule: words('Schedule', 4000),
  /** All is answered, or the person went past the rest. */
  done: z.boolean(),
});
export type FirstDay = z.infer<typeof FirstDaySchema>;

/** What plans make of what firings taught: a person is asked, or they go by it as soon as a result is recorded. */
export const LEARNINGS = ['asks', 'atOnce'] as const;
export type Learning = (typeof LEARNINGS)[number];

export const StudioSchema = z
  .strictObject({
    temperatureUnit: oneOf('Temperature unit', ['C', 'F']),
    lengthUnit: oneOf('Length unit', ['mm', 'in']),
    massUnit: oneOf('Mass unit', ['g', 'oz']),
    theme: oneOf('Theme', ['light', 'dark', 'system']),
    /** How tables go out: with decimal points between commas, or with decimal commas between semicolons. */
    csv: oneOf('Tables', CSV_STYLES).default('comma'),
    /** Left out, it stays as it was. */
    firstDay: FirstDaySchema.optional(),
    /** Of its own; left out, they stay as they were, and empty, all are as they ship. */
    limits: StudioLimitsSchema.optional(),
    /** After a result that was not right. Left out, it stays as it was. */
    changesFirst: oneOf('What changes first', CHANGES_FIRST).optional(),
    /** Left out, it stays as it was. */
    learning: oneOf('Whether plans use what was learnt', LEARNINGS).optional(),
    /** Whether glass of several families may share a load. Left out, it stays as it was. */
    mixedLoads: z.boolean().optional(),
  })
  .meta({ id: 'Studio' });
export type Studio = z.infer<typeof StudioSchema>;
