/** What a mould in the making takes: wax, powder and water, and what it weighs wet and dry. Lengths in m, masses in kg. */
import { type FormShape, formMass, insideOf, outsideVolume, touchedArea } from '../form/shape';
import { slurry } from '../quantity/mix';
import { type Making, standsIn } from './making';

/** Of modelling and casting wax, kg/m³. */
const WAX_kg_m3 = 930;
/** Water to dry castable, by mass; as little as lets it flow into the mould. */
const CASTABLE_WATER = 0.09;
/** What clay draws in from wet to bisque, as a share of its wet size. */
export const CLAY_DRAWS_IN = { least: 0.05, most: 0.08 } as const;
/**
 * Water that plaster binds as it sets, by mass of what is bought: the hemihydrate becomes the dihydrate, CaSO4·½H2O + 1½ H2O, by their
 * molar masses. What is over that has to dry away.
 */
export const BINDS_WATER = (1.5 * 18.015) / 145.15;

export interface Amounts {
  /** Of what stands in the mould, and of the wax for it where it is of wax. */
  model_m3: number | null;
  wax_kg: number | null;
  /** To be weighed out; empty where nothing is mixed. */
  mixed: { name: string; mass_kg: number }[];
  wet_kg: number | null;
  /** As it weighs dried in the air; null where it is only told by weighing. */
  dry_kg: number | null;
}

const NONE: Amounts = { model_m3: null, wax_kg: null, mixed: [], wet_kg: null, dry_kg: null };

export function amountsFor(making: Omit<Making, 'rubberCoats'>, form: FormShape): Amounts {
  if (making.way === 'castable') {
    const dry_kg = formMass(form);
    const water_kg = CASTABLE_WATER * dry_kg;
    return {
      ...NONE,
      mixed: [
        { name: 'castable', mass_kg: dry_kg },
        { name: 'water', mass_kg: water_kg },
      ],
      wet_kg: dry_kg + water_kg,
    };
  }
  if (making.way !== 'investment') return NONE;
  const inside = insideOf(form);
  // As the wax was weighed, before what its measures tell.
  const weighed = making.told.findLast(({ stage, mass_kg }) => (stage === 'wax' || stage === 'model') && mass_kg !== undefined)?.mass_kg;
  const isWax = standsIn(making) === 'wax';
  const solid_m3 = inside.ok ? inside.value.heldTo(Infinity) : 0;
  const told_m3 = isWax && making.waxWall_m !== undefined ? Math.min(touchedArea(form) * making.waxWall_m, solid_m3) : solid_m3;
  const model_m3 = isWax && weighed !== undefined ? weighed / WAX_kg_m3 : told_m3;
  const { plaster, silica, water } = slurry(Math.max(outsideVolume(form) - model_m3, 0), {
    plaster: making.plasterShare,
    silica: making.silicaShare,
    water: making.waterShare,
  });
  return {
    model_m3,
    wax_kg: isWax ? model_m3 * WAX_kg_m3 : null,
    mixed: [
      { name: 'plaster', mass_kg: plaster },
      { name: 'silica', mass_kg: silica },
      { name: 'water', mass_kg: water },
    ],
    wet_kg: plaster + silica + water,
    dry_kg: plaster * (1 + BINDS_WATER) + silica,
  };
}

/** Wax that steam left in the mould: what was in it less what came out; null where one of the two was not weighed. */
export function waxLeft({ told, ...making }: Pick<Making, 'model' | 'flexible' | 'told'>, wax_kg: number | null): number | null {
  const out = told.findLast(({ stage }) => stage === 'clear')?.mass_kg;
  const was = told.findLast(({ stage, mass_kg }) => (stage === 'wax' || stage === 'model') && mass_kg !== undefined)?.mass_kg ?? wax_kg;
  return standsIn(making) !== 'wax' || out === undefined || was === null ? null : Math.max(was - out, 0);
}
