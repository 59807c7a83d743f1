/**
 * What a person says of a firing, each of it declared once: what it may be and what stands where it is not told, its field on the form, what
 * is told of it afterwards, its columns in a table. Documents, piece files, form, page and CSV follow; its column in the database is in
 * tables.ts, with a migration.
 */
import { PurposefulSegmentSchema, SEGMENTS_AT_MOST, oneOf, quantity, words } from '@torvin/core/contract';
import { HOW_FAR, WITNESS_CONES } from '@torvin/core/learn';
import { BUBBLE_SIZES, CRACK_COURSES, CRACK_EDGES, FLAW_NAMES, LOOKS, RECIPES, flawWords } from '@torvin/core/look';
import { RELEASED, RELEASED_NAMES } from '@torvin/core/release';
import { LENGTH, METRIC, type TemperatureUnit, type Units, temperatureIn } from '@torvin/core/units';
import { z } from 'zod';
import { photoList } from './records';
import { ResultSchema } from './result';

/** What can be read in a kiln that fires glass, °C. */
export const WITNESS_RANGE_C = { least: 100, most: 1700 } as const;
/** More than this no reading at the glass lies from the controller's, K. */
export const WITNESS_AT_MOST_K = 60;

const readAt = (name: string) => quantity(name, '°C', WITNESS_RANGE_C.least, WITNESS_RANGE_C.most);

/** What a firing is to teach of its kiln and of this studio's looks. */
export const LessonSchema = z
  .strictObject({
    /** It is to teach nothing: the lid was lifted, the wrong piece was looked at. */
    leftOut: z.boolean().default(false),
    /** By how much it fell short or went past. */
    by: oneOf('By how much', HOW_FAR).nullable().default(null),
    /** Read at the glass while the controller read something, °C both. */
    witness: z
      .strictObject({ controller_C: readAt('Controller'), glass_C: readAt('At the glass') })
      .refine(({ controller_C, glass_C }) => Math.abs(controller_C - glass_C) <= WITNESS_AT_MOST_K, {
        path: ['glass_C'],
        error: `The two readings may lie at most ${WITNESS_AT_MOST_K} °C (${1.8 * WITNESS_AT_MOST_K} °F) apart; more is another moment or a broken sensor.`,
      })
      .nullable()
      .default(null),
  })
  .meta({ id: 'Lesson' });
export type Lesson = z.infer<typeof LessonSchema>;
export const NO_LESSON: Lesson = { leftOut: false, by: null, witness: null };

/** What an edge of the glass can have lain towards in the kiln. */
export const FACED_TO = ['mark', 'door', 'hot'] as const;
export type FacedTo = (typeof FACED_TO)[number];
export const FACED_NAMES: Record<FacedTo, string> = { mark: 'the mark of the mould', door: 'the door', hot: 'the hot side' };
/** Edges of a piece as its plan shows them, from above. */
export const EDGES = ['top', 'right', 'bottom', 'left'] as const;
export type Edge = (typeof EDGES)[number];

const edge = (to: FacedTo) => oneOf(`Edge towards ${FACED_NAMES[to]}`, EDGES).nullable().default(null);
export const FacedSchema = z.strictObject({ mark: edge('mark'), door: edge('door'), hot: edge('hot') }).meta({ id: 'Faced' });
export type Faced = z.infer<typeof FacedSchema>;
export const NOT_FACED: Faced = { mark: null, door: null, hot: null };

/** More marks than these nobody can tell apart on a drawing. */
export const MARKS_AT_MOST = 20;
const share = (title: string) => quantity(title, '', 0, 1);
/** Across the outline from above, from its left and from its top, as shares of its width and length. */
const spot = z.strictObject({ x: share('Place across'), y: share('Place along') });

/** Something to be seen on the glass: what it is, what kind of it, and where, as its plan shows it from above. */
export const MarkSchema = z
  .strictObject({
    flaw: oneOf('What was seen', FLAW_NAMES),
    at: spot.nullable().default(null),
    /** Where a crack ends that begins there. */
    to: spot.nullable().default(null),
    size: oneOf('Size of the bubbles', BUBBLE_SIZES).nullable().default(null),
    edge: oneOf('Edges of the crack', CRACK_EDGES).nullable().default(null),
    course: oneOf('Course of the crack', CRACK_COURSES).nullable().default(null),
  })
  .meta({ id: 'Mark' });
export type Mark = z.infer<typeof MarkSchema>;

/** Lengths that are measured on a piece, m. */
export const MEASURED_LENGTH_M = { least: 1e-4, most: 3 } as const;
/** Through what polarised light goes, and what it is delayed by: some thirty fringes. */
export const PATH_M = { least: 5e-4, most: 3 } as const;
export const RETARDATION_NM = { least: 0, most: 20000 } as const;
const measuredLength = (name: string) => quantity(name, 'm', MEASURED_LENGTH_M.least, MEASURED_LENGTH_M.most).nullable().default(null);

/** What was measured after a firing; each null where it was not. */
export const MeasuredSchema = z
  .strictObject({
    down_m: measuredLength('How far down it came').meta({ description: 'The middle of what sank into a hollow, the edge of what came over a former' }),
    largest_m: measuredLength('Largest size'),
    thickness_m: measuredLength('Greatest thickness'),
    cone: z
      .strictObject({ cone: oneOf('Cone', WITNESS_CONES), bent_deg: quantity('How far the cone bent', '°', 0, 180) })
      .nullable()
      .default(null)
      .meta({ description: 'A cone beside the glass; its angle from upright' }),
    stress: z
      .strictObject({
        retardation_nm: quantity('Retardation', 'nm', RETARDATION_NM.least, RETARDATION_NM.most),
        path_m: quantity('Looked through', 'm', PATH_M.least, PATH_M.most),
      })
      .nullable()
      .default(null)
      .meta({ description: 'Between crossed polarisers, edgewise, where it is greatest' }),
    alongside_m: measuredLength('Thickness of the plain piece').meta({
      description: 'Stress was read on a plain piece of clear glass, so thick, that was fired alongside; null: on the piece itself',
    }),
  })
  .meta({ id: 'Measured' });
export type Measured = z.infer<typeof MeasuredSchema>;
export const NOT_MEASURED: Measured = { down_m: null, largest_m: null, thickness_m: null, cone: null, stress: null, alongside_m: null };

/** 'top edge to the door, left edge to the hot side'; '' where nothing was told. */
export const facedWords = (faced: Faced): string =>
  FACED_TO.flatMap((to) => (faced[to] === null ? [] : [`${faced[to]} edge to ${FACED_NAMES[to]}`])).join(', ');

export type ColumnUnits = Pick<Units, 'temperature' | 'length'>;

interface FiringColumn<T> {
  /** A unit stands in it. */
  title: string | ((units: ColumnUnits) => string);
  cell(told: T, units: ColumnUnits, lesson: Lesson): string | number;
}

interface FiringField<S extends z.ZodType> {
  schema: S;
  /** Of words: its field on the form. once: only where it has been asked for; withFlaws: only where something was to be seen. */
  asked?: { label: string; hint: string; isLong?: true; once?: true; withFlaws?: true };
  /** What its page says of it, where it is told. */
  tells?(told: z.output<S>): string;
  columns?: readonly FiringColumn<z.output<S>>[];
}

/** Keeps the type of each schema. */
const field = <S extends z.ZodType>(of: FiringField<S>): FiringField<S> => of;

const BY_WORDS = { little: 'a little', far: 'by far' } as const;
const readAs = (celsius: number | undefined, unit: TemperatureUnit): number | '' => (celsius === undefined ? '' : Math.round(temperatureIn(celsius, unit)));
/** Metres in the studio's unit, to a hundredth of a millimetre or a thousandth of an inch. */
const lengthAs = (metres: number | null, { length }: ColumnUnits): number | '' =>
  metres === null ? '' : Number(LENGTH.shown(metres, { ...METRIC, length }).toFixed(length === 'mm' ? 2 : 3));
const lengthColumn = (name: string, of: (told: Measured) => number | null): FiringColumn<Measured> => ({
  title: ({ length }) => `${name}_${length}`,
  cell: (told, units) => lengthAs(of(told), units),
});

export const FIRING_FIELDS = {
  knownBy: field({
    schema: words('How it is known', 200).default(''),
    asked: { label: 'How it is known already', hint: 'the power failed and it was opened cold', once: true },
    tells: (knownBy) => `Told before it could be cold: ${knownBy}. It teaches nothing of the kiln.`,
  }),
  place: field({
    schema: words('Place on the shelf', 80).default(''),
    asked: { label: 'Place on the shelf', hint: 'front left, middle, long side to the door' },
    columns: [{ title: 'place', cell: (place) => place }],
  }),
  /** Null while it runs or stands unopened. */
  result: field({
    schema: ResultSchema.nullable().default(null),
    columns: [
      { title: 'result', cell: (result) => result ?? '' },
      { title: 'by_how_much', cell: (_result, _units, { by }) => (by === null ? '' : BY_WORDS[by]) },
    ],
  }),
  /** What was to be seen on it, beside how far it got. */
  seen: field({
    schema: z.array(oneOf('What was to be seen', FLAW_NAMES)).max(FLAW_NAMES.length).default([]),
    columns: [{ title: 'seen', cell: (flaws) => flawWords(flaws) }],
  }),
  seenWhere: field({
    schema: words('Where that was', 120).default(''),
    asked: { label: 'Where on it', hint: 'tip of the leaf, front left corner', withFlaws: true },
    columns: [{ title: 'seen_where', cell: (where) => where }],
  }),
  /** The same one by one, where more is known of it. */
  marks: field({
    schema: z
      .array(MarkSchema)
      .max(MARKS_AT_MOST, { error: `At most ${MARKS_AT_MOST} marks.` })
      .default([]),
  }),
  /** Which of its edges lay towards what in the kiln. */
  faced: field({ schema: FacedSchema.default(NOT_FACED), columns: [{ title: 'faced', cell: (faced) => facedWords(faced) }] }),
  lookReached: field({
    schema: oneOf('Look reached', LOOKS).nullable().default(null),
    columns: [{ title: 'look_reached', cell: (look) => (look ? RECIPES[look].name : '') }],
  }),
  /** How it came off the form that shaped it; null where that was not said, or nothing shaped it. */
  released: field({
    schema: oneOf('How it came off its form', RELEASED).nullable().default(null),
    columns: [{ title: 'came_off', cell: (how) => (how ? RELEASED_NAMES[how] : '') }],
  }),
  lesson: field({
    schema: LessonSchema.default(NO_LESSON),
    columns: [
      { title: ({ temperature }) => `controller_read_${temperature}`, cell: ({ witness }, { temperature }) => readAs(witness?.controller_C, temperature) },
      { title: ({ temperature }) => `at_the_glass_${temperature}`, cell: ({ witness }, { temperature }) => readAs(witness?.glass_C, temperature) },
      { title: 'left_out', cell: ({ leftOut }) => (leftOut ? 'yes' : 'no') },
    ],
  }),
  measured: field({
    schema: MeasuredSchema.default(NOT_MEASURED),
    columns: [
      lengthColumn('came_down', ({ down_m }) => down_m),
      lengthColumn('largest', ({ largest_m }) => largest_m),
      lengthColumn('thickest', ({ thickness_m }) => thickness_m),
      { title: 'cone', cell: ({ cone }) => cone?.cone ?? '' },
      { title: 'cone_bent_deg', cell: ({ cone }) => cone?.bent_deg ?? '' },
      { title: 'retardation_nm', cell: ({ stress }) => stress?.retardation_nm ?? '' },
      lengthColumn('looked_through', ({ stress }) => stress?.path_m ?? null),
      lengthColumn('plain_piece', ({ alongside_m }) => alongside_m),
    ],
  }),
  note: field({
    schema: words('Note', 4000).default(''),
    asked: { label: 'Note', hint: 'what was seen and when', isLong: true },
    tells: (note) => note,
    columns: [{ title: 'note', cell: (note) => note }],
  }),
  /** The segments as they really ran, where they ran otherwise than planned. */
  asFired: field({ schema: z.array(PurposefulSegmentSchema).min(1).max(SEGMENTS_AT_MOST).nullable().default(null) }),
  photos: field({ schema: photoList.default([]), columns: [{ title: 'pictures', cell: (hashes) => hashes.map((hash) => `${hash}.jpg`).join(' ') }] }),
};

type Fields = typeof FIRING_FIELDS;
export type FiringFieldName = keyof Fields;
export const FIRING_FIELD_NAMES = Object.keys(FIRING_FIELDS) as FiringFieldName[];

/** Of all that is told, and of nothing else. */
export const toldIn = <R extends { readonly [K in FiringFieldName]: unknown }>(of: R): Pick<R, FiringFieldName> =>
  Object.fromEntries(FIRING_FIELD_NAMES.map((name) => [name, of[name]])) as Pick<R, FiringFieldName>;

/** Their schemas, as parts of a document. */
export const toldOfFiring = Object.fromEntries(FIRING_FIELD_NAMES.map((name) => [name, FIRING_FIELDS[name].schema])) as {
  [K in FiringFieldName]: Fields[K]['schema'];
};

export type ToldOfFiring = { [K in FiringFieldName]: z.output<Fields[K]['schema']> };

/** Nothing of it has been said. */
export const NOTHING_TOLD: ToldOfFiring = z.object(toldOfFiring).parse({});

/** Told in words. */
export type WordsName = { [K in FiringFieldName]: string extends ToldOfFiring[K] ? K : never }[FiringFieldName];
export const FIRING_WORDS = FIRING_FIELD_NAMES.filter((name): name is WordsName => FIRING_FIELDS[name].asked !== undefined);

interface Columns {
  titles: string[];
  cells(told: ToldOfFiring): Record<string, string | number>;
}

/** The columns of all that is told, in the order of its declaration. */
export function firingColumns(units: ColumnUnits): Columns {
  const columns = FIRING_FIELD_NAMES.flatMap((name) =>
    ((FIRING_FIELDS[name].columns ?? []) as readonly FiringColumn<unknown>[]).map(({ title, cell }) => ({
      title: typeof title === 'string' ? title : title(units),
      cell: (told: ToldOfFiring) => cell(told[name], units, told.lesson),
    })),
  );
  return { titles: columns.map(({ title }) => title), cells: (told) => Object.fromEntries(columns.map(({ title, cell }) => [title, cell(told)])) };
}
