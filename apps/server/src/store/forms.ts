/** What was fired in the studio's forms, how far their coats are used up, and which of them want another. */
import { hottestSegment } from '@torvin/core/heat';
import { amountsFor, dryingWords, stageTitle, standing } from '@torvin/core/making';
import { HOT_FROM_C, type Released, wearOf, wearWords } from '@torvin/core/release';
import type { Units } from '@torvin/core/units';
import type { Bench, Coated, FormUse, Shelves } from '@torvin/schema';
import { and, eq, inArray, isNotNull, isNull, or } from 'drizzle-orm';
import type { Database } from '../db/database';
import { firings, loads, schedules } from '../db/tables';
import { firedChanges, keptWhile } from './keptWhile';
import { allShelves } from './shelfRows';

interface Fired {
  at: number;
  hottest_C: number;
  released: Released | null;
}

/** By form, and by the shelf under one: when something stood in it, and how hot that was as it ran; what is only planned does not count. of: these forms alone. */
function firedIn(db: Database, of?: string[]): Map<string, Fired[]> {
  const rows = db
    .select({
      formId: schedules.formId,
      shelfId: schedules.shelfId,
      at: loads.at,
      work_C: schedules.work_C,
      asFired: firings.asFired,
      released: firings.released,
    })
    .from(schedules)
    .innerJoin(firings, eq(firings.scheduleId, schedules.id))
    .innerJoin(loads, eq(firings.loadId, loads.id))
    .where(
      and(
        ...[isNotNull(schedules.formId), isNull(firings.deletedAt), isNotNull(loads.startedAt)],
        of && or(inArray(schedules.formId, of), inArray(schedules.shelfId, of)),
      ),
    )
    .all();
  const fired = new Map<string, Fired[]>();
  for (const { formId, shelfId, at, work_C, asFired, released } of rows) {
    const one = { at, hottest_C: asFired ? asFired[hottestSegment(asFired)].target_C : work_C, released };
    for (const id of [formId, shelfId]) {
      if (id === null) continue;
      const own = fired.get(id);
      if (own) own.push(one);
      else fired.set(id, [one]);
    }
  }
  return fired;
}

const tallied = (fired: readonly Fired[]): FormUse['released'] => {
  const told = { fell: 0, tapped: 0, stuck: 0, broke: 0 };
  for (const { released } of fired) if (released !== null) told[released] += 1;
  return told;
};

function since({ coatedAt }: Coated, fired: readonly Fired[]): Omit<FormUse['coats'][number], 'id'> {
  const after = fired.filter(({ at }) => at >= coatedAt);
  const hot = after.filter(({ hottest_C }) => hottest_C >= HOT_FROM_C).length;
  const hottest_C = after.length > 0 ? Math.max(...after.map((one) => one.hottest_C)) : null;
  return { hot, cool: after.length - hot, hottest_C, released: tallied(after) };
}

export function usesOfForms(db: Database, shelves: Shelves = allShelves(db)): FormUse[] {
  return keptWhile(db, 'uses of forms', [firedChanges(db), shelves.forms, shelves.coated], () => usesNow(db, shelves));
}

function usesNow(db: Database, shelves: Shelves): FormUse[] {
  const fired = firedIn(db);
  return shelves.forms.map(({ id }) => {
    const own = fired.get(id) ?? [];
    return {
      released: tallied(own),
      ...{ id, fired: own.length, lastAt: own.length > 0 ? Math.max(...own.map(({ at }) => at)) : null },
      coats: shelves.coated.filter(({ formId }) => formId === id).map((coat) => ({ id: coat.id, ...since(coat, own) })),
    };
  });
}

/** The same one each time, so that what rests on it is kept. */
const NOTHING: never[] = [];

/** Of each place on each form that is in use the newest coat, where that wants another. */
export function toRecoat(db: Database, units: Units): Bench['recoat'] {
  const shelves = allShelves(db);
  if (shelves.coated.length === 0) return NOTHING;
  const told = usesOfForms(db, shelves);
  return keptWhile(db, 'recoat', [shelves, told, units.temperature, units.length, units.mass], () => recoatNow(shelves, told, units));
}

function recoatNow(shelves: Shelves, formUses: readonly FormUse[], units: Units): Bench['recoat'] {
  const uses = new Map(formUses.flatMap(({ coats }) => coats.map(({ id, ...told }) => [id, told] as const)));
  const newest = new Map<string, Coated>();
  // The newest first, as they stand on their shelf.
  for (const coat of shelves.coated.toReversed()) newest.set(`${coat.formId} ${coat.zone}`, coat);
  return [...newest.values()]
    .flatMap((coat) => {
      const form = shelves.forms.find(({ id }) => id === coat.formId && !shelves.archived.includes(id));
      const release = shelves.releases.find(({ id }) => id === coat.releaseId);
      const told = uses.get(coat.id);
      if (!form || !release || !told || wearOf(release, told, coat.scratched) !== 'recoat') return [];
      const { id: coatId, zone, releaseId } = coat;
      return [{ formId: form.id, formName: form.name, zone, coatId, releaseId, why: wearWords(release, told, coat.scratched, units) }];
    })
    .sort((a, b) => a.formName.localeCompare(b.formName));
}

/** Moulds in the making that are not done, what can be gone on with first. */
export function inTheMaking(db: Database, units: Units): Bench['making'] {
  const { makings, forms } = allShelves(db);
  if (makings.length === 0) return NOTHING;
  return keptWhile(db, 'making', [makings, forms, firedChanges(db), units.temperature, units.length, units.mass], () =>
    makingNow(db, { makings, forms }, units),
  );
}

function makingNow(db: Database, { makings, forms }: Pick<Shelves, 'makings' | 'forms'>, units: Units): Bench['making'] {
  const formIds = makings.map(({ formId }) => formId);
  const fired = keptWhile(db, 'fired in makings', [firedChanges(db), makings], () => firedIn(db, formIds));
  return makings
    .flatMap((making): Bench['making'] => {
      const form = forms.find(({ id }) => id === making.formId);
      if (!form) return [];
      const own = fired.get(form.id) ?? [];
      const firedAt = own.length > 0 ? Math.max(...own.map(({ at }) => at)) : null;
      const { next, from, drying } = standing(making, firedAt, amountsFor(making, form).dry_kg);
      if (next === null) return [];
      const { id, formId } = making;
      return [{ id, formId, formName: form.name, next, title: stageTitle(next, making), from, why: drying ? dryingWords(drying, units) : '' }];
    })
    .sort((a, b) => (a.from ?? 0) - (b.from ?? 0));
}
