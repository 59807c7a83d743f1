/**
 * Mixes as a bench weighs them: by shares on a scale that has steps, with additives by share; coats of primer; plaster, silica and
 * water round a model; scrap crushed and sieved. Masses in kg; shares by mass unless said otherwise.
 */
import { type Footprint, footprintArea, insetBy } from '../body/footprint';
import { type Outcome, found, refused } from '../problem';
import { type Hollow, fromAbove, volumeOf } from './hollow';
import { WATER_kg_m3 } from '../units/physical';

/** What a share of an additive is a share of: of all that is mixed, of the glass, or of a liquid that is added to the glass. */
export const SHARES_OF = ['whole', 'glass', 'solution'] as const;
export type ShareOf = (typeof SHARES_OF)[number];

export interface Additive {
  name: string;
  share: number;
  of: ShareOf;
  /** Of the liquid that it is dissolved in, as a share of the glass. */
  liquid?: number;
}

export interface Weighed {
  name: string;
  exact_kg: number;
  /** As the scale can show it: whole steps, one at least. */
  weighed_kg: number;
  /** Of all that is weighed. */
  share: number;
}

export type MixAsked =
  /** Parts by share, as 3 : 1; total_kg: of all of it, additives too. */
  | { kind: 'shares'; total_kg: number; parts: readonly { name: string; share: number }[]; additives?: readonly Additive[]; step_kg: number }
  /** Wet coats on an area; water to powder by mass, or by volume where the bulk of the powder is told. */
  | { kind: 'coats'; area_m2: number; perCoat_kg_m2: number; coats: number; waterToPowder: number; bulk_kg_m3?: number; step_kg: number }
  /** Poured round a model in a flask, with so much wall at its sides and over it. */
  | { kind: 'plaster'; model: Hollow; wall_m: number; shares: SlurryShares; step_kg: number }
  /** Crushed and sieved: a share of each grade; what is left is lost to dust, magnet and wash. wanted: so much of one grade. */
  | { kind: 'crush'; yields: readonly { name: string; share: number }[]; scrap_kg?: number; wanted?: { name: string; mass_kg: number }; step_kg: number };

export interface MixTold {
  weighed: Weighed[];
  total_kg: number;
  /** The greatest that any part is off by for the steps of the scale, as a share of it. */
  off: number;
  /** Of plaster: what is poured, and the flask that holds it. */
  flask: { volume_m3: number; outline: Footprint; depth_m: number } | null;
  /** Of scrap: what has to be crushed, and what is lost of it. */
  crushed: { scrap_kg: number; lost_kg: number } | null;
}

/** Of plaster as it is bought (the hemihydrate) and of quartz, kg/m³: what they take up in a slurry. */
const PLASTER_kg_m3 = 2700;
const SILICA_kg_m3 = 2650;

function weigh(exact: readonly { name: string; exact_kg: number }[], step_kg: number): Pick<MixTold, 'weighed' | 'total_kg' | 'off'> {
  const rounded = exact.map((one) => ({ ...one, weighed_kg: one.exact_kg > 0 ? Math.max(Math.round(one.exact_kg / step_kg), 1) * step_kg : 0 }));
  const total_kg = rounded.reduce((sum, { weighed_kg }) => sum + weighed_kg, 0);
  return {
    total_kg,
    weighed: rounded.map((one) => ({ ...one, share: total_kg > 0 ? one.weighed_kg / total_kg : 0 })),
    off: Math.max(0, ...rounded.filter(({ exact_kg }) => exact_kg > 0).map(({ exact_kg, weighed_kg }) => Math.abs(weighed_kg / exact_kg - 1))),
  };
}

const NOTHING = { flask: null, crushed: null };

function byShares({ total_kg, parts, additives = [], step_kg }: Extract<MixAsked, { kind: 'shares' }>): Outcome<MixTold> {
  const sum = parts.reduce((all, { share }) => all + share, 0);
  if (sum <= 0) return refused('out-of-range', 'parts', 'The shares come to nothing: give at least one of the parts a share.');
  const of = (kind: ShareOf, share: (one: Additive) => number): number => additives.filter((one) => one.of === kind).reduce((all, one) => all + share(one), 0);
  const ofWhole = of('whole', ({ share }) => share);
  if (ofWhole >= 1) return refused('out-of-range', 'additives', 'The additives come to 100 % or more. Leave room for the glass.');
  const glass_kg = (total_kg * (1 - ofWhole)) / (1 + of('glass', ({ share }) => share) + of('solution', ({ liquid = 0 }) => liquid));
  const added = additives.flatMap(({ name, share, of: meant, liquid = 0 }) => {
    if (meant === 'whole') return [{ name, exact_kg: share * total_kg }];
    if (meant === 'glass') return [{ name, exact_kg: share * glass_kg }];
    const liquid_kg = liquid * glass_kg;
    return [
      { name, exact_kg: share * liquid_kg },
      { name: 'water', exact_kg: (1 - share) * liquid_kg },
    ];
  });
  return found({ ...weigh([...parts.map(({ name, share }) => ({ name, exact_kg: (glass_kg * share) / sum })), ...added], step_kg), ...NOTHING });
}

function coats({ area_m2, perCoat_kg_m2, coats: count, waterToPowder, bulk_kg_m3, step_kg }: Extract<MixAsked, { kind: 'coats' }>): MixTold {
  const wet_kg = area_m2 * perCoat_kg_m2 * count;
  const ratio = bulk_kg_m3 === undefined ? waterToPowder : (waterToPowder * WATER_kg_m3) / bulk_kg_m3;
  const powder_kg = wet_kg / (1 + ratio);
  return {
    ...weigh(
      [
        { name: 'powder', exact_kg: powder_kg },
        { name: 'water', exact_kg: ratio * powder_kg },
      ],
      step_kg,
    ),
    ...NOTHING,
  };
}

/** A ring's flask is a disc: its core is poured too. */
function flaskRound(model: Hollow, wall_m: number): Footprint {
  const outline = fromAbove(model);
  return insetBy(outline.shape === 'ring' ? { shape: 'disc', diameter_m: outline.diameter_m } : outline, -wall_m);
}

export type SlurryShares = Record<'plaster' | 'silica' | 'water', number>;

/** What so much slurry is mixed of, kg; shares by mass. */
export function slurry(volume_m3: number, { plaster, silica, water }: SlurryShares): SlurryShares {
  const perShare_kg = volume_m3 / (plaster / PLASTER_kg_m3 + silica / SILICA_kg_m3 + water / WATER_kg_m3);
  return { plaster: plaster * perShare_kg, silica: silica * perShare_kg, water: water * perShare_kg };
}

function plaster({ model, wall_m, shares, step_kg }: Extract<MixAsked, { kind: 'plaster' }>): Outcome<MixTold> {
  if (shares.water <= 0 || shares.plaster <= 0)
    return refused('out-of-range', 'shares', 'A slurry needs plaster and water: write the shares as plaster : silica : water, for example 1 : 1 : 1.');
  const outline = flaskRound(model, wall_m);
  const depth_m = model.depth_m + wall_m;
  const volume_m3 = footprintArea(outline) * depth_m - volumeOf(model);
  const mixed = slurry(volume_m3, shares);
  const parts = (['plaster', 'silica', 'water'] as const).map((name) => ({ name, exact_kg: mixed[name] }));
  return found({ ...weigh(parts, step_kg), flask: { volume_m3, outline, depth_m }, crushed: null });
}

function crush({ yields, scrap_kg, wanted, step_kg }: Extract<MixAsked, { kind: 'crush' }>): Outcome<MixTold> {
  const all = yields.reduce((sum, { share }) => sum + share, 0);
  if (all > 1 + 1e-9) return refused('out-of-range', 'yields', 'The grades come to more than was crushed. Keep their shares to 100 % or less.');
  const grade = wanted && yields.find(({ name }) => name === wanted.name);
  if (wanted && !(grade && grade.share > 0)) return refused('unknown-id', 'wanted', 'Nothing of that grade comes out: tell its share first.');
  const scrap = wanted && grade ? wanted.mass_kg / grade.share : scrap_kg;
  if (scrap === undefined) return refused('missing', 'scrap_kg', 'Enter how much scrap there is, or how much of one grade you want.');
  return found({
    ...weigh(
      yields.map(({ name, share }) => ({ name, exact_kg: scrap * share })),
      step_kg,
    ),
    ...{ flask: null, crushed: { scrap_kg: scrap, lost_kg: scrap * (1 - all) } },
  });
}

export function mix(asked: MixAsked): Outcome<MixTold> {
  switch (asked.kind) {
    case 'shares':
      return byShares(asked);
    case 'coats':
      return found(coats(asked));
    case 'plaster':
      return plaster(asked);
    case 'crush':
      return crush(asked);
  }
}
