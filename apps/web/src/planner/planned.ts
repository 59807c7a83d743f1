/** What a planned firing comes to while its choices are open: how it would come out of the kiln, its schedule, and what can be instead where it cannot. */
import { type Look, RECIPES, LOOK_NAMES } from '@torvin/core/look';
import {
  LIKELY_SHOWN,
  applySteps,
  bodyProfile,
  drawnBody,
  likelyLooks,
  namedGlasses,
  serves,
  setUpsFor,
  snapshotOf,
  wasShapedBefore,
} from '@torvin/core/piece';
import type { Problem } from '@torvin/core/problem';
import { type SeenFiring, SETUP_NAMES, estimatedTop_C } from '@torvin/core/schedule';
import type { Units } from '@torvin/core/units';
import type { Piece, PieceDoc, Shelves, Step } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { useSeen } from '@/data/bench';
import { computedQuery, useComputed } from '@/engine/useComputed';
import type { LikelyLook } from './LookChoice';
import { type Fault, type FiredBefore, type StepEntry, entryOfStep, formOf, stepOf, whyImpossible } from './stepEntry';
import { withFiring } from './usePlanFiring';
import { INSTEAD } from './words';

/** All that a plan goes by beside what is chosen. */
export interface Planning extends FiredBefore {
  /** The piece, and up to this firing. */
  doc: PieceDoc;
  before: PieceDoc;
  /** The firing to change; null for a new one, which comes at its place, or last. */
  step: Step | null;
  place?: number;
  shelves: Shelves;
  units: Units;
}

const entryFor = ({ before, step, shelves, units, fired, used }: Planning, touched: Partial<StepEntry>): StepEntry =>
  entryOfStep(before, step, shelves, units, touched, { fired, used });

function firingFor({ doc, place, shelves }: Planning, step: Step, seen: readonly SeenFiring[] = []) {
  const edited = withFiring(doc, step, place);
  const snapshot = edited.ok ? snapshotOf(edited.value.doc, step, { ...shelves, seen }) : null;
  return snapshot?.ok ? snapshot.value.firing : null;
}

/** The likeliest kinds, the chosen one among them, each with the piece after it and about how hot it goes. */
export function likelyFor(planning: Planning, touched: Partial<StepEntry>, chosen: Look, fired: Piece['fired']): LikelyLook[] {
  const { before, step, units, shelves } = planning;
  const likely = likelyLooks(before, fired);
  const shown = likely.includes(chosen) ? likely : [chosen, ...likely].slice(0, LIKELY_SHOWN);
  const { look: _chosen, ...others } = touched;
  return shown.map((look) => {
    const meant = stepOf(entryFor(planning, { ...others, look }), step, units, shelves).step;
    const firing = meant && firingFor(planning, meant);
    if (!meant || !firing || RECIPES[look].empty) return { look, drawn: null, top_C: firing ? estimatedTop_C(firing) : null };
    const after = applySteps({ ...before, journey: [...before.journey, meant] }, namedGlasses(shelves)).at(-1);
    return { look, drawn: after && !after.problem ? drawnBody(bodyProfile(after.body), shelves) : null, top_C: estimatedTop_C(firing) };
  });
}

/** Choices rest so long before their schedule is asked for, ms. */
const REST_MS = 250;

export interface Preview {
  /** How long it takes, s; of the choices before while those now are being worked out. */
  total_s: number | null;
  stale: boolean;
  /** Why it cannot be, once that is known. */
  problem: Problem | null;
}

/** The schedule of the choices as they are now, which is the one that is saved in the end. meant: null while something is missing. */
export function usePreview(planning: Planning, meant: Step | null, isPossible: boolean): Preview {
  const seen = useSeen(meant);
  const { units } = planning;
  const asking = useMemo(() => {
    const firing = meant && isPossible ? firingFor(planning, meant, seen) : null;
    return firing && { ...firing, units };
    // A change of the answer alone is no other question.
    // eslint-disable-next-line react-hooks/exhaustive-deps -- The parts of planning, which is made anew each time
  }, [planning.doc, planning.place, planning.shelves, units, meant, isPossible, seen]);
  const [asked, setAsked] = useState<typeof asking>(null);
  const { value, stale, problem } = useComputed('compose', asked);
  // While one is worked out the next waits, so that no queue of them builds up.
  const isBusy = asked !== null && (stale || (!value && !problem));
  useEffect(() => {
    if (isBusy || asked === asking) return;
    const timer = setTimeout(() => setAsked(asking), REST_MS);
    return () => clearTimeout(timer);
  }, [asking, asked, isBusy]);
  const isOld = asking !== null && (stale || asked !== asking);
  return { total_s: value && asking ? value.total_s : null, stale: isOld, problem: isOld || !asking ? null : problem };
}

/** Something else that can be, by changing one choice. */
export interface Nearest {
  title: string;
  change: Partial<StepEntry>;
  total_s: number;
}

interface Candidate {
  title: string;
  change: Partial<StepEntry>;
}

/** One choice changed at a time: first what the trouble is at. */
export function candidatesFor(planning: Planning, entry: StepEntry, field: Fault['field']): Candidate[] {
  const { before, step, shelves, fired } = planning;
  const there = <T extends { id: string }>(records: readonly T[], but: string | null): T[] =>
    records.filter(({ id }) => id !== but && !shelves.archived.includes(id));
  const form = formOf(entry, step, shelves);
  const kilns = there(shelves.kilns, entry.kilnId).map(({ id, name }): Candidate => ({ title: INSTEAD.kiln(name), change: { kilnId: id } }));
  const forms = there(shelves.forms, entry.formId)
    .filter((one) => RECIPES[entry.look].asks && serves(one, entry.look))
    .map(({ id, name }): Candidate => ({ title: INSTEAD.form(name), change: { formId: id } }));
  const setUps = setUpsFor(entry.look, form, wasShapedBefore(before, before.journey.length))
    .filter((setup) => setup !== entry.setup)
    .map((setup): Candidate => ({ title: SETUP_NAMES[setup], change: { setup } }));
  const looks = likelyLooks(before, fired)
    .filter((look) => look !== entry.look)
    .map((look): Candidate => ({ title: LOOK_NAMES[look], change: { look } }));
  return field === 'kiln' ? [...kilns, ...setUps, ...looks] : [...forms, ...setUps, ...kilns, ...looks];
}

/** What is looked through at most, each by its schedule. */
const TRIED_AT_MOST = 12;

/** The nearest plan that can be; null while it is looked for, or where there is none, or nothing is wrong. */
export function useNearest(planning: Planning, touched: Partial<StepEntry>, entry: StepEntry, wrong: { field: Fault['field'] } | null): Nearest | null {
  const client = useQueryClient();
  const [nearest, setNearest] = useState<{ of: StepEntry; found: Nearest } | null>(null);
  const field = wrong?.field ?? null;
  useEffect(() => {
    if (field === null) return;
    let isLeft = false;
    const look = async (): Promise<void> => {
      const { before, step, shelves, units } = planning;
      for (const { title, change } of candidatesFor(planning, entry, field).slice(0, TRIED_AT_MOST)) {
        const meant = stepOf(entryFor(planning, { ...touched, ...change }), step, units, shelves).step;
        if (!meant || whyImpossible(before, meant, shelves, units.length)) continue;
        const firing = firingFor(planning, meant);
        const composed = firing && (await client.fetchQuery(computedQuery('compose', { ...firing, units })).catch(() => null));
        if (isLeft) return;
        if (composed?.ok) return setNearest({ of: entry, found: { title, change, total_s: composed.value.total_s } });
      }
    };
    void look();
    return () => {
      isLeft = true;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- What is chosen and what is wrong with it
  }, [entry, field]);
  return wrong && nearest?.of === entry ? nearest.found : null;
}
