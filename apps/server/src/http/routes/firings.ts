import type { PurposefulSegment } from '@torvin/core/kiln';
import type { Evaluation } from '@torvin/core/schedule';
import type { Answered } from '@torvin/core/engine';
import { CLOCK_HEADER, type Learned, api } from '@torvin/schema';
import type { Request } from 'express';
import { type Evidence, benchNow, evidence } from '../../store/bench';
import { deleteFiring, findFiring, listFirings, recordFiring, restoreFiring, saveFiring, scheduleIdOf } from '../../store/firings';
import { find } from '../../store/find';
import { inTheMaking, toRecoat, usesOfForms } from '../../store/forms';
import { addReadings, loadDetail, loadsShown, saveLoad } from '../../store/loads';
import { keyProgram, removeProgram, restoreProgram, standingPrograms } from '../../store/programs';
import { keptWhile } from '../../store/keptWhile';
import { keepReckoning, keptReckonings } from '../../store/reckonings';
import { findSchedule } from '../../store/schedules';
import { seenFirings } from '../../store/seen';
import { usedSetUp } from '../../store/used';
import { studioUnits } from '../../store/studio';
import { type Clocks, aheadOf } from '../../store/times';
import type { Works } from '../route';

/** Firings, the loads that they are in, and what the kilns' firings have taught. */
export function firingRoutes({ route, db, pool, now }: Works): void {
  /** The engine's word on what really ran, where that differs from what was planned. */
  async function evaluationOf(scheduleId: string, asFired: PurposefulSegment[] | null): Promise<Evaluation | null> {
    if (asFired === null) return null;
    return pool.run('evaluate', { firing: findSchedule(db, scheduleId).snapshot.firing, segments: asFired });
  }

  const clocks = (request: Request): Clocks => ({ now: now(), ahead_s: aheadOf(request.get(CLOCK_HEADER), now()) });
  /** What has been by the clock of the device has been: this one may be behind. */
  const latest = (request: Request): number => now() + 1000 * Math.max(clocks(request).ahead_s, 0);

  route(api.find, (_, _id, { text = '' }) => find(db, text));
  route(api.formUses, () => usesOfForms(db));
  route(api.firings, (_, _id, query) => listFirings(db, query));
  route(api.firing, (_, id) => findFiring(db, id));
  route(api.recordFiring, async (firing, _id, _query, _sent, { request }) =>
    recordFiring(db, firing, await evaluationOf(firing.scheduleId, firing.asFired), { ...clocks(request), now: latest(request) }),
  );
  route(api.saveFiring, async (change, id, _, sent, { request }) =>
    saveFiring(db, id, change, await evaluationOf(scheduleIdOf(db, id), change.asFired), { ...sent, ...clocks(request), at: latest(request) }),
  );
  route(api.deleteFiring, ({ version: based }, id) => deleteFiring(db, id, based, now()));
  route(api.restoreFiring, (_, id) => restoreFiring(db, id, now()));
  route(api.programs, (_, _id, { schedule }) => standingPrograms(db, schedule));
  route(api.keyProgram, (program, _id, _query, _sent, { request }) => keyProgram(db, program, clocks(request)));
  route(api.removeProgram, (_, id) => removeProgram(db, id, now()));
  route(api.restoreProgram, (_, id) => restoreProgram(db, id));
  route(api.reckonings, () => keptReckonings(db));
  route(api.keepReckoning, (reckoning) => keepReckoning(db, reckoning));
  route(api.loads, () => loadsShown(db));
  route(api.load, (_, id) => loadDetail(db, id));
  route(api.addReadings, (read, id, _query, _sent, { request }) => addReadings(db, id, read, latest(request)));
  route(api.saveLoad, (change, id, _, sent, { request }) => saveLoad(db, id, change, { ...sent, at: latest(request) }));
  /** By the kiln: what was fitted last, and from what. */
  const fitted = new Map<string, { of: Evidence; from: string; learned: Promise<Answered<'corrections'>> }>();

  /** Fitted anew where there is something new to learn from, and once however many look meanwhile. */
  function fittedFrom(of: Evidence): Promise<Answered<'corrections'>> {
    const { kilnId, glass, seen, witnesses } = of;
    const last = fitted.get(kilnId);
    if (last?.of === of) return last.learned;
    const from = JSON.stringify({ glass, seen, witnesses });
    if (last?.from === from) {
      fitted.set(kilnId, { ...last, of });
      return last.learned;
    }
    const learned = pool.run('corrections', { glass, seen, witnesses });
    fitted.set(kilnId, { of, from, learned });
    learned.catch(() => fitted.delete(kilnId));
    return learned;
  }

  async function learnedOf(kilnId?: string): Promise<Learned | null> {
    const known = evidence(db, kilnId);
    if (known === null || known.lessons.length === 0) return null;
    const fit = await fittedFrom(known);
    const { corrections, looks, offset_sd_K, workFactor_sd_log, separated } = fit;
    return keptWhile(db, `learned ${kilnId ?? ''}`, [known, fit], () => ({
      ...{ kilnId: known.kilnId, kilnName: known.kilnName, familyName: known.familyName, firings: known.seen.length },
      ...{ offset_K: corrections.offset_K, workFactor: corrections.workFactor, looks, offset_sd_K, workFactor_sd_log, separated, lessons: known.lessons },
      drift: fit.drift,
    }));
  }

  route(api.seen, (_, _id, query) => seenFirings(db, query));
  route(api.used, (_, _id, query) => usedSetUp(db, query));
  route(api.learned, (_, _id, { kiln }) => learnedOf(kiln === '' ? undefined : kiln));
  route(api.bench, async () => {
    const units = studioUnits(db);
    return benchNow(db, { learned: await learnedOf(), recoat: toRecoat(db, units), making: inTheMaking(db, units) });
  });
}
