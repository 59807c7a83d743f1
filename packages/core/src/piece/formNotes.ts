/**
 * What there is to say of a piece in the form that one of its firings stands in: whether the blank is of the right size and where its edge
 * comes to, where it touches first, how a skirt hangs and folds, how much a dam asks for, and whether glass lets go of it all.
 */
import { bodyFigures, mainGlass } from '../body/body';
import { type Footprint, footprintArea, footprintNarrow, sidesOf } from '../body/footprint';
import { rimToSpare } from '../flow/sag';
import { isMetal, materialOf } from '../form/materials';
import { type FormShape, alongOf, depthOf, insideOf, outlineIn, roomOfForm } from '../form/shape';
import { type FormSurface, formSurface } from '../form/surface';
import { blank } from '../quantity/blank';
import { blankFor } from '../quantity/formTold';
import { isLaid } from '../release/coat';
import { formClearance } from '../release/formClearance';
import { type LetGoTold, formClearanceWords } from '../release/formClearanceWords';
import { DROPS_M, type RescueTold, rescueOf, rescueWords } from '../release/rescue';
import { RECIPES } from '../look/recipes/all';
import type { FiringCase } from '../schedule/firingCase';
import { laidThickness } from '../schedule/setups';
import type { Units } from '../units/convert';
import { formatLength, formatMass, formatTemperature, text } from '../units/format';
import type { HeldForm, PlannedSetUp, PlannedStep } from './document';
import { standsOut, steepOf } from './inForm';
import type { Shelf } from './shelf';

export interface FormNotes {
  /** Whether glass lets go; null for what it only lies on, is cast into or drips through. */
  letsGo: (LetGoTold & { isSound: boolean }) | null;
  warns: string[];
  notes: string[];
  /** Where it is stuck and is to come free: what helps, in its order. */
  rescue: (RescueTold & { room_m: number }) | null;
  /** The blank that ends at the rim, where this one would hook over it; null where it does not. */
  cutTo: Footprint | null;
}

/** Less than that is not seen, m; an edge that stands out by more than HOOKS_M over where it should end hooks. */
const SEEN_M = 0.001;
const HOOKS_M = 0.002;
/** From here on a skirt folds rather than hangs round. */
const FOLDS_FROM = 0.02;

type Long = (metres: number) => string;

/** How thick what lies between glass and form is, m. */
export function betweenThem({ setup, releaseId }: Pick<PlannedStep, 'setup' | 'releaseId'>, { releases }: Pick<Shelf, 'releases'>): number {
  const release = releases.find(({ id }) => id === releaseId);
  if (release) return isLaid(release.kind) ? laidThickness(release.kind, release.weight_kg_m2) : 0;
  return setup.paper ? laidThickness('paper') : 0;
}

/** Where a sagging sheet meets the form first: how far out, and how far down its middle is by then. It sinks as a paraboloid until then. */
export function firstTouch({ section }: Pick<FormSurface, 'section'>, rim_m: number, depth_m: number): { out_m: number; down_m: number } {
  return section.reduce(
    (first, { out_m, up_m }) => {
      const share = 1 - (out_m / rim_m) ** 2;
      if (share < 1e-3) return first;
      const down_m = (depth_m - up_m) / share;
      return down_m < first.down_m - 1e-9 ? { out_m, down_m } : first;
    },
    { out_m: 0, down_m: depth_m - section[0].up_m },
  );
}

const SIDES = [
  ['left_m', 'on the left'],
  ['right_m', 'on the right'],
  ['door_m', 'at the door'],
  ['back_m', 'at the back'],
] as const;

/** Of a form measured on its four sides: how far a blank over its lowest place stands over each rim, and how to lay it evenly. */
function onFourSides(form: FormShape, outline: Footprint, long: Long): string[] {
  const { left_m, right_m, door_m, back_m } = form;
  if (left_m === undefined || right_m === undefined || door_m === undefined || back_m === undefined) return [];
  const [narrow, far] = sidesOf(outline);
  const half = (key: (typeof SIDES)[number][0]): number =>
    (key === 'left_m' || key === 'right_m' ? (form.across_m <= alongOf(form) ? narrow : far) : form.across_m <= alongOf(form) ? far : narrow) / 2;
  const over = SIDES.map(([key, where]) => ({ where, by: half(key) - (form[key] ?? 0) }));
  const said = over.map(({ where, by }) => `${long(Math.abs(by))} ${by >= 0 ? 'over' : 'inside'} ${where}`);
  const [right, back] = [(right_m - left_m) / 2, (back_m - door_m) / 2];
  const moved = [
    ...(Math.abs(right) < SEEN_M ? [] : [`${long(Math.abs(right))} to the ${right > 0 ? 'right' : 'left'}`]),
    ...(Math.abs(back) < SEEN_M ? [] : [`${long(Math.abs(back))} ${back > 0 ? 'away from' : 'towards'} the door`]),
  ];
  return [
    `Laid over its lowest place the blank stands ${said.join(', ')}.${moved.length > 0 ? ` Lay it ${moved.join(' and ')} and it stands alike on all sides.` : ''}`,
  ];
}

type Own = Pick<FormNotes, 'warns' | 'notes'> & { cutTo?: Footprint };

function intoHollow({ shape }: HeldForm, firing: FiringCase, long: Long): Own {
  const { body } = firing;
  const { depth } = bodyFigures(body);
  const asked = blankFor(shape, mainGlass(body), depth.mean_m);
  const told = asked && blank(asked);
  const inside = insideOf(shape);
  if (!asked || !told?.ok || !inside.ok) return { warns: [], notes: [] };
  // Where its edge would end at the rim, and the largest that slides in.
  const ideal = Math.min(...told.value.summed_m);
  const safe = Math.min(...told.value.sizes_m);
  // Lobes reach out otherwise than the sides of the box round them: they are told by their area.
  const narrow = shape.plan === 'lobed' ? safe * Math.sqrt(footprintArea(body.footprint) / footprintArea(told.value.outline)) : sidesOf(body.footprint)[0];
  const rim = shape.plan === 'trough' ? shape.across_m : Math.min(shape.across_m, alongOf(shape));
  const over = (narrow - ideal) / 2;
  const size = told.value.sizes_m.map((one) => long(one)).join(' × ');
  const cutTo = safe < ideal - SEEN_M ? `The largest that slides in is ${size}.` : `Cut to ${size} it ends at the rim.`;
  const warns: string[] = [];
  const notes: string[] = [];
  if (over > HOOKS_M) warns.push(`The blank is too big: its edge would come ${long(over)} over the rim on each side and hook there. ${cutTo}`);
  else if (over > -SEEN_M) notes.push('The blank ends at the rim.');
  else {
    // As its middle lies, half a thickness within the form.
    const middle = formSurface(asked.form, depth.mean_m / 2);
    const { wall_m, shareAt } = middle.ok ? middle.value : inside.value;
    const ends = shape.plan === 'trough' ? -over : Math.max(wall_m * (1 - shareAt(told.value.lies_m2 * (narrow / ideal) ** 2)), SEEN_M);
    if (narrow < rim - SEEN_M)
      notes.push(
        `The blank is ${long(rim - narrow)} narrower than the rim: it slips in, starts on the wall and ends about ${long(ends)} below the rim. ${cutTo}`,
      );
    else notes.push(`Its edge ends about ${long(ends)} below the rim. ${cutTo}`);
  }
  const stands = (narrow - rim) / 2;
  const hooks = stands > told.value.bears_m + SEEN_M;
  if (hooks)
    warns.push(
      `It stands out ${long(stands)} over the rim, and this thickness takes ${long(told.value.bears_m)} before its edge hangs: it may hook before it slides in. The largest that slides in is ${size}.`,
    );
  const depth_m = depthOf(shape);
  const touch = firstTouch(inside.value, rim / 2, depth_m);
  notes.push(
    touch.out_m < SEEN_M
      ? `It touches in the middle first, when that is down ${long(touch.down_m)}, and the rest settles from there.`
      : touch.out_m > 0.9 * (rim / 2)
        ? 'It lies against the wall from the rim down, its middle last.'
        : `It touches ${long(touch.out_m)} from the middle first, when that is down ${long(touch.down_m)} of ${long(depth_m)}: what it still spans sinks slower from then on.`,
  );
  notes.push(...onFourSides(shape, body.footprint, long));
  return { warns, notes, ...(over > HOOKS_M || hooks ? { cutTo: told.value.outline } : {}) };
}

/** How far down its sides a blank hangs at most, m: what bends round the edge of the top is taken off what stands out. */
function hangsOver(shape: FormShape, body: FiringCase['body']): number {
  const out_m = Math.max((shape.floor_m ?? shape.across_m) - shape.across_m, 0) / 2;
  const bend_m = bodyFigures(body).depth.mean_m * Math.atan2(shape.deep_m, out_m);
  return Math.max(Math.max(...standsOut(shape, body.footprint)) - bend_m / 2, 0) * steepOf(shape);
}

/** How far down its former a skirt comes, m; all of it where it is no former. */
function comesDown({ shape, drop_m }: HeldForm, body: FiringCase['body']): number {
  if (shape.use !== 'former') return Infinity;
  const hangs_m = hangsOver(shape, body);
  return Math.min(drop_m ?? hangs_m, hangs_m, shape.deep_m);
}

function overFormer({ shape, drop_m }: HeldForm, firing: FiringCase, long: Long): Pick<FormNotes, 'warns' | 'notes'> {
  const { footprint } = firing.body;
  const outs = standsOut(shape, footprint).filter((out) => out > 0);
  const hangs_m = hangsOver(shape, firing.body);
  const clear_m = shape.deep_m - Math.min(drop_m ?? hangs_m, hangs_m);
  const warns: string[] = [];
  const notes: string[] = [];
  if (hangs_m > shape.deep_m && (drop_m ?? hangs_m) > shape.deep_m - SEEN_M)
    warns.push(
      `Its edge hangs ${long(hangs_m)} and the former is ${long(shape.deep_m)} high: it would stand on the shelf and spread. Raise the former by ${long(hangs_m - shape.deep_m)}, or cut the blank that much smaller on each side.`,
    );
  else
    notes.push(
      `It stands out ${[...new Set(outs.map((out) => long(out)))].join(' and ')} on each side; hanging, its edge is ${long(clear_m)} clear of the shelf.`,
    );
  const spare = footprint.shape === 'disc' && shape.plan !== 'trough' ? rimToSpare(footprint.diameter_m, Math.min(shape.across_m, alongOf(shape))) : 0;
  if (spare > FOLDS_FROM)
    warns.push(
      `${Math.round(100 * spare)} % of its rim are more than goes round the former: a round skirt folds, in two lobes when it comes down slowly, in more when it is hotter.${shape.lobes ? ` Cut in ${shape.lobes} lobes it folds between them.` : ' Lobes cut into the blank decide where.'}`,
    );
  if (footprint.shape === 'polygon') notes.push('It folds where its outline comes in: those places stand out least and come down last.');
  if (shape.lobes !== undefined && shape.plan === 'lobed' && footprint.shape !== 'polygon')
    notes.push(`The former has ${shape.lobes} flutes: a blank in as many lobes, laid lobe over flute, hangs in them.`);
  return { warns, notes };
}

function inDam({ name, shape }: HeldForm, firing: FiringCase, units: Units, long: Long): Pick<FormNotes, 'warns' | 'notes'> {
  const { body } = firing;
  const inside = outlineIn(shape);
  const [have, room] = [sidesOf(body.footprint), sidesOf(inside)];
  const off = Math.max(have[0] - room[0], have[1] - room[1]);
  const lined = (shape.liner_m ?? 0) > 0 ? `, its liner of ${long(shape.liner_m ?? 0)} taken off once on each side` : '';
  const size = (sides: readonly number[]): string => (Math.abs(sides[0] - sides[1]) < 1e-6 ? long(sides[0]) : sides.map(long).join(' × '));
  const { mean_m } = bodyFigures(body).depth;
  const warns: string[] = [];
  if (off > SEEN_M) warns.push(`It does not go into '${name}': inside that is ${size(room)}${lined}, and the piece is laid ${size(have)}.`);
  if (off < -SEEN_M) warns.push(`'${name}' is ${size(room)} inside${lined}, and the piece is laid ${size(have)}: it runs out to the wall and ends thinner.`);
  if (!body.dammed) warns.push('The piece is laid as one that stands free: say in its outline that it is dammed.');
  if (mean_m > shape.deep_m) warns.push(`It is ${long(mean_m)} deep and the dam ${long(shape.deep_m)} high: glass runs over.`);
  const each = footprintArea(inside) * 1e-3 * mainGlass(body).density_kg_m3;
  return { warns, notes: [`Inside it is ${size(room)}${lined}. Each ${long(0.001)} of depth takes ${text(formatMass(each, units.mass))} of glass.`] };
}

/** Why a form does not stand on a shelf; null where it does. */
export function overShelf({ name, shape }: HeldForm, shelf: HeldForm, units: Units): string | null {
  const [form, under] = [roomOfForm(shape), roomOfForm(shelf.shape)];
  if (form.narrow_m <= under.narrow_m + SEEN_M && form.far_m <= under.far_m + SEEN_M) return null;
  const size = ({ narrow_m, far_m }: { narrow_m: number; far_m: number }): string =>
    [far_m, narrow_m].map((metres) => text(formatLength(metres, units.length))).join(' × ');
  return `'${name}' is ${size(form)} over its outside, and '${shelf.name}' ${size(under)}: it stands out over the shelf.`;
}

/** What is under a firing's working heat is no matter for a form; what is over it is. */
function hotFor({ name, shape }: HeldForm, hottest_C: number | null, units: Units): string[] {
  const { top_C } = materialOf(shape);
  if (hottest_C === null || hottest_C <= top_C) return [];
  return [
    `'${name}' is good for ${text(formatTemperature(top_C, units.temperature))}; this firing goes to ${text(formatTemperature(hottest_C, units.temperature))}.`,
  ];
}

const NOTHING = { letsGo: null, rescue: null, cutTo: null } as const;

/** Where a mould or former was only typed, it is taken as one of clay, as it is warmed. */
const AS_TYPED = { plan: 'round', thick_m: 0.01, material: 'earthenware' } as const;

/** What a piece may be stuck in or on after such a firing; null where it lay on a shelf. */
export function stuckOn({ form }: Pick<PlannedSetUp, 'form'>, { body, setup: { shaping } }: Pick<FiringCase, 'body' | 'setup'>): FormShape | null {
  if (form) return form.shape;
  if (shaping?.kind === 'hollow') {
    const { plan = AS_TYPED.plan, span_m: across_m, along_m, lobes, depth_m: deep_m } = shaping;
    return { ...AS_TYPED, use: 'hollow', plan, across_m, deep_m, ...(along_m === undefined ? {} : { along_m }), ...(lobes === undefined ? {} : { lobes }) };
  }
  if (shaping?.kind !== 'former') return null;
  const { former_m = footprintNarrow(body.footprint) - 2 * shaping.overhang_m, drop_m } = shaping;
  return { ...AS_TYPED, use: 'former', across_m: former_m, deep_m: drop_m };
}

/** What frees a piece that is stuck in or on a form, and how much room it has to drop in this kiln; null of what glass only lies on or is broken out of. */
export function rescueIn(shape: FormShape, { body, kiln }: Pick<FiringCase, 'body' | 'kiln'>, units: Units): (RescueTold & { room_m: number }) | null {
  const told = rescueOf(mainGlass(body), shape, bodyFigures(body).depth.mean_m, kiln.insideHeight_m);
  return told && { ...rescueWords(told, shape, units), room_m: Math.min(told.drops_m, Math.max(told.roomFor_m, DROPS_M)) };
}

/** firing: as it is computed; paper_m: of what lies between glass and form; hottest_C: of its schedule, where it has one. */
export function formNotes(form: HeldForm, firing: FiringCase, paper_m: number, units: Units, hottest_C: number | null = null): FormNotes {
  const long: Long = (metres) => text(formatLength(metres, units.length));
  const { shape } = form;
  if (firing.body.glasses.length === 0) return { ...NOTHING, warns: [], notes: [] };
  if (RECIPES[firing.look].frees) return { ...NOTHING, rescue: rescueIn(shape, firing, units), warns: hotFor(form, hottest_C, units), notes: [] };
  // What lies under glass in a dam is on the shelf: its walls have their liner alone.
  const between_m = paper_m > 0 && shape.use !== 'dam' ? paper_m : (shape.liner_m ?? 0);
  const told = formClearance(mainGlass(firing.body), shape, between_m, comesDown(form, firing.body));
  const own = ((): Own => {
    switch (shape.use) {
      case 'hollow':
        return intoHollow(form, firing, long);
      case 'former':
        return overFormer(form, firing, long);
      case 'dam':
        return inDam(form, firing, units, long);
      case 'texture':
      case 'shelf':
        return { warns: onPlate(form, firing.body.footprint, long), notes: [] };
      default:
        return { warns: [], notes: [] };
    }
  })();
  return {
    ...NOTHING,
    letsGo: told && {
      ...formClearanceWords(told, shape, units, between_m > 0),
      isSound: told.verdict === 'free' || told.verdict === 'rides' || shape.once === true,
    },
    warns: [...own.warns, ...hotFor(form, hottest_C, units)],
    notes: [...own.notes, ...firedEmptyFirst(shape, units)],
    cutTo: own.cutTo ?? null,
  };
}

/** Of these what binds them burns away; the others hold water. */
const BURNS_OUT_C = 650;
const DRIES_C = 200;

/** What is used once has never been hot before the glass that it shapes. */
function firedEmptyFirst({ once, use, material }: FormShape, { temperature }: Units): string[] {
  if (!once || (use !== 'former' && use !== 'hollow') || isMetal(material)) return [];
  const at = (celsius: number): string => text(formatTemperature(celsius, temperature));
  return [
    material === 'fibre' || material === 'vermiculite'
      ? `Each one is new: fire it empty to about ${at(BURNS_OUT_C)} first, with the room aired. What binds it smokes and marks glass.`
      : `Each one is new: dry it empty first, some hours under the boil, then to about ${at(DRIES_C)}. Its steam would lift the glass.`,
  ];
}

const onPlate = ({ name, shape }: HeldForm, footprint: Footprint, long: Long): string[] =>
  footprintNarrow(footprint) > Math.min(shape.across_m, alongOf(shape)) + SEEN_M
    ? [
        `The piece is wider than '${name}', which is ${long(Math.min(shape.across_m, alongOf(shape)))}: ${shape.use === 'shelf' ? 'its edge hangs over.' : 'it runs over the edge of the plate and locks on.'}`,
      ]
    : [];
