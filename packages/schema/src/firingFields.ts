/**
 * What a person says of a firing, each of it declared once: what it may be and what stands where it is not told, its field on the form, what
 * is told of it afterwards, its columns in a table. Documents, piece files, form, page and CSV follow; its column in the database is in
 * tables.ts, with a migration.
 */
import { PurposefulSegmentSchema, SEGMENTS_AT_MOST, oneOf, quantity, words } from '@torvin/core/contract';
import { HOW_FAR } from '@torvin/core/learn';
import { BUBBLE_SIZES, CRACK_COURSES, CRACK_EDGES, FLAW_NAMES, LOOKS, RECIPES, flawWords } from '@torvin/core/look';
import { RELEASED, RELEASED_NAMES } from '@torvin/core/release';
import { type TemperatureUnit, temperatureIn } from '@torvin/core/units';
import { z } from 'zod';
import { photoList } from './records';
import { ResultSchema } from './result';

/** What can be read in a kiln that fires glass, °C. */
export const WITNESS_RANGE_C = { least: 100, most: 1700 } as const;
/** More than this no reading at the glass lies from the controller's, K. */
const WITNESS_AT_MOST_K = 60;

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

/** 'top edge to the door, left edge to the hot side'; '' where nothing was told. */
export const facedWords = (faced: Faced): string =>
  FACED_TO.flatMap((to) => (faced[to] === null ? [] : [`${faced[to]} edge to ${FACED_NAMES[to]}`])).join(', ');

export interface FiringColumn<T> {
  /** °C or °F stand in it. */
  title: string | ((unit: TemperatureUnit) => string);
  cell(told: T, unit: TemperatureUnit, lesson: Lesson): string | number;
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
      { title: 'by_how_much', cell: (_result, _unit, { by }) => (by === null ? '' : BY_WORDS[by]) },
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
      { title: (unit) => `controller_read_${unit}`, cell: ({ witness }, unit) => readAs(witness?.controller_C, unit) },
      { title: (unit) => `at_the_glass_${unit}`, cell: ({ witness }, unit) => readAs(witness?.glass_C, unit) },
      { title: 'left_out', cell: ({ leftOut }) => (leftOut ? 'yes' : 'no') },
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
export function firingColumns(unit: TemperatureUnit): Columns {
  const columns = FIRING_FIELD_NAMES.flatMap((name) =>
    ((FIRING_FIELDS[name].columns ?? []) as readonly FiringColumn<unknown>[]).map(({ title, cell }) => ({
      title: typeof title === 'string' ? title : title(unit),
      cell: (told: ToldOfFiring) => cell(told[name], unit, told.lesson),
    })),
  );
  return { titles: columns.map(({ title }) => title), cells: (told) => Object.fromEntries(columns.map(({ title, cell }) => [title, cell(told)])) };
}
