/** The HTTP interface as one table: the server routes by it, the web app calls by it, OpenAPI is written from it. */
import { z } from 'zod';
import {
  FiringDetailSchema,
  FiringSchema,
  NewFiringSchema,
  NewPieceSchema,
  NewScheduleSchema,
  PieceChangeSchema,
  PieceSchema,
  SavedScheduleSchema,
  ScheduleSchema,
  StudioSchema,
} from './documents';
import { ShelvesSchema } from './records';

export interface Endpoint<Request extends z.ZodType | undefined = z.ZodType | undefined, Answer extends z.ZodType = z.ZodType> {
  method: 'get' | 'post' | 'put';
  /** In Express's notation. */
  path: string;
  summary: string;
  request: Request;
  answer: Answer;
}

export const get = <A extends z.ZodType>(path: string, summary: string, answer: A): Endpoint<undefined, A> => ({
  method: 'get',
  path,
  summary,
  request: undefined,
  answer,
});
export const send = <R extends z.ZodType, A extends z.ZodType>(
  method: 'post' | 'put',
  path: string,
  summary: string,
  request: R,
  answer: A,
): Endpoint<R, A> => ({
  method,
  path,
  summary,
  request,
  answer,
});

export const HealthSchema = z.object({ ok: z.literal(true), version: z.string(), dataDir: z.string(), schema: z.number().int() });

export const api = {
  health: get('/api/health', 'Whether the server is up, and where its data lies', HealthSchema),
  studio: get('/api/studio', "The studio's settings", StudioSchema),
  saveStudio: send('put', '/api/studio', "Replaces the studio's settings", StudioSchema, StudioSchema),
  shelves: get('/api/shelves', 'Glass families, glasses, kilns and controllers', ShelvesSchema),
  pieces: get('/api/pieces', 'All pieces, newest change first', z.array(PieceSchema)),
  piece: get('/api/pieces/:id', 'One piece', PieceSchema),
  createPiece: send('post', '/api/pieces', 'Makes a piece; repeated with the same id it does nothing', NewPieceSchema, PieceSchema),
  savePiece: send('put', '/api/pieces/:id', 'Changes a piece; 409 with the current piece when based on an older version', PieceChangeSchema, PieceSchema),
  saveSchedule: send(
    'post',
    '/api/pieces/:id/schedules',
    "Adds a schedule version, simulated by the server, and makes it its step's",
    NewScheduleSchema,
    SavedScheduleSchema,
  ),
  schedule: get('/api/schedules/:id', 'One schedule version as it was made', ScheduleSchema),
  firings: get('/api/firings', 'All firings, newest first', z.array(FiringSchema)),
  firing: get('/api/firings/:id', 'One firing with the schedule it ran', FiringDetailSchema),
  recordFiring: send('post', '/api/firings', 'Records a firing; repeated with the same id it does nothing', NewFiringSchema, FiringSchema),
} as const;

export type AnswerOf<E extends Endpoint> = z.output<E['answer']>;
export type RequestOf<E extends Endpoint> = E['request'] extends z.ZodType ? z.input<E['request']> : undefined;
