/**
 * A piece as one file: its document, every schedule version with what it was made from, every firing, and the records of
 * the shelves that it names. What is written out and read in again is equal.
 */
import { z } from 'zod';
import { FiringSchema, KilnReadingSchema, LoadSchema, ScheduleSchema } from './documents';
import { toldOfFiring } from './firingFields';
import { FilingSchema, PieceSchema } from './pieces';
import { KINDS } from './kinds/all';
import { type KindName } from './kinds/names';
import { photoHash } from './records';
import { EvaluationSchema } from '@torvin/core/contract';

export const PIECE_FILE_FORMAT = 'torvin-piece';
/** Several of them in one file, which a page writes and takes apart. */
export const PIECES_FILE_FORMAT = 'torvin-pieces';
export const PIECE_FILE_VERSION = 2;

/** Its schedule follows from what is in it; program, note and readings are left out by files from before they were kept. */
const FiledLoadSchema = LoadSchema.omit({ version: true, scheduleNumber: true }).extend({
  ahead_s: LoadSchema.shape.ahead_s.default(0),
  controllerId: LoadSchema.shape.controllerId.default(null),
  slot: LoadSchema.shape.slot.default(null),
  note: LoadSchema.shape.note.default(''),
  readings: z.array(KilnReadingSchema).default([]),
});

/** What was not asked yet when a file was written stands in it as it does where it is not told. */
const FiledFiringSchema = FiringSchema.pick({ id: true, scheduleId: true, firedAt: true, zone: true, createdAt: true })
  .extend(toldOfFiring)
  .extend({
    asFiredResult: EvaluationSchema.nullable(),
    /** Left out by files from before firings were loads. */
    load: FiledLoadSchema.optional(),
    differences: z.array(z.string()).default([]),
    accepted: z.array(z.string()).default([]),
  });

/** A picture that a firing in this file names: as it is kept, JPEG, named by the SHA-256 of its bytes. */
const FiledPhotoSchema = z.object({
  hash: photoHash,
  jpeg: z.base64({ error: 'A picture is in base64.' }).meta({ description: 'The bytes of the picture, base64' }),
});
export type FiledPhoto = z.infer<typeof FiledPhotoSchema>;

const LISTS = { schedules: z.array(ScheduleSchema).max(5000), firings: z.array(FiledFiringSchema).max(5000), photos: z.array(FiledPhotoSchema).max(2000) };

/** The lists of a piece file that can be long, each with what is in it: to be read one by one. */
export const PIECE_FILE_LISTS = { schedules: ScheduleSchema, firings: FiledFiringSchema, photos: FiledPhotoSchema } as const;

export const PieceFileSchema = z
  .object({
    format: z.literal(PIECE_FILE_FORMAT, { error: `This is not a piece file: its format must be '${PIECE_FILE_FORMAT}'.` }),
    formatVersion: z.literal(PIECE_FILE_VERSION, { error: 'This file is of a later format than this program knows.' }),
    /** Tags, when it was finished and whether it is a pattern are left out by files from before pieces had them. */
    piece: PieceSchema.pick({ id: true, name: true, doc: true, createdAt: true }).extend({
      tags: FilingSchema.shape.tags.default([]),
      finishedAt: FilingSchema.shape.finishedAt.default(null),
      patternAt: FilingSchema.shape.patternAt,
      dueOn: FilingSchema.shape.dueOn,
    }),
    schedules: LISTS.schedules,
    firings: LISTS.firings,
    /** Left out by files that were written before pictures came along. */
    photos: LISTS.photos.default([]),
    /** What the piece names, and what that names; a kind that was not there when the file was written is left out. */
    shelves: z.object(
      Object.fromEntries(Object.entries(KINDS).map(([name, { schema }]) => [name, z.array(schema).default([])])) as {
        [K in KindName]: z.ZodDefault<z.ZodArray<(typeof KINDS)[K]['schema']>>;
      },
    ),
  })
  .meta({ id: 'PieceFile' });
export type PieceFile = z.infer<typeof PieceFileSchema>;

/** Before version 2 the names of figures did not all end in their unit. */
const RENAMED = {
  ...{ deltaT_max: 'deltaT_max_K', deltaT_end: 'deltaT_end_K', spread_end: 'spread_end_K' },
  ...{ spread_climbing: 'spread_climbing_K', spread_setting: 'spread_setting_K', heatWork: 'heatWork_perPa' },
  ...{ heatWorkUnder: 'heatWorkUnder_perPa', heatWorkTop: 'heatWorkTop_perPa', squeezeWork: 'squeezeWork_perPa' },
  ...{ work: 'work_perPa', works: 'works_perPa' },
} as Record<string, string>;

type Loose = Record<string, unknown>;
const isLoose = (value: unknown): value is Loose => typeof value === 'object' && value !== null && !Array.isArray(value);
const renamed = (value: unknown): unknown =>
  isLoose(value) ? Object.fromEntries(Object.entries(value).map(([name, one]) => [RENAMED[name] ?? name, one])) : value;
/** The same with what stands at a place in it changed, where it is there. */
function at(value: unknown, [first, ...rest]: readonly string[], change: (value: unknown) => unknown): unknown {
  if (first === undefined) return change(value);
  if (first === '*') return Array.isArray(value) ? value.map((one) => at(one, rest, change)) : value;
  return isLoose(value) && first in value ? { ...value, [first]: at(value[first], rest, change) } : value;
}

/** A file of the first version in the words of the second; anything else as it came. */
export function ofOlderFormat(file: unknown): unknown {
  if (!isLoose(file) || file.formatVersion !== 1) return file;
  const places = [
    ...['schedules.*.result', 'schedules.*.result.simulation.segments.*', 'schedules.*.snapshot.firing.limits'],
    ...['firings.*.asFiredResult', 'firings.*.asFiredResult.simulation.segments.*'],
  ];
  return { ...(places.reduce<unknown>((now, place) => at(now, place.split('.'), renamed), file) as Loose), formatVersion: PIECE_FILE_VERSION };
}

/** What becomes of firings in a file that are still running, or planned. */
export const ImportQuerySchema = z.object({
  running: z
    .enum(['ask', 'in', 'out'])
    .default('ask')
    .meta({ description: 'Of firings that run or are planned: in takes their kilns here, out leaves them behind, ask refuses with what they are' }),
});
export type ImportQuery = z.infer<typeof ImportQuerySchema>;

export const ImportedSchema = z
  .object({
    piece: PieceSchema,
    /** new: it was not there; restored: it had been deleted; copied: it is there still, so this is another one. */
    outcome: z.enum(['new', 'restored', 'copied']),
  })
  .meta({ id: 'Imported' });
export type Imported = z.infer<typeof ImportedSchema>;
