import type { Evaluation, PurposefulSegment } from '@torvin/core';
import { api } from '@torvin/schema';
import { evidence, firingsInKiln, lastFired } from '../../store/bench';
import { deleteFiring, findFiring, listFirings, recordFiring, restoreFiring, saveFiring } from '../../store/firings';
import { loadsAhead, saveLoad } from '../../store/loads';
import { findSchedule } from '../../store/schedules';
import type { Works } from '../route';

/** Firings, the loads that they are in, and what the kilns' firings have taught. */
export function firingRoutes({ route, db, pool, now }: Works): void {
  /** The engine's word on what really ran, where that differs from what was planned. */
  async function evaluationOf(scheduleId: string, asFired: PurposefulSegment[] | null): Promise<Evaluation | null> {
    if (asFired === null) return null;
    return pool.run('evaluate', { firing: findSchedule(db, scheduleId).snapshot.firing, segments: asFired });
  }

  route(api.firings, (_, _id, query) => listFirings(db, query));
  route(api.firing, (_, id) => findFiring(db, id));
  route(api.recordFiring, async (firing) => recordFiring(db, firing, await evaluationOf(firing.scheduleId, firing.asFired), now()));
  route(api.saveFiring, async (change, id, _, sent) =>
    saveFiring(db, id, change, await evaluationOf(findFiring(db, id).firing.scheduleId, change.asFired), sent),
  );
  route(api.deleteFiring, ({ version: based }, id) => deleteFiring(db, id, based, now()));
  route(api.restoreFiring, (_, id) => restoreFiring(db, id));
  route(api.loads, () => loadsAhead(db));
  route(api.saveLoad, (change, id, _, sent) => saveLoad(db, id, change, sent));
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
}
