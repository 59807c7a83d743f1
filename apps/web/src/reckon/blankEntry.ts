/** The blank for a form, as what was measured is typed. */
import { type FormShape, type HollowForm, type Measured, PLANS, type Plan } from '@torvin/core/form';
import type { GlassConstants } from '@torvin/core/glass';
import type { Shaping } from '@torvin/core/look';
import { type BlankAsked, type BlankTold, blankFor } from '@torvin/core/quantity';
import { type Units, formatLength } from '@torvin/core/units';
import type { AskedField } from './TypedField';
import { type Read, type Reader, type Typed, exactly, readTyped, sizesApart } from './typed';

export const WAYS = ['into', 'over'] as const;
export type BlankWay = (typeof WAYS)[number];

export const wayIn = (typed: Typed): BlankWay => WAYS.find((one) => one === typed.way) ?? 'into';
export const planIn = (typed: Typed): Plan => PLANS.find((one) => one === typed.plan) ?? 'round';

export const USUAL_BLANK_M = 0.006;
const SIDE = { least: 0.01, most: 2 };
const FLAT = { least: 0, most: 2 };
const TAPE = { least: 0.01, most: 4 };
const DEEP = { least: 0.001, most: 1 };
const OFF = { least: 0, most: 0.2 };

const hasTwo = (plan: Plan): boolean => plan !== 'round';

/** What is measured of a form, in the order in which it is. */
export function fieldsOfForm(way: BlankWay, plan: Plan): AskedField[] {
  const into = way === 'into';
  const [first, second] =
    plan === 'lobed' ? ['over lobes', 'between'] : plan === 'round' ? [into ? 'rim across' : 'top across', ''] : [into ? 'rim wide' : 'top wide', 'long'];
  return [
    { field: 'rim', label: first },
    ...(hasTwo(plan) ? [{ field: 'rimAlong', label: second }] : []),
    { field: 'depth', label: into ? 'deep' : 'high' },
    ...(into
      ? [
          { field: 'floor', label: plan === 'trough' || plan === 'round' || plan === 'lobed' ? 'floor' : 'floor wide', hint: 'empty: a bowl' },
          ...(plan === 'oval' || plan === 'rectangle' ? [{ field: 'floorAlong', label: 'floor long', hint: 'in proportion' }] : []),
          { field: 'wall', label: 'wall', hint: 'if measured' },
        ]
      : [
          { field: 'hang', label: 'hangs down' },
          { field: 'foot', label: 'foot across', hint: 'empty: upright' },
        ]),
    ...(plan === 'lobed' || (plan === 'round' && !into) ? [{ field: 'lobes', label: 'lobes', ...(plan === 'lobed' ? {} : { hint: 'empty: none' }) }] : []),
  ];
}

/** Instead of a floor or of how far it hangs down. */
export function tapesOf(way: BlankWay, plan: Plan): AskedField[] {
  const instead = way === 'into' ? 'in place of the floor' : 'in place of hangs down';
  return hasTwo(plan) && plan !== 'trough'
    ? [
        { field: 'tape', label: 'tape over it', hint: instead },
        { field: 'tapeAlong', label: plan === 'lobed' ? 'tape between lobes' : 'tape the long way' },
      ]
    : [{ field: 'tape', label: 'tape over it', hint: instead }];
}

export const LAST_SIDES = ['atDoor', 'atBack', 'atLeft', 'atRight'] as const;

/** Minus stands for short. */
function offAt(read: Reader, field: string, units: Units): number {
  const words = read.words(field);
  const short = /^[-−]/.test(words);
  const told = readTyped({ [field]: words.replace(/^[-−+]\s*/, '') }, units, (one) => one.maybe(field, () => one.figure(field, 'way it was off', OFF)) ?? 0);
  if (told.value === null) read.wrong(field, told.problems[field] ?? 'Write how far it was over, with a minus where it was short.');
  return (short ? -1 : 1) * (told.value ?? 0);
}

const maybe = <K extends string, T>(key: K, value: T | undefined): { [P in K]?: T } => (value === undefined ? {} : ({ [key]: value } as { [P in K]: T }));

function measured(read: Reader, end: '' | 'Along', name: string, floor: string | null): Measured {
  const tape_m = read.maybe(`tape${end}`, () => read.figure(`tape${end}`, 'tape', TAPE));
  return {
    rim_m: read.figure(`rim${end}`, name, SIDE),
    ...(tape_m === undefined && floor !== null
      ? maybe(
          'floor_m',
          read.maybe(floor, () => read.figure(floor, 'floor', FLAT)),
        )
      : {}),
    ...maybe('tape_m', tape_m),
  };
}

function formOf(read: Reader, way: BlankWay, plan: Plan): HollowForm {
  const into = way === 'into';
  const names = plan === 'lobed' ? ['size over lobes', 'size between lobes'] : plan === 'round' ? [into ? 'rim' : 'top', ''] : ['width', 'length'];
  const across = measured(read, '', names[0], into ? 'floor' : 'foot');
  const lobes = plan === 'lobed' || (plan === 'round' && !into) ? (): number => read.figure('lobes', 'number of lobes', { least: 2, most: 8 }) : null;
  return {
    ...{ plan, across, depth_m: read.figure('depth', into ? 'depth' : 'height', DEEP) },
    ...(hasTwo(plan) ? { along: measured(read, 'Along', names[1], into && (plan === 'oval' || plan === 'rectangle') ? 'floorAlong' : null) } : {}),
    ...(into && across.tape_m === undefined
      ? maybe(
          'wall_m',
          read.maybe('wall', () => read.figure('wall', 'wall', DEEP)),
        )
      : {}),
    ...(lobes ? maybe('lobes', plan === 'lobed' ? lobes() : read.maybe('lobes', lobes)) : {}),
  };
}

function lastOf(read: Reader, two: boolean, units: Units): BlankAsked['last'] {
  const told = ['lastAcross', ...(two ? ['lastAlong'] : []), ...LAST_SIDES].some((field) => read.words(field) !== '');
  if (!told) return undefined;
  const [door_m, back_m, left_m, right_m] = LAST_SIDES.map((side) => offAt(read, side, units));
  return {
    across_m: read.figure('lastAcross', 'last blank', SIDE),
    ...(two ? { along_m: read.figure('lastAlong', 'last blank, the other way', SIDE) } : {}),
    over: { door_m, back_m, left_m, right_m },
  };
}

/** thickness_m: where none is typed. */
export function readBlank(typed: Typed, units: Units, glass: GlassConstants, thickness_m: number, form: FormShape | null = null): Read<BlankAsked> {
  if (form) return readForForm(typed, units, glass, thickness_m, form);
  const [way, plan] = [wayIn(typed), planIn(typed)];
  return readTyped(spreadBlank(typed), units, (read): BlankAsked => {
    const form = formOf(read, way, plan);
    const cut = {
      ...{ glass, form, thickness_m: read.maybe('thick', () => read.figure('thick', 'thickness', { least: 0.0005, most: 0.1 })) ?? thickness_m },
      ...maybe('last', lastOf(read, hasTwo(plan) || (way === 'over' && form.lobes !== undefined), units)),
    };
    if (way === 'into') return { ...cut, way, under_m: read.maybe('under', () => read.figure('under', 'edge under the rim', { least: 0, most: 0.3 })) ?? 0 };
    const hang_m =
      form.across.tape_m !== undefined && read.words('hang') === '' ? undefined : read.figure('hang', 'way it hangs down', { least: 0.001, most: 1 });
    return { ...cut, way, ...maybe('hang_m', hang_m) };
  });
}

/** Of a form of the shelf, whose measures stand there. */
const readForForm = (typed: Typed, units: Units, glass: GlassConstants, usual_m: number, form: FormShape): Read<BlankAsked> =>
  readTyped(typed, units, (read): BlankAsked => {
    const thickness_m = read.maybe('thick', () => read.figure('thick', 'thickness', { least: 0.0005, most: 0.1 })) ?? usual_m;
    const asked = blankFor(form, glass, thickness_m);
    if (!asked) return read.wrong('mould', 'This form takes no blank.') as never;
    const last = maybe('last', lastOf(read, form.plan !== 'round' || (asked.way === 'over' && asked.form.lobes !== undefined), units));
    if (asked.way === 'into')
      return { ...asked, ...last, under_m: read.maybe('under', () => read.figure('under', 'edge under the rim', { least: 0, most: 0.3 })) ?? 0 };
    return {
      ...asked,
      ...last,
      ...maybe('hang_m', read.maybe('hang', () => read.figure('hang', 'way it hangs down', { least: 0.001, most: 1 })) ?? asked.hang_m),
    };
  });

/** '18 × 26 × 4 cm' in the first size, spread over all of them. */
export function spreadBlank(typed: Typed): Typed {
  const fields = fieldsOfForm(wayIn(typed), planIn(typed)).filter(({ field }) => ['rim', 'rimAlong', 'depth'].includes(field));
  const apart = sizesApart(typed.rim ?? '', fields.length);
  return apart ? { ...typed, ...Object.fromEntries(apart.map((one, i) => [fields[i].field, one])) } : typed;
}

/** The field that a refusal of the core belongs to. */
export function fieldOfBlank(path: string, typed: Typed): string {
  if (path === 'last') return 'lastAcross';
  const [, which, key] = /^form\.(across|along)\.(rim|floor|tape)_m$/.exec(path) ?? [];
  if (key === 'floor' && wayIn(typed) === 'over') return 'foot';
  if (key) return `${key}${which === 'along' ? 'Along' : ''}`;
  return { 'last.along_m': 'lastAlong', 'form.depth_m': 'depth', 'form.wall_m': 'wall', under_m: 'under', hang_m: 'hang', thickness_m: 'thick' }[path] ?? path;
}

const cleared = (fields: readonly string[]): Typed => Object.fromEntries(fields.map((field) => [field, '']));

/** What came of the last blank is of its form: another form has none. */
export const NO_LAST = cleared(['lastAcross', 'lastAlong', ...LAST_SIDES]);
/** What was measured of another form does not stand before what is known of this one. */
const NO_OTHER: Typed = { ...NO_LAST, ...cleared(['mould', 'rimAlong', 'floor', 'floorAlong', 'wall', 'foot', 'tape', 'tapeAlong']) };

/** What a firing of the piece knows of its mould or former already, and nothing of the form before. */
export function typedForm(shaping: Extract<Shaping, { kind: 'hollow' | 'former' }>, units: Units): Typed {
  const known: Typed =
    shaping.kind === 'hollow'
      ? {
          ...{ way: 'into', plan: shaping.plan ?? 'round', rim: exactly(shaping.span_m, units), depth: exactly(shaping.depth_m, units) },
          ...(shaping.along_m === undefined ? {} : { rimAlong: exactly(shaping.along_m, units) }),
          ...(shaping.lobes === undefined ? {} : { lobes: String(shaping.lobes) }),
        }
      : { way: 'over', hang: exactly(shaping.drop_m, units), ...(shaping.former_m === undefined ? {} : { rim: exactly(shaping.former_m, units) }) };
  return { ...NO_OTHER, ...known };
}

/** The blank by the sum, as it is cut to a line, to be typed as the last one. */
export const typedLast = ({ summed_m }: Pick<BlankTold, 'summed_m'>, { length }: Units): Typed => {
  const [across, along] = summed_m.map((size) => formatLength(size, length).figure);
  return { lastAcross: across, ...(along === undefined ? {} : { lastAlong: along }) };
};
