import { ImportQuerySchema, api } from '@torvin/schema';
import express from 'express';
import { usesOfMade } from '../../store/uses';
import { importPiece, pieceFile } from '../../store/pieceFiles';
import { createPiece, deletePiece, filePiece, findPiece, listPieces, redoPiece, restorePiece, savePiece, undoPiece } from '../../store/pieces';
import { addSchedule, alikeOnes, alreadySaved, caseFor, findSchedule, listVersions, nameSchedule } from '../../store/schedules';
import { forKiln, suggestedNow } from '../../store/forKiln';
import { readPieceFile } from '../pieceFileBody';
import { type Works, read } from '../route';

/** A piece of some years with a few hundred pictures. */
const FILE_LIMIT = '128mb';

/** Pieces, their undo and files, and the schedule versions of their firings. */
export function pieceRoutes({ app, route, db, pool, dataDir, now }: Works): void {
  route(api.madeUses, () => usesOfMade(db));
  route(api.pieces, (_, _id, query) => listPieces(db, query));
  route(api.piece, (_, id) => findPiece(db, id));
  route(api.createPiece, (piece) => createPiece(db, piece, now()));
  route(api.savePiece, (change, id, _, sent) => savePiece(db, id, change, sent));
  route(api.undoPiece, ({ version: based }, id) => undoPiece(db, id, based, now()));
  route(api.redoPiece, ({ version: based }, id) => redoPiece(db, id, based, now()));
  route(api.deletePiece, ({ version: based }, id) => deletePiece(db, id, based, now()));
  route(api.restorePiece, (_, id) => restorePiece(db, id));
  route(api.filePiece, (filing, id) => filePiece(db, id, filing));
  route(api.pieceFile, (_, id) => pieceFile(db, dataDir, id));
  app.post(api.importPiece.path, express.raw({ inflate: false, type: 'application/json', limit: FILE_LIMIT }), async (request, response) => {
    const { running } = read(ImportQuerySchema, request.query);
    response.json(await importPiece(db, dataDir, await readPieceFile(request.body), { now: now(), running }));
  });
  route(api.saveSchedule, async (wanted, pieceId) => {
    const repeated = alreadySaved(db, pieceId, wanted.id);
    if (repeated) return repeated;
    const snapshot = caseFor(db, pieceId, wanted);
    const result = await pool.run('evaluate', { firing: snapshot.firing, segments: wanted.segments });
    return addSchedule(db, pieceId, wanted, snapshot, result, now());
  });
  route(api.versions, (_, id) => listVersions(db, findPiece(db, id), now()));
  route(api.alike, (_, id) => alikeOnes(db, findSchedule(db, id)));
  route(api.forKiln, () => forKiln(db));
  route(api.suggestedLoads, () => suggestedNow(db));
  route(api.schedule, (_, id) => findSchedule(db, id));
  route(api.nameSchedule, ({ name }, id) => nameSchedule(db, id, name));
}
