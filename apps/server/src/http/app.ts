/** The HTTP application: each route of the endpoint table parses, calls one function and sends. */
import {
  type Evaluation,
  MOULD_MATERIALS,
  ProblemError,
  type PurposefulSegment,
  askFlow,
  brokenOf,
  METRIC,
  brokenSentence,
  edgeOn,
  impossibleFiring,
  lookedThrough,
  marginOf,
  readQuantity,
  release,
  tightest,
  verdictOf,
  whyOf,
} from '@torvin/core';
import { type AnswerOf, type Endpoint, KIND_LIST, type KindName, api, problemOf, recordApi } from '@torvin/schema';
import { type CheckAnswer, type ComposeAnswer, computeApi, decimalOf, openApiDocument } from '@torvin/schema/server';
import express, { type Express, type Request } from 'express';
import type { Logger } from 'pino';
import type { z } from 'zod';
import type { ComputePool } from '../compute/pool';
import type { Opened } from '../db/open';
import { evidence, firingsInKiln, lastFired } from '../store/bench';
import { loadsAhead, saveLoad } from '../store/loads';
import { deleteFiring, findFiring, listFirings, recordFiring, restoreFiring, saveFiring } from '../store/firings';
import { createPiece, deletePiece, findPiece, listPieces, redoPiece, restorePiece, savePiece, undoPiece } from '../store/pieces';
import { eraseAside, photosAside } from '../store/photoFiles';
import { addPhoto, photoFile } from '../store/photos';
import { importPiece, pieceFile } from '../store/pieceFiles';
import type { Sent } from '../store/receipts';
import { addSchedule, alreadySaved, caseFor, findSchedule, listVersions, nameSchedule } from '../store/schedules';
import { allShelves, archiveRecord, findRecord, listRecords, removeRecord, restoreRecord, saveRecord } from '../store/records';
import { readStudio, saveStudio } from '../store/studio';
import { BadRequest, answerErrors } from './errors';
import { guard, picturesOnly } from './guard';
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
  /** The address it listens on, and further names that it is known by. */
  host?: string;
  names?: readonly string[];
  now?: () => number;
}

const BODY_LIMIT = '256kb';
/** A piece of some years with a few hundred pictures. */
const FILE_LIMIT = '128mb';
const PHOTO_LIMIT = '32mb';
const A_YEAR_S = 31536000;

type Parsed<E extends Endpoint> = E['request'] extends z.ZodType ? z.output<E['request']> : undefined;
type Query<E extends Endpoint> = E['query'] extends z.ZodType ? z.output<E['query']> : undefined;

export function createApp({ opened, pool, dataDir, version, log, webDir, host = '127.0.0.1', names = [], now = Date.now }: AppParts): Express {
  const { db } = opened;
  const app = express();
  app.disable('x-powered-by');
  guard(app, { host, names });
  app.use(api.importPiece.path, express.json({ limit: FILE_LIMIT }));
  const json = express.json({ limit: BODY_LIMIT });
  app.use((request, response, next) => (request.path === '/api/photos' ? next() : json(request, response, next)));

  function route<E extends Endpoint>(
    endpoint: E,
    handle: (body: Parsed<E>, id: string, query: Query<E>, sent: Sent) => AnswerOf<E> | Promise<AnswerOf<E>>,
  ): void {
    app[endpoint.method](endpoint.path, async (request, response) => {
      const query = (endpoint.query ? read(endpoint.query, request.query) : undefined) as Query<E>;
      const sent = { key: keyOf(request), at: now() };
      response.json(await handle(parsed(endpoint, request), String(request.params.id ?? ''), query, sent));
    });
  }

  function routeRecords<K extends KindName>(kind: K): void {
    const { list, one, save, archive, remove, restore } = recordApi[kind] as (typeof recordApi)['families'];
    const of = kind as 'families';
    route(list, () => listRecords(db, of));
    route(one, (_, id) => findRecord(db, of, id));
    route(save, (record, id, _, sent) => saveRecord(db, of, id, record, sent));
    route(archive, ({ archived }, id) => archiveRecord(db, kind, id, archived));
    route(remove, ({ version: based }, id) => removeRecord(db, kind, id, based, now()));
    route(restore, (_, id) => restoreRecord(db, of, id));
  }

  /** The engine's word on what really ran, where that differs from what was planned. */
  async function evaluationOf(scheduleId: string, asFired: PurposefulSegment[] | null): Promise<Evaluation | null> {
    if (asFired === null) return null;
    return pool.run('evaluate', { firing: findSchedule(db, scheduleId).snapshot.firing, segments: asFired });
  }

  route(api.health, (): AnswerOf<typeof api.health> => ({ ok: true, version, dataDir, schema: opened.schema }));
  route(api.studio, () => readStudio(db));
  route(api.saveStudio, (settings) => saveStudio(db, settings));
  route(api.shelves, () => allShelves(db));
  KIND_LIST.forEach(routeRecords);
  route(api.pieces, () => listPieces(db));
  route(api.piece, (_, id) => findPiece(db, id));
  route(api.createPiece, (piece) => createPiece(db, piece, now()));
  route(api.savePiece, (change, id, _, sent) => savePiece(db, id, change, sent));
  route(api.undoPiece, ({ version: based }, id) => undoPiece(db, id, based, now()));
  route(api.redoPiece, ({ version: based }, id) => redoPiece(db, id, based, now()));
  route(api.deletePiece, ({ version: based }, id) => deletePiece(db, id, based, now()));
  route(api.restorePiece, (_, id) => restorePiece(db, id));
  route(api.pieceFile, (_, id) => pieceFile(db, dataDir, id));
  route(api.importPiece, (file) => importPiece(db, dataDir, file, now()));
  route(api.saveSchedule, async (wanted, pieceId) => {
    const repeated = alreadySaved(db, pieceId, wanted.id);
    if (repeated) return repeated;
    const snapshot = caseFor(db, pieceId, wanted);
    const result = await pool.run('evaluate', { firing: snapshot.firing, segments: wanted.segments });
    return addSchedule(db, pieceId, wanted, snapshot, result, now());
  });
  route(api.versions, (_, id) => listVersions(db, findPiece(db, id), now()));
  route(api.schedule, (_, id) => findSchedule(db, id));
  route(api.nameSchedule, ({ name }, id) => nameSchedule(db, id, name));
  route(api.firings, (_, _id, query) => listFirings(db, query));
  route(api.firing, (_, id) => findFiring(db, id));
  // Photos come and go as bytes, so they are no endpoints of the table.
  app.post('/api/photos', picturesOnly, express.raw({ type: 'image/*', limit: PHOTO_LIMIT }), async (request, response) => {
    response.json(await addPhoto(db, dataDir, request.body, now()));
  });
  app.get('/api/photos/:hash', (request, response) => {
    const file = photoFile(db, dataDir, request.params.hash, request.query.size === 'small' ? 'small' : 'large');
    response.set('Cache-Control', `private, max-age=${A_YEAR_S}, immutable`).type('jpeg').sendFile(file);
  });
  route(api.aside, () => photosAside(dataDir));
  route(api.eraseAside, () => eraseAside(dataDir));
  route(api.bench, async () => {
    const known = evidence(db);
    const learned = known && known.seen.length > 0 ? await pool.run('corrections', { glass: known.glass, seen: known.seen }) : null;
    return {
      inKiln: firingsInKiln(db),
      fired: lastFired(db),
      learned: known &&
        learned && { kilnName: known.kilnName, familyName: known.familyName, firings: known.seen.length, ...learned.corrections, separated: learned.separated },
    };
  });
  route(api.loads, () => loadsAhead(db));
  route(api.saveLoad, (change, id, _, sent) => saveLoad(db, id, change, sent));
  route(api.recordFiring, async (firing) => recordFiring(db, firing, await evaluationOf(firing.scheduleId, firing.asFired), now()));
  route(api.saveFiring, async (change, id, _, sent) =>
    saveFiring(db, id, change, await evaluationOf(findFiring(db, id).firing.scheduleId, change.asFired), sent),
  );
  route(api.deleteFiring, ({ version: based }, id) => deleteFiring(db, id, based, now()));
  route(api.restoreFiring, (_, id) => restoreFiring(db, id));
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
        return {
          ...segment,
          why: whyOf({ ...firing, school }, segment, METRIC.length),
          limitedBy: reading?.limit ?? null,
          margin: reading ? marginOf(reading) : null,
        };
      }),
      total_s: evaluation.simulation.total_s,
      verdict: verdictOf(firing, evaluation, METRIC),
      readings: evaluation.readings,
      evaluations,
      converged,
      school,
      remarks,
    };
  });
  route(computeApi.computeCheck, async ({ segments, ...firing }): Promise<CheckAnswer> => {
    const impossible = impossibleFiring(firing, METRIC.length);
    if (impossible) throw new ProblemError(impossible);
    const evaluation = await pool.run('evaluate', { firing, segments });
    const broken = brokenOf(evaluation.readings).map((reading) => ({ ...reading, message: brokenSentence(reading, METRIC, firing.look) }));
    return {
      ok: broken.length === 0 && evaluation.simulation.stalled === null,
      broken,
      readings: evaluation.readings,
      verdict: verdictOf(firing, evaluation, METRIC),
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
  return (endpoint.request ? read(endpoint.request, request.body ?? {}) : undefined) as Parsed<E>;
}

/** The key of a save that may come again; the standard's header for that. */
function keyOf(request: Request): string | undefined {
  const key = request.get('Idempotency-Key');
  if (key === undefined || KEY.test(key)) return key;
  throw new BadRequest({
    code: 'unreadable-key',
    path: 'Idempotency-Key',
    message: 'The key of a save has 8 to 100 letters, digits and hyphens, such as a uuid.',
  });
}

const KEY = /^[\w-]{8,100}$/;

function read(schema: z.ZodType, input: unknown): unknown {
  const outcome = schema.safeParse(input);
  if (!outcome.success) throw new BadRequest(problemOf(outcome.error));
  return outcome.data;
}
