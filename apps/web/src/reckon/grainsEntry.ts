/** 'Grains on an area' as they are typed: an outline less its holes, how much, how coarse, how hot. */
import { type Footprint, footprintArea } from '@torvin/core/body';
import type { GlassConstants } from '@torvin/core/glass';
import { TYPICAL_WORKS } from '@torvin/core/look';
import { type StrewnAsked, WETNESSES } from '@torvin/core/quantity';
import { type Units, parseStrewn } from '@torvin/core/units';
import { OUTLINES, readOutline, spreadSizes } from './hollowEntry';
import { type Read, type Reader, type Typed, readTyped, sizesApart } from './typed';

/** Grains by the names that they go by, and how coarse those typically are, m. */
export const GRAINS = { powder: 0.0002, fine: 0.0008, medium: 0.002, coarse: 0.004 } as const;
export type GrainName = keyof typeof GRAINS;
export const GRAIN_NAMES = Object.keys(GRAINS) as [GrainName, ...GrainName[]];

/** By the piece's own next firing, by one that grains are fired in, or as it was strewn. */
export const GRAIN_HEATS = ['own', 'lace', 'wafer', 'tack', 'fullFuse', 'cold'] as const;
export type GrainHeat = (typeof GRAIN_HEATS)[number];

/** own: of the piece's next firing, where that is known. */
function workOfHeat(heat: GrainHeat, own: number | null): number | undefined {
  if (heat === 'own') return own ?? undefined;
  if (heat === 'cold') return undefined;
  const { least, most } = TYPICAL_WORKS[heat];
  return Math.sqrt(least * most);
}

const SIDE = { least: 0.001, most: 2 };

/** '30' is a round hole, '20 × 30 mm' a square one; how many of them. */
function holesIn(read: Reader, units: Units): number {
  const words = read.words('hole');
  if (words === '') return 0;
  const count = read.maybe('holes', () => read.figure('holes', 'number of holes', { least: 1, most: 1000 })) ?? 1;
  const apart = sizesApart(words, 2);
  if (!apart) return (count * Math.PI * read.figure('hole', 'hole', SIDE) ** 2) / 4;
  const [width, length] = apart.map((size) => readTyped({ size }, units, (one) => one.figure('size', 'hole', SIDE)).value);
  if (width === null || length === null) {
    read.wrong('hole', 'Write a round hole as 30 mm, a square one as 20 × 30 mm.');
    return Number.NaN;
  }
  return count * width * length;
}

/** A bare number is a mass; '0.3 g/cm2' is a mass on each area. */
function amountIn(read: Reader, units: Units): StrewnAsked['amount'] {
  const film = read.words('film');
  const words = read.words('grains');
  if (film !== '' && words === '') return { by: 'film', film_m: read.figure('film', 'film', { least: 1e-6, most: 0.3 }) };
  const strewn = words === '' ? null : parseStrewn(words, 'mass', units, 'grains');
  if (!strewn) return { by: 'mass', mass_kg: read.figure('grains', 'mass', { least: 1e-5, most: 200 }) };
  if (!strewn.ok) {
    read.wrong('grains', strewn.problem.message);
    return { by: 'mass', mass_kg: Number.NaN };
  }
  if ('perArea_kg_m2' in strewn.value) {
    if (strewn.value.perArea_kg_m2 > 0.001 && strewn.value.perArea_kg_m2 < 1000) return { by: 'perArea', perArea_kg_m2: strewn.value.perArea_kg_m2 };
    read.wrong('grains', 'So much does not lie on an area: check the unit.');
    return { by: 'mass', mass_kg: Number.NaN };
  }
  return { by: 'mass', mass_kg: read.figure('grains', 'mass', { least: 1e-5, most: 200 }) };
}

export function readGrains(typed: Typed, units: Units, glass: GlassConstants, ownWork: number | null): Read<StrewnAsked> {
  return readTyped(spreadSizes(typed, '', OUTLINES), units, (read) => {
    const outline: Footprint = readOutline(read, '', units);
    const holes_m2 = holesIn(read, units);
    if (holes_m2 > 0 && footprintArea(outline) <= holes_m2) read.wrong('hole', 'The holes leave nothing of the area: check their size and their number.');
    const open = read.maybe('open', () => read.figure('open', 'open share', { least: 1, most: 100 }));
    const coats = read.maybe('coats', () => read.figure('coats', 'number of coats', { least: 1, most: 100 }));
    const own = read.maybe('grain', () => read.figure('grain', 'grain', { least: 1e-5, most: 0.03 }));
    const work_perPa = workOfHeat(read.choice('heat', GRAIN_HEATS), ownWork);
    const wetness = read.choice('wetness', WETNESSES);
    return {
      ...{ glass, outline, amount: amountIn(read, units), grain_m: own ?? GRAINS[grainIn(typed)] },
      ...(holes_m2 > 0 ? { holes_m2 } : {}),
      ...(open === undefined ? {} : { open: open / 100 }),
      ...(coats === undefined ? {} : { coats }),
      ...(work_perPa === undefined ? {} : { work_perPa }),
      ...(wetness === 'dry' ? {} : { wetness }),
    };
  });
}

export const grainIn = (typed: Typed): GrainName => GRAIN_NAMES.find((one) => one === typed.size) ?? 'medium';

/** The field that a refusal of the core belongs to. */
export const fieldOfGrains = (path: string): string => (path === 'holes_m2' ? 'hole' : path.replace(/_(m|kg)$/, ''));
