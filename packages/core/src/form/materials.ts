/**
 * What moulds and formers are made of, by typical figures; the maker's or the studio's own stand above them. Expansion is the mean from
 * room temperature to where glass sets. Sources: handbooks of refractories and of steels, rounded.
 */

/** How fast a wall of wall_m may be warmed, K/s, up to past_C, and as much slower as it is thicker. */
interface WarmedBy {
  pace_K_per_s: number;
  wall_m: number;
  past_C: number;
}

export interface FormMaterial {
  name: string;
  expansion_perK: number;
  conductivity_W_mK: number;
  density_kg_m3: number;
  heatCapacity_J_kgK: number;
  /** What it bears again and again, °C. */
  top_C: number;
  warmed?: WarmedBy;
  /** From here on it flakes, and thin sheet and grids of it sag, °C; left out where it does not below its top. */
  scales_C?: number;
  sags_C?: number;
  /** As it is drawn. */
  colour: string;
  note?: string;
}

const perHour = (value: number): number => value / 3600;
const CLAY: WarmedBy = { pace_K_per_s: perHour(200), wall_m: 0.01, past_C: 600 };

export const FORM_MATERIALS = {
  earthenware: {
    ...{ name: 'Earthenware bisque', expansion_perK: 6.5e-6, conductivity_W_mK: 0.9, density_kg_m3: 1850, heatCapacity_J_kgK: 950 },
    ...{ top_C: 950, warmed: CLAY, colour: '#D8A98A' },
  },
  stoneware: {
    ...{ name: 'Stoneware', expansion_perK: 5e-6, conductivity_W_mK: 1.1, density_kg_m3: 2100, heatCapacity_J_kgK: 1000 },
    ...{ top_C: 1100, warmed: CLAY, colour: '#BFA58F' },
  },
  cordierite: {
    ...{ name: 'Cordierite-mullite', expansion_perK: 3e-6, conductivity_W_mK: 1.5, density_kg_m3: 2000, heatCapacity_J_kgK: 1050 },
    ...{ top_C: 1250, colour: '#C9B79C' },
  },
  stainless: {
    ...{ name: 'Stainless steel', expansion_perK: 18e-6, conductivity_W_mK: 22, density_kg_m3: 7900, heatCapacity_J_kgK: 540 },
    ...{ top_C: 900, scales_C: 870, sags_C: 850, colour: '#9AA4A8' },
  },
  mildSteel: {
    ...{ name: 'Mild steel', expansion_perK: 13e-6, conductivity_W_mK: 38, density_kg_m3: 7850, heatCapacity_J_kgK: 620 },
    ...{ top_C: 780, scales_C: 550, sags_C: 750, colour: '#7D7A78' },
  },
  plasterSilica: {
    ...{ name: 'Plaster-silica investment', expansion_perK: 11e-6, conductivity_W_mK: 0.45, density_kg_m3: 1150, heatCapacity_J_kgK: 1000 },
    ...{ top_C: 900, warmed: { pace_K_per_s: perHour(60), wall_m: 0.025, past_C: 600 }, colour: '#E4E0D6' },
    note: 'shrinks and inverts besides: judge by use',
  },
  fusedSilica: {
    ...{ name: 'Fused-silica castable', expansion_perK: 0.7e-6, conductivity_W_mK: 0.9, density_kg_m3: 2000, heatCapacity_J_kgK: 1000 },
    ...{ top_C: 1100, warmed: { pace_K_per_s: perHour(150), wall_m: 0.025, past_C: 400 }, colour: '#BDB5A6' },
  },
  alumina: {
    ...{ name: 'Alumina', expansion_perK: 8e-6, conductivity_W_mK: 5, density_kg_m3: 3000, heatCapacity_J_kgK: 1050 },
    ...{ top_C: 1400, warmed: { pace_K_per_s: perHour(150), wall_m: 0.01, past_C: 800 }, colour: '#D9D3C6' },
  },
  vermiculite: {
    ...{ name: 'Vermiculite board', expansion_perK: 8e-6, conductivity_W_mK: 0.18, density_kg_m3: 430, heatCapacity_J_kgK: 950 },
    ...{ top_C: 1000, colour: '#CBB98F', note: 'gives off water and some smell at its first firing' },
  },
  fibre: {
    ...{ name: 'Fibre board', expansion_perK: 3e-6, conductivity_W_mK: 0.12, density_kg_m3: 320, heatCapacity_J_kgK: 1050 },
    ...{ top_C: 1100, colour: '#EDEAE2', note: 'gives a little under the glass: it hardly grips' },
  },
} satisfies Record<string, FormMaterial>;
export type FormMaterialName = keyof typeof FORM_MATERIALS;
export const FORM_MATERIAL_NAMES = Object.keys(FORM_MATERIALS) as [FormMaterialName, ...FormMaterialName[]];

/** A material with what a studio knows better of its own. */
export interface OwnMaterial {
  material: FormMaterialName;
  expansion_perK?: number;
  conductivity_W_mK?: number;
  density_kg_m3?: number;
  heatCapacity_J_kgK?: number;
  top_C?: number;
  /** No faster than this up to there; by its material and wall where left out. */
  pace_K_per_s?: number;
  paceTo_C?: number;
}

/** A material that the studio has told of: most like one that ships, its own figures in the place of that one's. */
export interface StudioMaterial extends OwnMaterial {
  id: string;
  name: string;
}

const MATERIAL_FIGURES = ['expansion_perK', 'conductivity_W_mK', 'density_kg_m3', 'heatCapacity_J_kgK', 'top_C', 'pace_K_per_s', 'paceTo_C'] as const;

/** A form with the figures of the studio's own material that it is made of; those that it has itself stand above them. */
export function ofOwnMaterial<T extends OwnMaterial & { materialId?: string }>(form: T, materials: readonly StudioMaterial[] = []): T {
  const own = materials.find(({ id }) => id === form.materialId);
  if (!own) return form;
  const figures = Object.fromEntries(MATERIAL_FIGURES.flatMap((key) => (own[key] === undefined ? [] : [[key, own[key]]])));
  const told = Object.fromEntries(MATERIAL_FIGURES.flatMap((key) => (form[key] === undefined ? [] : [[key, form[key]]])));
  return { ...form, material: own.material, ...figures, ...told };
}

const OWN = ['expansion_perK', 'conductivity_W_mK', 'density_kg_m3', 'heatCapacity_J_kgK', 'top_C'] as const;

export function materialOf(form: OwnMaterial): FormMaterial {
  const own = Object.fromEntries(OWN.flatMap((key) => (form[key] === undefined ? [] : [[key, form[key]]])));
  return { ...FORM_MATERIALS[form.material], ...own };
}

/** Walls thinner than the one that a pace is told for are warmed no faster than so many times it. */
const THIN_AT_MOST = 1.5;

const SOFT: readonly FormMaterialName[] = ['vermiculite', 'fibre'];

/**
 * How well a plate bears being warmed unequally, against one of cordierite: by what evens it out over what it swells by, κ/α. Metal gives
 * and board is soft: neither cracks of it.
 */
export function bearsUnevenHeat(form: OwnMaterial): number {
  if (isMetal(form.material) || SOFT.includes(form.material)) return Infinity;
  const evens = ({ conductivity_W_mK, density_kg_m3, heatCapacity_J_kgK, expansion_perK }: FormMaterial): number =>
    conductivity_W_mK / (density_kg_m3 * heatCapacity_J_kgK * expansion_perK);
  return evens(materialOf(form)) / evens(FORM_MATERIALS.cordierite);
}

/** Bent of sheet, welded or cast: it scales and sags where others crack or crumble. */
export const isMetal = (material: FormMaterialName): boolean => material === 'stainless' || material === 'mildSteel';

/** How fast a form of so thick a wall may be warmed, °C/h, and up to where; null where it bears what the kiln can give. */
export function formPace(form: OwnMaterial & { thick_m: number }): { C_per_h: number; past_C: number } | null {
  if (form.pace_K_per_s !== undefined && form.paceTo_C !== undefined) return { C_per_h: form.pace_K_per_s * 3600, past_C: form.paceTo_C };
  const { warmed } = FORM_MATERIALS[form.material] as FormMaterial;
  return warmed ? { C_per_h: warmed.pace_K_per_s * 3600 * Math.min(THIN_AT_MOST, warmed.wall_m / form.thick_m), past_C: warmed.past_C } : null;
}
