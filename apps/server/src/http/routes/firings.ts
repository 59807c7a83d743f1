import type { PurposefulSegment } from '@torvin/core/kiln';
import type { Evaluation } from '@torvin/core/schedule';
import type { Answered } from '@torvin/core/engine';
import { CLOCK_HEADER, type Learned, api } from '@torvin/schema';
import type { Request } from 'express';
import { benchNow } from '../../store/bench';
import { type Evidence, evidence, learnedFrom, planBy, taughtKiln } from '../../store/learnt';
import { deleteFiring, findFiring, listFirings, recordFiring, restoreFiring, saveFiring, scheduleIdOf } from '../../store/firings';
import { find } from '../../store/find';
import { inTheMaking, toRecoat, usesOfForms } from '../../store/forms';
import { addReadings, loadDetail, loadsShown, saveLoad } from '../../store/loads';
import { keyProgram, removeProgram, restoreProgram, standingPrograms } from '../../store/programs';
import { keptWhile } from '../../store/keptWhile';
import { keepReckoning, keptReckonings } from '../../store/reckonings';
import { findSchedule } from '../../store/schedules';
import { nearestFirings } from '../../store/nearest';
import { seenFirings } from '../../store/seen';
import { usedSetUp } from '../../store/used';
import { readStudio, studioUnits } from '../../store/studio';
import { type Clocks, aheadOf } from '../../store/times';
import type { Works } from '../route';

/** Firings, the loads that they are in, and what the kilns' firings have taught. */
export function firingRoutes({ route, publish, db, pool, now }: Works): void {
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
  route(api.nearest, (_, id) => nearestFirings(db, id));
  route(api.recordFiring, async (firing, _id, _query, _sent, { request }) => {
    const evaluated = await evaluationOf(firing.scheduleId, firing.asFired);
    const recorded = recordFiring(db, firing, evaluated, { ...clocks(request), now: latest(request) });
    await planByLearnt(recorded.scheduleId);
    return recorded;
  });
  route(api.saveFiring, async (change, id, _, sent, { request }) => {
    const evaluated = await evaluationOf(scheduleIdOf(db, id), change.asFired);
    const saved = saveFiring(db, id, change, evaluated, { ...sent, ...clocks(request), at: latest(request) });
    await planByLearnt(saved.schedule.id);
    return saved;
  });
  route(api.deleteFiring, async ({ version: based }, id) => {
    const done = deleteFiring(db, id, based, now());
    await planByLearnt(scheduleIdOf(db, id), true);
    return done;
  });
  route(api.restoreFiring, async (_, id) => {
    const restored = restoreFiring(db, id, now());
    await planByLearnt(restored.scheduleId);
    return restored;
  });
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
    return keptWhile(db, `learned ${kilnId ?? ''}`, [known, fit], () => learnedFrom(known, fit));
  }

  /** With what each firing weighs in it, which takes as many fits as there are firings. */
  async function weighedOf(kilnId?: string): Promise<Learned | null> {
    const known = evidence(db, kilnId);
    if (known === null || known.lessons.length === 0) return null;
    const { glass, seen, witnesses } = known;
    return learnedFrom(known, await pool.run('corrections', { glass, seen, witnesses, weigh: true }));
  }

  /** Where the studio has it so: plans go by what was learnt as soon as a result is there. A result is kept whether that comes about or not. */
  async function planByLearnt(scheduleId: string, deleted = false): Promise<void> {
    if (readStudio(db).learning !== 'atOnce') return;
    const kilnId = taughtKiln(db, scheduleId);
    if (kilnId === null) return;
    const learned = await learnedOf(kilnId).catch(() => undefined);
    // The last firing that taught is gone, and what it taught with it.
    const told = learned === null && deleted ? { kilnId, offset_K: 0, workFactor: 1, looks: [] } : learned;
    if (told && planBy(db, told, now())) publish({ topic: 'shelves', id: kilnId });
  }

  route(api.seen, (_, _id, query) => seenFirings(db, query));
  route(api.used, (_, _id, query) => usedSetUp(db, query));
  route(api.learned, (_, _id, { kiln, weighed }) => (weighed === 'yes' ? weighedOf : learnedOf)(kiln === '' ? undefined : kiln));
  route(api.bench, async () => {
    const units = studioUnits(db);
    return benchNow(db, { learned: await learnedOf(), recoat: toRecoat(db, units), making: inTheMaking(db, units) });
  });
}
