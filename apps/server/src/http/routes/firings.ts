import type { Evaluation, PurposefulSegment } from '@torvin/core';
import type { Answered } from '@torvin/core/engine';
import { api } from '@torvin/schema';
import { type Evidence, evidence, firingsInKiln, waitingPieces } from '../../store/bench';
import { deleteFiring, findFiring, listFirings, recordFiring, restoreFiring, saveFiring } from '../../store/firings';
import { loadsAhead, saveLoad } from '../../store/loads';
import { countPieces } from '../../store/pieces';
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
  type Learned = Answered<'corrections'>;
  let lastLearned: { from: string; learned: Promise<Learned> } | null = null;

  /** Fitted anew where there is something new to learn from, and once however many look meanwhile. */
  function learnedFrom({ glass, seen, witnesses }: Evidence): Promise<Learned> {
    const from = JSON.stringify({ glass, seen, witnesses });
    if (lastLearned?.from !== from) {
      const learned = pool.run('corrections', { glass, seen, witnesses });
      lastLearned = { from, learned };
      learned.catch(() => (lastLearned = null));
    }
    return lastLearned.learned;
  }

  route(api.bench, async () => {
    const known = evidence(db);
    const learned = known && known.lessons.length > 0 ? await learnedFrom(known) : null;
    return {
      inKiln: firingsInKiln(db),
      ...waitingPieces(db),
      pieces: countPieces(db),
      learned: known &&
        learned && {
          ...{ kilnId: known.kilnId, kilnName: known.kilnName, familyName: known.familyName, firings: known.seen.length },
          ...learned.corrections,
          looks: learned.looks,
          ...{ offset_sd_K: learned.offset_sd_K, workFactor_sd_log: learned.workFactor_sd_log, separated: learned.separated, lessons: known.lessons },
        },
    };
  });
}
