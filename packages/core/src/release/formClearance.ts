/**
 * Whether glass lets go of the form that shaped it. Both draw in from where the glass sets (10^13 Pa·s): in a hollow the glass must draw in
 * more, over a former the former. Paper on the walls gives by half of its thickness on each side. What grips may ride along walls that lean:
 * it slides where their lean is steeper than friction holds. Every level is judged by its own width and lean, and the worst is told: a dome
 * that is loose at its crown may grip at its foot. Lengths in m.
 */
import type { GlassConstants } from '../glass/constants';
import { FORM_MATERIAL_NAMES, type FormMaterialName, materialOf } from '../form/materials';
import { type FormShape, alongOf, insideOf, sidesOfFormer } from '../form/shape';
import { ROOM_C } from '../units/physical';
import { settingPoint } from '../fit/seal';
import { release } from './gap';

export interface FormClearance {
  way: 'into' | 'over';
  /** Across which it is reckoned: where glass and form meet worst. */
  size_m: number;
  /** How high that is: over the foot of a former, over the floor of a hollow; null where all levels are alike. */
  at_m: number | null;
  /** Where the glass sets, °C. */
  set_C: number;
  /** How much glass and form draw in across that, until they are as warm as the room. */
  glass_m: number;
  form_m: number;
  /** Room across between the two with what is laid between; negative: so much too tight. */
  room_m: number;
  /** How far walls lean there, degrees off upright. */
  draft_deg: number;
  /** How far up what is too tight would have to ride along the walls to be free; 0 where it is free, null where they stand upright. */
  rides_m: number | null;
  /** How much narrower, on each side, the form is where glass has to pass than where it lies: an undercut; 0 where it is none. */
  hooks_m: number;
  /** free; near: too near to nothing to tell; rides: too tight, but the lean of the walls lets it slide up; grips; hooks: held by its shape. */
  verdict: 'free' | 'near' | 'rides' | 'grips' | 'hooks';
  /** Paper on every side that would give as much as it is too tight; 0 where it is free. */
  paper_m: number;
  /** What else the form could be of, to let go. */
  instead: FormMaterialName[];
}

/** Share of its thickness by which paper gives before it holds as hard as the form. */
const GIVES = 0.5;
/** Of glass on primer or paper; a lean whose tangent is more lets it slide. */
const FRICTION = 0.3;
/** The same as a lean, degrees off upright, rounded up. */
export const SLIDES_FROM_DEG = Math.ceil((Math.atan(FRICTION) * 180) / Math.PI);
/** Nearer to nothing than this across, figures of expansion tell nothing. */
const NEAR_M = 0.0001;

/** A stretch of wall: how wide the form is where it is widest, how high that is, and how far the wall leans, degrees off upright. */
interface Level {
  size_m: number;
  at_m: number;
  lean_deg: number;
}

/** From the top of a former as far down as the glass comes; of a hollow from its floor to its rim. */
function levelsOf(form: FormShape, widest_m: number, down_m: number): Level[] {
  const isFormer = form.use === 'former';
  const inside = isFormer ? null : insideOf(form);
  const line = isFormer ? sidesOfFormer(form) : inside?.ok ? inside.value.section : [];
  const half = form.across_m / 2;
  return line.slice(1).flatMap((to, i): Level[] => {
    const from = line[i];
    if (isFormer && line[0].up_m - from.up_m >= down_m) return [];
    const [out, up] = isFormer ? [to.out_m - from.out_m, from.up_m - to.up_m] : [to.out_m - from.out_m, to.up_m - from.up_m];
    const lean_deg = (Math.atan2(out, up) * 180) / Math.PI;
    // A floor holds nothing; only as far down as glass comes.
    if (lean_deg >= 90) return [];
    const share = isFormer && up > 0 ? Math.min(1, (down_m - (line[0].up_m - from.up_m)) / up) : 1;
    const [wide, at_m] = out > 0 || !isFormer ? [from.out_m + share * out, from.up_m + share * (to.up_m - from.up_m)] : [from.out_m, from.up_m];
    return [{ size_m: widest_m + 2 * (wide - half), at_m, lean_deg }];
  });
}

/** On its way out glass goes over all of the wall that it lies below: as much as that is narrower there. */
function undercutOf(form: FormShape): number {
  const inside = form.use === 'former' ? null : insideOf(form);
  const line = form.use === 'former' ? sidesOfFormer(form) : inside?.ok ? inside.value.section : [];
  let [widest, hooks_m] = [0, 0];
  for (const { out_m } of line) {
    widest = Math.max(widest, out_m);
    hooks_m = Math.max(hooks_m, widest - out_m);
  }
  return hooks_m;
}

/** The gravest first. Where nothing is tight, how much room there is goes by the widest level. */
const GRAVITY: Record<FormClearance['verdict'], number> = { hooks: 0, grips: 1, rides: 2, near: 3, free: 3 };

/**
 * paper_m: how thick what lies between the two is, on each side; down_m: how far down a former the glass comes, all of it where left out.
 * Null for what glass lies on, is cast into or drips through.
 */
export function formClearance(glass: GlassConstants, form: FormShape, paper_m = form.liner_m ?? 0, down_m = Infinity): FormClearance | null {
  if (form.use !== 'hollow' && form.use !== 'former' && form.use !== 'dam') return null;
  const way = form.use === 'former' ? 'over' : 'into';
  const widest_m = Math.max(form.across_m, form.plan === 'trough' ? 0 : alongOf(form));
  const { expansion_perK } = materialOf(form);
  // The gap goes with the size: told once, for a metre.
  const perMetre = (of_perK: number): number => release(glass, of_perK, 1, way === 'into' ? 'hollow' : 'former').gap_m * (way === 'into' ? 1 : -1);
  const own_m = perMetre(expansion_perK);
  const set_C = settingPoint(glass);
  const hooks_m = undercutOf(form);
  const hooks = 2 * hooks_m > Math.max(own_m * widest_m + 2 * GIVES * paper_m, NEAR_M);
  const judged = ({ size_m, at_m, lean_deg }: Level): FormClearance => {
    const bare_m = own_m * size_m;
    const room_m = bare_m + 2 * GIVES * paper_m;
    const lean = Math.tan((lean_deg * Math.PI) / 180);
    const tight_m = Math.max(-room_m, 0);
    return {
      ...{ way, size_m, at_m, set_C, room_m, hooks_m, draft_deg: lean_deg },
      glass_m: glass.expansion_perK * (set_C - ROOM_C) * size_m,
      form_m: expansion_perK * (set_C - ROOM_C) * size_m,
      rides_m: tight_m === 0 ? 0 : lean > 0 ? tight_m / 2 / lean : null,
      verdict: hooks ? 'hooks' : Math.abs(room_m) < NEAR_M ? 'near' : room_m > 0 ? 'free' : lean > FRICTION ? 'rides' : 'grips',
      paper_m: Math.max(-bare_m / (2 * GIVES), 0),
      instead: [],
    };
  };
  const levels = levelsOf(form, widest_m, down_m);
  const all = (levels.length > 0 ? levels : [{ size_m: widest_m, at_m: 0, lean_deg: 0 }]).map(judged);
  const [worst] = all.toSorted((a, b) => GRAVITY[a.verdict] - GRAVITY[b.verdict] || b.size_m - a.size_m);
  const instead = worst.room_m >= 0 ? [] : FORM_MATERIAL_NAMES.filter((material) => perMetre(materialOf({ material }).expansion_perK) * worst.size_m > NEAR_M);
  const isAlike = all.every(({ verdict }) => GRAVITY[verdict] === GRAVITY[worst.verdict]);
  return { ...worst, instead, ...(isAlike ? { at_m: null } : {}) };
}
