/** A studio's own documents: pieces, schedule versions, firings and settings. */
import { z } from 'zod';
import { EvaluationSchema } from './results';
import { DEEPEST_BODY_M, PieceFootprintSchema } from './bodyInput';
import { FiringCaseSchema, SchoolSchema } from './firingInput';
import { PurposefulSegmentSchema, SEGMENTS_AT_MOST } from './heatInput';
import { id, instant, oneOf, quantity, words } from './quantity';
import { ControllerSchema } from './records';

export const LAYERS_AT_MOST = 4;
export const SHEET_RANGE_M = { least: 0.001, most: 0.025 } as const;
export const SIZE_RANGE_M = { least: 0.02, most: 2 } as const;

export const LayerSchema = z.strictObject({
  id,
  glassId: words('Glass', 60, 1),
  thickness_m: quantity('Thickness', 'm', SHEET_RANGE_M.least, SHEET_RANGE_M.most),
});
export type Layer = z.infer<typeof LayerSchema>;

export const StepSchema = z.strictObject({
  id,
  look: oneOf('Look', ['fullFuse']),
  setup: oneOf('Set-up', ['bareShelf']),
  kilnId: words('Kiln', 60, 1),
  controllerId: words('Controller', 60, 1),
  school: SchoolSchema,
  /** The schedule in use, and the computed one it goes back to. */
  scheduleId: id.nullable(),
  computedId: id.nullable(),
});
export type Step = z.infer<typeof StepSchema>;

export const PieceDocSchema = z
  .strictObject({
    schemaVersion: z.literal(1),
    footprint: PieceFootprintSchema,
    /** The sizes as they were typed, kept beside the metres. */
    typed: z.record(z.string().max(20), z.string().max(40)),
    /** Index 0 at the bottom. */
    layers: z
      .array(LayerSchema)
      .min(1, { error: 'A piece needs at least one sheet.' })
      .max(LAYERS_AT_MOST, { error: `At most ${LAYERS_AT_MOST} sheets.` }),
    steps: z.array(StepSchema).max(1),
  })
  .refine((doc) => doc.layers.reduce((sum, layer) => sum + layer.thickness_m, 0) <= DEEPEST_BODY_M + 1e-9, {
    path: ['layers'],
    error: `The sheets together may be at most ${DEEPEST_BODY_M * 1e3} mm deep.`,
  });
export type PieceDoc = z.infer<typeof PieceDocSchema>;

const pieceName = words('Name', 80, 1);
const version = quantity('Version', '', 1, 1e9).int();

export const PieceSchema = z.object({
  id,
  name: pieceName,
  version,
  doc: PieceDocSchema,
  createdAt: instant,
  updatedAt: instant,
});
export type Piece = z.infer<typeof PieceSchema>;

export const NewPieceSchema = z.strictObject({ id, name: pieceName, doc: PieceDocSchema });
export type NewPiece = z.infer<typeof NewPieceSchema>;

/** version is the one the change was based on. */
export const PieceChangeSchema = z.strictObject({ version, name: pieceName, doc: PieceDocSchema });
export type PieceChange = z.infer<typeof PieceChangeSchema>;

export const NewScheduleSchema = z.strictObject({
  id,
  stepId: id,
  pieceVersion: version,
  parentId: id.nullable(),
  origin: oneOf('Origin', ['computed', 'edited']),
  segments: z.array(PurposefulSegmentSchema).min(1).max(SEGMENTS_AT_MOST),
});
export type NewSchedule = z.infer<typeof NewScheduleSchema>;

/** What a schedule was made from, kept so that later edits of records do not change the past. */
export const SnapshotSchema = z.object({
  firing: FiringCaseSchema,
  familyName: z.string(),
  kilnName: z.string(),
  controller: ControllerSchema,
  layers: z.array(z.object({ name: z.string(), colour: z.string(), thickness_m: z.number() })),
  engine: z.string(),
});
export type Snapshot = z.infer<typeof SnapshotSchema>;

export const ScheduleSchema = z.object({
  id,
  pieceId: id,
  stepId: id,
  parentId: id.nullable(),
  origin: NewScheduleSchema.shape.origin,
  segments: NewScheduleSchema.shape.segments,
  snapshot: SnapshotSchema,
  result: EvaluationSchema,
  createdAt: instant,
});
export type Schedule = z.infer<typeof ScheduleSchema>;

export const SavedScheduleSchema = z.object({ piece: PieceSchema, schedule: ScheduleSchema });
export type SavedSchedule = z.infer<typeof SavedScheduleSchema>;

export const ResultSchema = oneOf('Result', ['short', 'right', 'past']);
export type FiringResult = z.infer<typeof ResultSchema>;

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

export const NewFiringSchema = z.strictObject({
  id,
  pieceId: id,
  scheduleId: id,
  firedAt: instant,
  zone,
  result: ResultSchema,
  note: words('Note', 4000),
});
export type NewFiring = z.infer<typeof NewFiringSchema>;

export const FiringSchema = NewFiringSchema.extend({
  pieceName: z.string(),
  createdAt: instant,
  /** Hottest target of its schedule, °C, that target's hold, s, and the whole firing's length, s. */
  work_C: z.number(),
  work_s: z.number(),
  total_s: z.number(),
  kilnName: z.string(),
});
export type Firing = z.infer<typeof FiringSchema>;

export const FiringDetailSchema = z.object({ firing: FiringSchema, schedule: ScheduleSchema });
export type FiringDetail = z.infer<typeof FiringDetailSchema>;

export const StudioSchema = z.strictObject({
  temperatureUnit: oneOf('Temperature unit', ['C', 'F']),
  theme: oneOf('Theme', ['light', 'dark', 'system']),
});
export type Studio = z.infer<typeof StudioSchema>;
