/** A mix as it is typed: by shares, as coats, as plaster round a model, or as scrap by grades. */
import { footprintArea } from '@torvin/core/body';
import { type MixAsked, SHARES_OF, type ShareOf } from '@torvin/core/quantity';
import { COAT, type Units, formatCoat, massFrom, parseStrewn, text, suggested } from '@torvin/core/units';
import { OUTLINES, readHollow, readOutline, spreadSizes } from './hollowEntry';
import { type Read, type Reader, type Typed, hasUnit, readTyped } from './typed';

export const MIXES = ['shares', 'coats', 'plaster', 'crush'] as const;
export const GRADES = ['coarse', 'medium', 'fine', 'powder'] as const;
const PARTS_AT_MOST = 8;

/** What is taken where it is left empty. */
export const USUAL = { coat_kg_m2: 0.12, coats: 5, water: 5, bulk_kg_m3: 700, wall_m: 0.02 } as const;

/** A gram, or a twentieth of an ounce. */
export const usualStep = ({ mass }: Units): number => massFrom(mass === 'g' ? 1 : 0.05, mass);

export const partsIn = (typed: Typed): number => Math.min(Math.max(Number(typed.parts ?? 2) || 2, 1), PARTS_AT_MOST);
export const additivesIn = (typed: Typed): number => Math.min(Math.max(Number(typed.additives ?? 0) || 0, 0), PARTS_AT_MOST);
export const canAdd = (count: number): boolean => count < PARTS_AT_MOST;

const MASS = { least: 1e-3, most: 200 };
const PERCENT = { least: 0, most: 100 };

/** '3 : 1 : 2', as so many numbers. */
export function readRatio(words: string, count: number): number[] | null {
  const parts = words.split(':').map((part) => Number(part.trim().replace(',', '.')));
  return parts.length === count && parts.every((part) => Number.isFinite(part) && part >= 0) ? parts : null;
}

/** What the share of an additive is of; not told yet where null. */
export const shareOf = (typed: Typed, i: number): ShareOf | null => SHARES_OF.find((one) => one === typed[`a${i}.of`]) ?? null;

/** What a share is of is asked once: from then on it is as it was kept in this studio, of the same additive where that was among them. */
export function withMeanings(typed: Typed, kept: readonly { kind: string; typed: Typed }[]): Typed {
  const named = (of: Typed, i: number): string => (of[`a${i}.name`] ?? '').trim().toLowerCase();
  const told = kept
    .filter(({ kind }) => kind === 'mixes')
    .flatMap(({ typed: was }) => Array.from({ length: additivesIn(was) }, (_, i) => ({ name: named(was, i), of: shareOf(was, i) })))
    .filter(({ of }) => of !== null);
  const meant = Array.from({ length: additivesIn(typed) }, (_, i) => {
    const of = shareOf(typed, i) ?? (told.find(({ name }) => name === named(typed, i)) ?? told.at(0))?.of;
    return of ? [[`a${i}.of`, of]] : [];
  });
  return { ...typed, ...Object.fromEntries(meant.flat()) };
}

const percentOf = (read: Reader, field: string, name: string, range = PERCENT): number => read.figure(field, name, range) / 100;

function readShares(read: Reader, typed: Typed, step_kg: number): MixAsked {
  const parts = Array.from({ length: partsIn(typed) }, (_, i) => ({
    name: read.words(`p${i}.name`) || `part ${i + 1}`,
    share: read.figure(`p${i}.share`, `share of part ${i + 1}`, { least: 0, most: 1000 }),
  }));
  const additives = Array.from({ length: additivesIn(typed) }, (_, i) => {
    const name = read.words(`a${i}.name`) || `additive ${i + 1}`;
    const of = read.chosen(`a${i}.of`, `what the share of ${name} is of`, SHARES_OF);
    return {
      ...{ name, of, share: percentOf(read, `a${i}.percent`, `share of additive ${i + 1}`) },
      ...(of === 'solution' ? { liquid: percentOf(read, `a${i}.liquid`, `liquid of additive ${i + 1}`, { least: 0, most: 1000 }) } : {}),
    };
  });
  return { kind: 'shares', total_kg: read.figure('total', 'total', MASS), parts, additives, step_kg };
}

const COAT_kg_m2 = { least: 0.001, most: 5 };

function coatOf(read: Reader, units: Units): number {
  const words = read.words('coat');
  const coat = parseStrewn(hasUnit(words) ? words : `${words} ${COAT.unit(units)}`, 'perArea', units, 'coat');
  const taken = coat.ok && 'perArea_kg_m2' in coat.value ? coat.value.perArea_kg_m2 : Number.NaN;
  if (taken >= COAT_kg_m2.least && taken <= COAT_kg_m2.most) return taken;
  read.wrong(
    'coat',
    `Write what a wet coat takes on an area, for example ${coatText(units)}; it must be from ${coatText(units, COAT_kg_m2.least)} to ${coatText(units, COAT_kg_m2.most)}.`,
  );
  return Number.NaN;
}

/** A coat, the usual one where no other is told, as it would be typed. */
export const coatText = (units: Units, kg_m2: number = USUAL.coat_kg_m2): string => text(formatCoat(kg_m2, units));

function readCoats(read: Reader, typed: Typed, units: Units, step_kg: number): MixAsked {
  const area_m2 = footprintArea(readOutline(read, '', units));
  const perCoat_kg_m2 = read.maybe('coat', () => coatOf(read, units)) ?? USUAL.coat_kg_m2;
  const coats = read.maybe('coats', () => read.figure('coats', 'number of coats', { least: 1, most: 100 })) ?? USUAL.coats;
  const waterToPowder = read.maybe('water', () => read.figure('water', 'water to one of powder', { least: 0.05, most: 50 })) ?? USUAL.water;
  return { kind: 'coats', area_m2, perCoat_kg_m2, coats, waterToPowder, ...(typed.byMass === 'yes' ? {} : { bulk_kg_m3: USUAL.bulk_kg_m3 }), step_kg };
}

function readPlaster(read: Reader, units: Units, step_kg: number): MixAsked {
  const model = readHollow(read, '', units);
  const wall_m = read.maybe('wall', () => read.figure('wall', 'wall', { least: 0.003, most: 0.2 })) ?? suggested(USUAL.wall_m, units.length);
  const words = read.words('ratio');
  const [plaster, silica, water] = (words === '' ? [1, 1, 1] : readRatio(words, 3)) ?? [NaN, NaN, NaN];
  if (Number.isNaN(plaster)) read.wrong('ratio', 'Write plaster : silica : water, for example 1 : 1 : 1.');
  return { kind: 'plaster', model, wall_m, shares: { plaster, silica, water }, step_kg };
}

function readCrush(read: Reader, step_kg: number): MixAsked {
  const yields = GRADES.flatMap((name) => {
    const share = read.maybe(`yield-${name}`, () => percentOf(read, `yield-${name}`, `share of ${name}`));
    return share === undefined ? [] : [{ name, share }];
  });
  // One at least has to be told.
  if (yields.length === 0) read.figure(`yield-${GRADES[0]}`, 'share of each grade', PERCENT);
  const wanted_kg = read.maybe('wanted', () => read.figure('wanted', 'mass that is wanted', MASS));
  const scrap_kg = wanted_kg === undefined ? read.figure('scrap', 'scrap', MASS) : undefined;
  return {
    ...{ kind: 'crush', yields, step_kg },
    ...(scrap_kg === undefined ? {} : { scrap_kg }),
    ...(wanted_kg === undefined ? {} : { wanted: { name: read.choice('grade', GRADES), mass_kg: wanted_kg } }),
  };
}

export function readMix(typed: Typed, units: Units): Read<MixAsked> {
  const kind = MIXES.find((one) => one === typed.mix) ?? MIXES[0];
  const spread = kind === 'coats' ? spreadSizes(typed, '', OUTLINES) : kind === 'plaster' ? spreadSizes(typed, '') : typed;
  return readTyped(spread, units, (read) => {
    const step_kg = read.maybe('step', () => read.figure('step', 'step of the scale', { least: 1e-6, most: 0.1 })) ?? usualStep(units);
    switch (kind) {
      case 'shares':
        return readShares(read, typed, step_kg);
      case 'coats':
        return readCoats(read, typed, units, step_kg);
      case 'plaster':
        return readPlaster(read, units, step_kg);
      case 'crush':
        return readCrush(read, step_kg);
    }
  });
}

/** The field that a refusal of the core belongs to. */
export const fieldOfMix = (path: string): string =>
  ({ parts: 'p0.share', additives: 'a0.percent', yields: `yield-${GRADES[0]}`, wanted: 'wanted', scrap_kg: 'scrap', shares: 'ratio' })[path.split('.')[0]] ??
  path;
