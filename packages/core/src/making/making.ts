/**
 * How a mould comes to be, from its model to the glass that is taken out of it: which steps that takes, how long each is left alone, and
 * which is next. Waits are typical, for a warm room; the maker's sheet of what is used stands above them. Times: ms, UTC; waits: s.
 */
import type { FormShape } from '../form/shape';
import { type Drying, type Weighing, drying } from './drying';

export const MAKING_WAYS = ['investment', 'clay', 'castable', 'metal'] as const;
export type MakingWay = (typeof MAKING_WAYS)[number];
/** What it is taken of: of wax, which is melted out; of foam, which is pulled or burnt out; firm, which is lifted out. */
export const MODELS = ['wax', 'foam', 'firm'] as const;
export type Model = (typeof MODELS)[number];
/** A flexible mould that is taken of the model first, to cast the wax in. */
export const FLEXIBLES = ['none', 'alginate', 'rubber'] as const;
export type Flexible = (typeof FLEXIBLES)[number];

export const STAGES = [
  ...['model', 'alginate', 'rubber', 'shell', 'wax', 'invest', 'clear', 'press', 'lift', 'pour', 'strip', 'dry', 'burnOut', 'bisque', 'bake'],
  ...['cast', 'divest', 'degrease', 'descale', 'firstCoat'],
] as const;
export type StageName = (typeof STAGES)[number];

/** One step as it was told. mass_kg: of wax, or of the mould on the scales. */
export interface StageTold {
  stage: StageName;
  at: number;
  mass_kg?: number;
}

export interface Making {
  way: MakingWay;
  model: Model;
  flexible: Flexible;
  /** Coats of rubber that are brushed on. */
  rubberCoats: number;
  /** How thick the wax is, where it is a shell; solid where left out. */
  waxWall_m?: number;
  /** Of the investment, by mass. */
  plasterShare: number;
  silicaShare: number;
  waterShare: number;
  told: readonly StageTold[];
}

const MINUTE_S = 60;
const HOUR_S = 3600;
const DAY_S = 24 * HOUR_S;
/** Between two coats of rubber, while the last one is still tacky. */
const TACKY_S = HOUR_S;
/** Between two weighings that tell something. */
export const WEIGHED_EACH_S = DAY_S;

/** How long what was done is left alone before the next. */
const WAITS_S: Record<StageName, number> = {
  ...{ model: 0, alginate: 10 * MINUTE_S, rubber: DAY_S, shell: HOUR_S, wax: 2 * HOUR_S, invest: 2 * HOUR_S, clear: 0 },
  ...{ press: DAY_S, lift: 0, pour: DAY_S, strip: 0, dry: 0, burnOut: 0, bisque: 0, bake: 0 },
  ...{ cast: 0, divest: 0, degrease: 0, descale: 0, firstCoat: 0 },
};

/** What is in the investment, to be taken out of it: wax wherever a flexible mould gives the model. */
export const standsIn = ({ model, flexible }: Pick<Making, 'model' | 'flexible'>): Model => (flexible === 'none' ? model : 'wax');

/** Its steps, in their order. */
export function stagesOf(making: Making): StageName[] {
  const { way, flexible } = making;
  switch (way) {
    case 'investment':
      return [
        'model',
        ...(flexible === 'alginate' ? (['alginate', 'wax'] as const) : flexible === 'rubber' ? (['rubber', 'shell', 'wax'] as const) : []),
        ...(['invest', 'clear', 'dry', 'burnOut', 'cast', 'divest'] as const),
      ];
    case 'clay':
      return ['model', 'press', 'lift', 'dry', 'bisque'];
    case 'castable':
      return ['model', 'pour', 'strip', 'dry', 'bake'];
    case 'metal':
      return ['degrease', 'descale', 'firstCoat'];
  }
}

export interface Standing {
  /** Each step with when it was last told; null where it was not. */
  stages: { stage: StageName; at: number | null }[];
  /** What comes next; null once all is done. */
  next: StageName | null;
  /** From when on; null where nothing has to be waited for. */
  from: number | null;
  /** Coats of rubber that are on, where they are being brushed on. */
  coatsOn: number;
  /** While it dries: by its weighings; null before and after. */
  drying: Drying | null;
}

/** firedAt: when glass was last fired in it; null where it never was. dry_kg: what it weighs dry; null where nobody can tell. */
export function standing(making: Making, firedAt: number | null, dry_kg: number | null): Standing {
  const { told, rubberCoats } = making;
  const lastOf = (stage: StageName): StageTold | undefined => told.findLast((one) => one.stage === stage);
  const order = stagesOf(making);
  const weighings: Weighing[] = told.flatMap(({ stage, at, mass_kg }) => (stage === 'dry' && mass_kg !== undefined ? [{ at, mass_kg }] : []));
  const dries = drying(weighings, dry_kg);
  const coatsOn = told.filter(({ stage }) => stage === 'rubber').length;
  const readyToCast = Math.max(0, ...told.filter(({ stage }) => stage !== 'divest').map(({ at }) => at));
  const isDone = (stage: StageName): boolean => {
    if (stage === 'rubber') return coatsOn >= rubberCoats;
    if (stage === 'dry') return dries.isDry;
    if (stage === 'cast') return lastOf('cast') !== undefined || (firedAt !== null && firedAt >= readyToCast && lastOf('invest') !== undefined);
    return lastOf(stage) !== undefined;
  };
  // What comes later was not done before what comes earlier: a step that was skipped is none that waits.
  const furthest = order.findLastIndex(isDone);
  const next = order.find((stage, i) => i >= furthest && !isDone(stage)) ?? null;
  const last = told.at(-1);
  const wait_s = last === undefined ? 0 : last.stage === 'dry' ? WEIGHED_EACH_S : last.stage === 'rubber' && next === 'rubber' ? TACKY_S : WAITS_S[last.stage];
  const isWaiting = last !== undefined && wait_s > 0 && !(last.stage === 'dry' && next !== 'dry');
  return {
    stages: order.map((stage) => ({
      stage,
      at: stage === 'cast' && isDone(stage) ? (lastOf('cast')?.at ?? firedAt) : isDone(stage) || stage === 'dry' ? (lastOf(stage)?.at ?? null) : null,
    })),
    next,
    from: next !== null && isWaiting ? last.at + 1000 * wait_s : null,
    coatsOn,
    drying: next === 'dry' ? dries : null,
  };
}

/** Why it cannot be made so; null where it can. */
export function makingProblem({ way, model, flexible }: Pick<Making, 'way' | 'model' | 'flexible'>, form: Pick<FormShape, 'undercut'>): string | null {
  if (form.undercut && way === 'investment' && flexible === 'none' && model === 'firm')
    return 'A firm model with undercuts does not come out of the investment. Make it of wax or foam, or cast wax in a flexible mould of it.';
  if (form.undercut && (way === 'clay' || way === 'castable'))
    return 'Clay and castable do not come off a model with undercuts in one piece: make the mould in parts, or mark the form as without.';
  return null;
}
