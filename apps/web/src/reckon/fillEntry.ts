/** 'How far it fills' as it is typed. */
import type { GlassConstants } from '@torvin/core/glass';
import { TYPICAL_WORKS } from '@torvin/core/look';
import type { Filler, Filling } from '@torvin/core/quantity';
import type { Units } from '@torvin/core/units';
import { readHollow, spreadSizes } from './hollowEntry';
import { type Read, type Reader, type Typed, readTyped } from './typed';

export const FILLERS = ['mass', 'segments', 'grains'] as const;
/** How hot it will be, by the firings that a heap is run level in. */
export const HEATS = ['untold', 'fullFuse', 'slabFlow', 'cast'] as const;

const MASS = { least: 1e-3, most: 200 };
const SHARE = { least: 20, most: 90 };
/** Of the bulk of crushed glass poured loosely this much is glass. */
export const LOOSE_PERCENT = 60;

const workOf = (heat: (typeof HEATS)[number]): number | undefined => {
  if (heat === 'untold') return undefined;
  const { least, most } = TYPICAL_WORKS[heat];
  return Math.sqrt(least * most);
};

function fillerOf(read: Reader): Filler {
  const by = read.choice('filler', FILLERS);
  switch (by) {
    case 'mass':
      return { by, mass_kg: read.figure('mass', 'mass', MASS) };
    case 'segments':
      return {
        ...{ by, depth_m: read.figure('stands', 'depth of the segments', { least: 0.001, most: 0.3 }) },
        cover: read.figure('cover', 'share of the floor', { least: 5, most: 100 }) / 100,
      };
    case 'grains':
      return { by, packing: packingOf(read) ?? LOOSE_PERCENT / 100 };
  }
}

function packingOf(read: Reader): number | undefined {
  const percent = read.maybe('packing', () => read.figure('packing', 'share that is glass', SHARE));
  return percent === undefined ? undefined : percent / 100;
}

export function readFill(typed: Typed, units: Units, glass: GlassConstants): Read<Filling> {
  return readTyped(spreadSizes(typed, ''), units, (read) => {
    const hollow = readHollow(read, '', units);
    const liner_m = read.maybe('liner', () => read.figure('liner', 'liner', { least: 0, most: 0.05 }));
    const filler = fillerOf(read);
    if (filler.by === 'segments') read.maybe('count', () => read.figure('count', 'number of segments', { least: 1, most: 400 }));
    const poured = filler.by === 'mass' && typed.loose === 'yes' ? (packingOf(read) ?? LOOSE_PERCENT / 100) : undefined;
    const work_perPa = workOf(read.choice('heat', HEATS));
    const isLast = read.words('lastMass') !== '' || read.words('back') !== '';
    const last = isLast
      ? { mass_kg: read.figure('lastMass', 'mass of last time', MASS), back_m: read.figure('back', 'way it stood back', { least: 0, most: 0.2 }) }
      : undefined;
    return {
      ...{ glass, hollow, filler },
      ...(liner_m === undefined ? {} : { liner_m }),
      ...(poured === undefined ? {} : { packing: poured }),
      ...(work_perPa === undefined ? {} : { work_perPa }),
      ...(last ? { last } : {}),
    };
  });
}

/** The field that a refusal of the core belongs to. */
export const fieldOfFilling = (path: string): string => path.replace(/^filler\.by$/, 'filler').replace(/_(m|kg)$/, '');

/** How many segments there are, where it was told: they are laid in as so many pieces. */
export function segmentsIn(typed: Typed): number | null {
  const count = Number((typed.count ?? '').trim() || Number.NaN);
  return Number.isInteger(count) && count >= 1 ? count : null;
}
