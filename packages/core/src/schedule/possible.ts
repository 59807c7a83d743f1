/**
 * Whether a firing can be at all, before any heat is reckoned: the blank must lie on something, reach what it is to reach,
 * and go into the kiln. One check for screens, API and files. What is merely less than usual is said, not refused.
 */
import { bodyFigures } from '../body/body';
import { type Footprint, footprintNarrow, footprintSpan, sidesOf } from '../body/footprint';
import { deepestDrape } from '../flow/sag';
import type { Plan } from '../form/surface';
import { roomOfForm } from '../form/shape';
import type { KilnConstants } from '../kiln/kiln';
import { bowlHeight, type Cavity, cavityOf, type Hollow, type Shaping, shapingDown, sideAcross } from '../look/shaping';
import { RECIPES } from '../look/recipes/all';
import { DROPS_M } from '../release/rescue';
import { type Problem, refused } from '../problem';
import type { LengthUnit } from '../units/convert';
import { formatLength, text } from '../units/format';
import { type FiringCase, hasGlass } from './firingCase';
import { impossibleEmpty, emptyFiringOf } from './emptyFiring';
import { emptyItemBody } from '../emptyFiring/emptyItems';

type Shaped = Pick<FiringCase, 'body' | 'setup' | 'kiln' | 'look'>;
type Former = Extract<Shaping, { kind: 'former' }>;

const HALF = 0.5;
/** So much of rounding between a mass and a depth is let pass. */
const ABOUT = 1.02;

const problem = (path: string, message: string): Problem => refused('impossible', path, message).problem;

function hollowProblem({ body }: Shaped, hollow: Hollow, written: (metres: number) => string): Problem | null {
  const width_m = sideAcross(hollow, body.footprint);
  const deep_m = bodyFigures(body).depth.max_m;
  const under_m = bowlHeight(hollow, width_m);
  if (width_m >= hollow.span_m || under_m > deep_m) return null;
  return problem(
    'setup.shaping.span_m',
    `A blank ${written(width_m)} across lies on the floor of a mould ${written(hollow.span_m)} across and ${written(hollow.depth_m)} deep: it has nowhere to sink. Take a larger blank or a smaller mould.`,
  );
}

function formerProblem({ body }: Shaped, { overhang_m, drop_m }: Former, written: (metres: number) => string): Problem | null {
  const width_m = footprintNarrow(body.footprint);
  if (overhang_m >= HALF * width_m) {
    return problem(
      'setup.shaping.overhang_m',
      `Standing out ${written(overhang_m)} on each side, a blank ${written(width_m)} across rests on nothing. It can stand out less than ${written(HALF * width_m)}.`,
    );
  }
  const sheet_m = bodyFigures(body).depth.mean_m;
  const deepest_m = deepestDrape(overhang_m, sheet_m);
  if (drop_m > deepest_m) {
    return problem(
      'setup.shaping.drop_m',
      `An edge that stands out ${written(overhang_m)} cannot come down ${written(drop_m)}. Glass of ${written(sheet_m)} bends over the former's edge and comes down ${written(deepest_m)} at most, however hot.`,
    );
  }
  return null;
}

function cavityProblem({ body }: Shaped, { kind, thick_m, thin_m }: Cavity & Pick<Shaping, 'kind'>, written: (metres: number) => string): Problem | null {
  if (thin_m > thick_m) return problem('setup.shaping.thin_m', `The thinnest section cannot be ${written(thin_m)} where the thickest is ${written(thick_m)}.`);
  const { mean_m } = bodyFigures(body).depth;
  if (kind === 'reservoir' || mean_m <= ABOUT * thick_m) return null;
  return problem(
    'setup.shaping.thick_m',
    `So much glass stands ${written(mean_m)} deep in this outline: its thickest section cannot be ${written(thick_m)}. Take less glass, or a wider mould.`,
  );
}

/** How high it stands, m: the body, and the mould it lies in or the edge that hangs from it. */
export function standingHeight({ body, look, setup: { shaping, form } }: Shaped): number {
  const deep_m = bodyFigures(body).depth.max_m;
  // Turned over on posts, at least so high that it can be seen to hang loose.
  if (form && RECIPES[look].frees) return roomOfForm(form).high_m + deep_m + DROPS_M;
  // A dam stands round the glass; on all other forms it lies at first.
  if (form) return form.use === 'dam' ? Math.max(roomOfForm(form).high_m, deep_m) : roomOfForm(form).high_m + deep_m;
  const cavity = cavityOf(shaping);
  // A mould as high as what is laid in it, on its wall.
  if (cavity) return Math.max(deep_m, cavity.thick_m) + cavity.wall_m;
  return deep_m + (shapingDown(shaping) ?? 0);
}

/** What a round kiln must be wide for an outline, m. */
const acrossOf = (footprint: Footprint): number =>
  footprint.shape === 'rectangle' ? Math.hypot(footprint.width_m, footprint.length_m) : footprintSpan(footprint);

function kilnProblem(firing: Shaped, written: (metres: number) => string): Problem | null {
  const { insideWidth_m, insideLength_m, insideDiameter_m, insideHeight_m } = firing.kiln;
  const { footprint } = firing.body;
  const [short, long] = sidesOf(footprint);
  const says = (what: string): Problem => problem('kilnId', `${what} Take a larger kiln, or a smaller piece.`);
  if (insideDiameter_m !== undefined && acrossOf(footprint) > insideDiameter_m) {
    return says(`The piece is ${written(acrossOf(footprint))} across its corners and the kiln ${written(insideDiameter_m)} inside.`);
  }
  if (insideWidth_m !== undefined && insideLength_m !== undefined) {
    const [narrow, far] = [Math.min(insideWidth_m, insideLength_m), Math.max(insideWidth_m, insideLength_m)];
    if (short > narrow || long > far)
      return says(`The piece is ${written(short)} by ${written(long)} and the kiln ${written(narrow)} by ${written(far)} inside.`);
  }
  const form = firing.setup.form && roomOfForm(firing.setup.form);
  const what = firing.setup.form?.use === 'shelf' ? 'shelf' : 'mould or former';
  if (form && insideDiameter_m !== undefined && form.far_m > insideDiameter_m)
    return says(`The ${what} is ${written(form.far_m)} over its outside and the kiln ${written(insideDiameter_m)} inside.`);
  if (form && insideWidth_m !== undefined && insideLength_m !== undefined) {
    const [narrow, far] = [Math.min(insideWidth_m, insideLength_m), Math.max(insideWidth_m, insideLength_m)];
    if (form.narrow_m > narrow || form.far_m > far)
      return says(
        `The ${what} is ${written(form.narrow_m)} by ${written(form.far_m)} over its outside and the kiln ${written(narrow)} by ${written(far)} inside.`,
      );
  }
  const height_m = standingHeight(firing);
  if (insideHeight_m !== undefined && height_m > insideHeight_m) {
    return says(`It stands ${written(height_m)} high and the kiln has ${written(insideHeight_m)} inside.`);
  }
  return null;
}

/** Why a firing cannot be, at its field; null where it can. */
export function impossibleFiring(firing: Shaped, unit: LengthUnit): Problem | null {
  const written = (metres: number): string => text(formatLength(metres, unit));
  const { look, setup } = firing;
  const { shaping } = setup;
  const { asks, name } = RECIPES[look];
  if (asks && shaping?.kind !== asks.kind) return problem('setup.shaping', `A ${name.toLowerCase()} has to know ${asks.what}.`);
  const bare = emptyFiringOf(firing);
  if (bare) return impossibleEmpty(firing) ?? kilnProblem({ ...firing, body: { ...emptyItemBody(bare.item) } }, written);
  const glass = hasGlass(firing);
  if (!glass.ok) return glass.problem;
  const shape =
    shaping?.kind === 'hollow' ? hollowProblem(firing, shaping, written) : shaping?.kind === 'former' ? formerProblem(firing, shaping, written) : null;
  const cavity = cavityOf(shaping);
  return shape ?? (cavity && cavityProblem(firing, cavity, written)) ?? kilnProblem(firing, written);
}

const PLAN_WORDS: Record<Plan, string> = { round: 'round', oval: 'oval', rectangle: 'rectangular', trough: 'a trough', lobed: 'lobed' };
/** Proportions nearer than this are the same, as a share. */
const ALIKE = 0.03;
/** An edge nearer to the rim than this ends at it, m. */
const AT_RIM_M = 0.002;

/** Where blank and mould have other outlines: what stands out over the rim and what lies within it; null where they match, or either has no such sides. */
function outlinesDiffer(
  { footprint }: Shaped['body'],
  { plan = 'round', span_m, along_m = span_m }: Hollow,
  written: (metres: number) => string,
): string | null {
  if (plan === 'trough' || plan === 'lobed' || footprint.shape === 'polygon' || footprint.shape === 'ring') return null;
  const laid: Plan = footprint.shape === 'disc' ? 'round' : footprint.shape;
  const [narrow_m, far_m] = sidesOf(footprint);
  if (laid === plan && Math.abs((far_m / narrow_m) * (span_m / along_m) - 1) < ALIKE) return null;
  const off = (by_m: number): string =>
    Math.abs(by_m) < AT_RIM_M ? 'ends at the rim' : `${by_m > 0 ? 'stands' : 'ends'} ${written(Math.abs(by_m))} ${by_m > 0 ? 'over' : 'inside'} the rim`;
  const [across, along] = [(narrow_m - span_m) / 2, (far_m - along_m) / 2];
  const size = Math.abs(along_m - span_m) < ALIKE * span_m ? written(span_m) : `${written(span_m)} by ${written(along_m)}`;
  const corners = laid === 'rectangle' && plan !== 'rectangle' ? ' Its corners stand out furthest and come down first.' : '';
  const hangs = across > -AT_RIM_M && along < -AT_RIM_M ? ' It lies on two sides alone: between its free ends it sinks sooner, and less like a bowl.' : '';
  return `The blank is ${PLAN_WORDS[laid]}, the mould ${PLAN_WORDS[plan]}, ${size}: the short way it ${off(across)}, the long way it ${off(along)}.${corners}${hangs}`;
}

const knownInside = ({ insideWidth_m, insideLength_m, insideDiameter_m }: KilnConstants): boolean =>
  insideDiameter_m !== undefined || (insideWidth_m !== undefined && insideLength_m !== undefined);

/** What is everyday but worth knowing: a blank smaller than its mould, a former bigger than its blank, a kiln of unknown size. */
export function shapeNotes({ body, setup: { shaping }, kiln }: Shaped, unit: LengthUnit): string[] {
  const written = (metres: number): string => text(formatLength(metres, unit));
  const width_m = footprintNarrow(body.footprint);
  const said: string[] = [];
  const differs = shaping?.kind === 'hollow' ? outlinesDiffer(body, shaping, written) : null;
  if (differs) said.push(differs);
  const across_m = shaping?.kind === 'hollow' ? sideAcross(shaping, body.footprint) : width_m;
  if (shaping?.kind === 'hollow' && across_m < shaping.span_m) {
    said.push(
      `The blank is smaller than its mould: it starts on the wall, ${written(shaping.depth_m - bowlHeight(shaping, across_m))} below the rim, and ends lower.`,
    );
  }
  if (shaping?.kind === 'former') {
    const flat_m = width_m - 2 * shaping.overhang_m;
    const former_m = shaping.former_m ?? flat_m;
    if (former_m >= width_m)
      said.push(`The former is as big as the blank or bigger: the middle ${written(width_m)} stays flat, whatever stands out elsewhere.`);
    else said.push(`The middle ${written(Math.min(former_m, flat_m))} stays flat on the former.`);
  }
  if (!knownInside(kiln)) said.push('Whether it goes into the kiln is not judged: the shelf does not say how large that is inside.');
  return said;
}
