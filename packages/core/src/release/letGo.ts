/**
 * Whether glass lets go of the form that shaped it. Both draw in from where the glass sets (10^13 Pa·s): in a hollow the glass must draw in
 * more, over a former the former. Paper on the walls gives by half of its thickness on each side. What grips may ride along walls that lean:
 * it slides where their lean is steeper than friction holds. Lengths in m.
 */
import type { GlassConstants } from '../glass/constants';
import { FORM_MATERIAL_NAMES, type FormMaterialName, materialOf } from '../form/materials';
import { leanOf } from '../form/overPoints';
import { type FormShape, alongOf, insideOf, sidesOfFormer } from '../form/shape';
import { ROOM_C } from '../units/physical';
import { release } from './gap';

export interface LetGo {
  way: 'into' | 'over';
  /** Across which it is reckoned: the widest that glass and form meet. */
  size_m: number;
  /** Where the glass sets, °C. */
  set_C: number;
  /** How much glass and form draw in across that, until they are as warm as the room. */
  glass_m: number;
  form_m: number;
  /** Room across between the two with what is laid between; negative: so much too tight. */
  room_m: number;
  /** How far walls lean, degrees off upright, the steepest of them. */
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

/** How far its walls lean, degrees off upright. */
function draftOf(form: FormShape): number {
  if (form.use === 'former') return leanOf(sidesOfFormer(form));
  const inside = insideOf(form);
  return inside.ok ? inside.value.draft_deg : 0;
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

/** paper_m: how thick what lies between the two is, on each side. Null for what glass lies on, is cast into or drips through. */
export function letGo(glass: GlassConstants, form: FormShape, paper_m = form.liner_m ?? 0): LetGo | null {
  if (form.use !== 'hollow' && form.use !== 'former' && form.use !== 'dam') return null;
  const way = form.use === 'former' ? 'over' : 'into';
  const size_m = Math.max(form.across_m, form.plan === 'trough' ? 0 : alongOf(form));
  const roomIn = (expansion_perK: number): { gap_m: number; set_C: number } => {
    const { gap_m, grips_below_C } = release(glass, expansion_perK, size_m, way === 'into' ? 'hollow' : 'former');
    return { gap_m: way === 'into' ? gap_m : -gap_m, set_C: grips_below_C };
  };
  const { expansion_perK } = materialOf(form);
  const { gap_m: bare_m, set_C } = roomIn(expansion_perK);
  const room_m = bare_m + 2 * GIVES * paper_m;
  const draft_deg = draftOf(form);
  const lean = Math.tan((draft_deg * Math.PI) / 180);
  const tight_m = Math.max(-room_m, 0);
  const slides = lean > FRICTION && draft_deg < 90;
  const hooks_m = undercutOf(form);
  return {
    ...{ way, size_m, set_C, room_m, draft_deg, hooks_m },
    glass_m: glass.expansion_perK * (set_C - ROOM_C) * size_m,
    form_m: expansion_perK * (set_C - ROOM_C) * size_m,
    rides_m: tight_m === 0 ? 0 : lean > 0 ? tight_m / 2 / lean : null,
    verdict: 2 * hooks_m > Math.max(room_m, NEAR_M) ? 'hooks' : Math.abs(room_m) < NEAR_M ? 'near' : room_m > 0 ? 'free' : slides ? 'rides' : 'grips',
    paper_m: Math.max(-bare_m / (2 * GIVES), 0),
    instead: tight_m === 0 ? [] : FORM_MATERIAL_NAMES.filter((material) => roomIn(materialOf({ material }).expansion_perK).gap_m > NEAR_M),
  };
}
