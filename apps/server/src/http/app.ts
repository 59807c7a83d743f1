/** The HTTP application: each route of the endpoint table parses, calls one function and sends. */
import {
  MOULD_MATERIALS,
  ProblemError,
  askFlow,
  brokenOf,
  brokenSentence,
  edgeOn,
  lookedThrough,
  marginOf,
  readQuantity,
  release,
  tightest,
  verdictOf,
  whyOf,
} from '@torvin/core';
import { type AnswerOf, type Endpoint, api, problemOf } from '@torvin/schema';
import { type CheckAnswer, type ComposeAnswer, computeApi, decimalOf, openApiDocument } from '@torvin/schema/server';
import express, { type Express, type Request } from 'express';
import type { Logger } from 'pino';
import type { z } from 'zod';
import type { ComputePool } from '../compute/pool';
import type { Opened } from '../db/open';
import { findFiring, listFirings, recordFiring } from '../store/firings';
import { createPiece, findPiece, listPieces, savePiece } from '../store/pieces';
import { addSchedule, alreadySaved, caseFor, findSchedule } from '../store/schedules';
import { allShelves } from '../store/shelves';
import { readStudio, saveStudio } from '../store/studio';
import { BadRequest, answerErrors } from './errors';
import { typical } from './typical';
import { serveWeb } from './web';

export interface AppParts {
  opened: Opened;
  pool: ComputePool;
  dataDir: string;
  version: string;
  log: Logger;
  /** Folder of the exported web app; without it only the API is served. */
  webDir?: string;
  now?: () => number;
}

const BODY_LIMIT = '256kb';

type Parsed<E extends Endpoint> = E['request'] extends z.ZodType ? z.output<E['request']> : undefined;

export function createApp({ opened, pool, dataDir, version, log, webDir, now = Date.now }: AppParts): Express {
  const { db } = opened;
  const app = express();
  app.disable('x-powered-by');
  app.use(express.json({ limit: BODY_LIMIT }));

  function route<E extends Endpoint>(endpoint: E, handle: (body: Parsed<E>, id: string) => AnswerOf<E> | Promise<AnswerOf<E>>): void {
    app[endpoint.method](endpoint.path, async (request, response) => {
      response.json(await handle(parsed(endpoint, request), String(request.params.id ?? '')));
    });
  }

  route(api.health, (): AnswerOf<typeof api.health> => ({ ok: true, version, dataDir, schema: opened.schema }));
  route(api.studio, () => readStudio(db));
  route(api.saveStudio, (settings) => saveStudio(db, settings));
  route(api.shelves, () => allShelves(db));
  route(api.pieces, () => listPieces(db));
  route(api.piece, (_, id) => findPiece(db, id));
  route(api.createPiece, (piece) => createPiece(db, piece, now()));
  route(api.savePiece, (change, id) => savePiece(db, id, change, now()));
  route(api.saveSchedule, async (wanted, pieceId) => {
    const repeated = alreadySaved(db, pieceId, wanted.id);
    if (repeated) return repeated;
    const snapshot = caseFor(db, pieceId, wanted);
    const result = await pool.run('evaluate', { firing: snapshot.firing, segments: wanted.segments });
    return addSchedule(db, pieceId, wanted, snapshot, result, now());
  });
  route(api.schedule, (_, id) => findSchedule(db, id));
  route(api.firings, () => listFirings(db));
  route(api.firing, (_, id) => findFiring(db, id));
  route(api.recordFiring, (firing) => recordFiring(db, firing, now()));
  route(computeApi.computeQuantity, ({ locale, ...quantity }) => {
    const outcome = readQuantity({ ...quantity, decimal: locale === undefined ? 'auto' : decimalOf(locale) });
    if (!outcome.ok) throw new ProblemError(outcome.problem);
    return outcome.value;
  });
  route(computeApi.computeBody, (input) => pool.run('body', input));
  route(computeApi.computeTypical, typical);
  route(computeApi.computeFit, (input) => pool.run('fit', input));
  route(computeApi.computeFlow, ({ glass, question }): AnswerOf<typeof computeApi.computeFlow> => {
    const { value, unit } = askFlow(glass, question);
    return { value: Number.isFinite(value) ? value : null, unit };
  });
  route(computeApi.computeRelease, ({ glass, material, expansion_perK, size_m, kind }) =>
    release(glass, material ? MOULD_MATERIALS[material].expansion_perK : (expansion_perK ?? 0), size_m, kind),
  );
  route(computeApi.computePolariser, (input) => ({
    retardation_nm:
      input.view === 'through'
        ? [lookedThrough(input.glass, input.layers)]
        : edgeOn(input.glass, input.residual, input.path_m).map(({ retardation_nm }) => retardation_nm),
  }));
  route(computeApi.computeKilnFit, (input) => pool.run('kilnFit', input));
  route(computeApi.computeSpreadFit, (input) => pool.run('spreadFit', input));
  route(computeApi.computeCorrections, (input) => pool.run('corrections', input));
  route(computeApi.computeSimulate, (input) => pool.run('simulate', input));
  route(computeApi.computeCompose, async (firing): Promise<ComposeAnswer> => {
    const { segments, evaluation, evaluations, converged, school, remarks } = await pool.run('compose', firing);
    return {
      segments: segments.map((segment, index) => {
        const reading = tightest(evaluation.readings, index);
        return { ...segment, why: whyOf({ ...firing, school }, segment), limitedBy: reading?.limit ?? null, margin: reading ? marginOf(reading) : null };
      }),
      total_s: evaluation.simulation.total_s,
      verdict: verdictOf(firing, evaluation, 'C'),
      readings: evaluation.readings,
      evaluations,
      converged,
      school,
      remarks,
    };
  });
  route(computeApi.computeCheck, async ({ segments, ...firing }): Promise<CheckAnswer> => {
    const evaluation = await pool.run('evaluate', { firing, segments });
    const broken = brokenOf(evaluation.readings).map((reading) => ({ ...reading, message: brokenSentence(reading, 'C', firing.look) }));
    return {
      ok: broken.length === 0 && evaluation.simulation.stalled === null,
      broken,
      readings: evaluation.readings,
      verdict: verdictOf(firing, evaluation, 'C'),
      total_s: evaluation.simulation.total_s,
    };
  });

  const openApi = openApiDocument(version);
  app.get('/api/openapi.json', (_request, response) => {
    response.json(openApi);
  });
  app.use('/api', (request, response) => {
    response.status(404).json({ code: 'unknown-path', path: request.originalUrl, message: `There is no ${request.method} ${request.originalUrl}.` });
  });
  if (webDir) serveWeb(app, webDir);
  app.use(answerErrors(log));
  return app;
}

function parsed<E extends Endpoint>(endpoint: E, request: Request): Parsed<E> {
  if (!endpoint.request) return undefined as Parsed<E>;
  const outcome = endpoint.request.safeParse(request.body);
  if (!outcome.success) throw new BadRequest(problemOf(outcome.error));
  return outcome.data as Parsed<E>;
}
