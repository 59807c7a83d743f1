/** What is said of a firing with no glass in it, in the units asked for. */
import type { PurposefulSegment } from '../kiln/segment';
import type { OwnFigure, EmptyRecipe } from '../look/recipe';
import { type LengthUnit, type TemperatureUnit, type Units, differenceIn } from '../units/convert';
import { type Figure, formatDifference, formatDuration, formatLength, formatRate, formatTemperature, text } from '../units/format';
import { CONE_RATE_C_PER_H, coneAt } from '../emptyFiring/cones';
import { EMPTY_ITEM_MATERIALS, EMPTY_ITEM_NAMES, type EmptyItem } from '../emptyFiring/emptyItems';
import type { Reading } from './reading';

interface Fired {
  item: EmptyItem;
  recipe: EmptyRecipe;
}

/** 'plaster mould, wall 25 mm'. */
export const emptyFiringWords = ({ of, wall_m }: EmptyItem, unit: LengthUnit): string =>
  `${EMPTY_ITEM_NAMES[of].toLowerCase()}, ${of === 'shelf' || of === 'fibre' ? '' : 'wall '}${text(formatLength(wall_m, unit))}${of === 'shelf' || of === 'fibre' ? ' thick' : ''}`;

/** Why a segment is there. */
export function whyOfEmpty(
  { item }: Fired,
  { role, rate_C_per_h }: Pick<PurposefulSegment, 'role' | 'rate_C_per_h'>,
  unit: LengthUnit,
  reaches: string,
): string {
  const wall = text(formatLength(item.wall_m, unit));
  switch (role) {
    case 'dry':
      return item.of === 'clay' ? 'what feels dry holds water still: vent open' : 'water leaves, vent open; weigh it, the clock cannot tell';
    case 'warmUp':
      if (item.of === 'clay') return `clay ${wall} thick gives up its own water here`;
      return EMPTY_ITEM_MATERIALS[item.of].pace
        ? `a wall of ${wall} swells here, slowly`
        : item.of === 'shelf'
          ? 'faster may crack a shelf of this size'
          : 'faster may crack what it stands on';
    case 'climb':
      return 'past what cracks it';
    case 'firstCool':
      return 'here it shrinks in leaps, no faster';
    case 'lastCool':
      return rate_C_per_h === null ? 'the closed kiln cools slower than it may' : 'the kiln would cool faster than it may';
    default:
      return reaches;
  }
}

/** Time that the coldest place had, of what it needs: the first such reading dries where there are two. */
const heldOf = (readings: readonly Reading[], which: 'dry' | 'top'): Reading | undefined => {
  const held = readings.filter(({ limit }) => limit === 'heldThrough');
  return which === 'dry' ? held[0] : held.at(-1);
};

/** Its own figure: how long it has had what it needs, or the cone that its thickest place came to. */
export function emptyFigure({ recipe, item }: Fired, readings: readonly Reading[], units: Units): OwnFigure[] {
  const { label, tells } = recipe;
  if (tells === 'cone') {
    const came = readings.find(({ limit }) => limit === 'coneLeast');
    if (!came) return [];
    const cone = coneAt(came.value);
    const [as, rate] = [text(formatTemperature(came.value, units.temperature)), text(formatRate(CONE_RATE_C_PER_H, units.temperature))];
    const sentence = `In its coldest place the firing does as much as a last climb at ${rate} to ${as}: ${cone === item.cone ? `cone ${cone}, as asked` : `cone ${cone}, where ${item.cone} is asked`}. Stand cones beside the mould: they tell what this kiln really does.`;
    return [{ label, figure: cone, unit: '', sentence }];
  }
  const held = heldOf(readings, tells);
  if (!held) return [];
  const had: Figure = formatDuration(held.value);
  const sentence =
    tells === 'dry'
      ? `Its coldest place is warm and not yet boiling for ${text(had)}; a wall like this takes about ${text(formatDuration(held.allowed))}.`
      : `Its coldest place has the heat it needs for ${text(had)}; ${text(formatDuration(held.allowed))} are asked.`;
  return [{ label, ...had, sentence }];
}

/** The whole in sentences, after what is kept and broken. */
export function sentencesOfEmpty(fired: Fired, readings: readonly Reading[], apart_K: number, units: Units): string[] {
  const { item } = fired;
  const long = [item.wide_m, item.long_m].map((side) => formatLength(side, units.length));
  return [
    `Fired with no glass: a ${emptyFiringWords(item, units.length)}, ${long[0].figure} × ${text(long[1])}; through it, it differs by ${text(formatDifference(apart_K, units.temperature))} at most.`,
    ...emptyFigure(fired, readings, units).map(({ sentence }) => sentence),
    'The calculation leaves out water and takes a mould as a wall heated from one side. A real one warms no slower.',
  ];
}

/** Greatest difference through it and its tightest pace, for the figures that stand over a schedule. */
export function paceOfEmpty(readings: readonly Reading[]): Reading | undefined {
  const paces = readings.filter(({ limit }) => limit === 'mouldPace' || limit === 'shelfPace');
  return paces.reduce<Reading | undefined>((most, one) => (most && most.value / most.allowed >= one.value / one.allowed ? most : one), undefined);
}

export const heldPhrase = ({ value, allowed }: Reading): string => `warm through ${text(formatDuration(value))} of ${text(formatDuration(allowed))}`;

export const conePhrase = ({ value, allowed, limit }: Reading, unit: TemperatureUnit): string =>
  `does as ${formatTemperature(value, unit).figure} ${limit === 'coneLeast' ? 'of at least' : 'of at most'} ${text(formatTemperature(allowed, unit))}`;

export function brokenEmpty({ limit, value, allowed }: Reading, unit: TemperatureUnit): string {
  if (limit === 'heldThrough')
    return `Its coldest place has ${text(formatDuration(value))} of the ${text(formatDuration(allowed))} it needs: hold longer, and for drying under the boil.`;
  const off = `${differenceIn(Math.abs(value - allowed), unit).toFixed(0)} °${unit}`;
  return limit === 'coneLeast'
    ? `It does as a climb to ${text(formatTemperature(value, unit))} does, ${off} short of its cone: go a little hotter or hold longer.`
    : `It does as a climb to ${text(formatTemperature(value, unit))} does, ${off} past its cone: go a little cooler.`;
}

export const hurriedEmpty = ({ value, allowed }: Reading, unit: TemperatureUnit): string =>
  `${text(formatRate(value, unit))} is too fast by ${text(formatRate(value - allowed, unit))}: it may crack. Slow down.`;
