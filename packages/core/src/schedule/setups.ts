/**
 * How a body stands in the kiln: what lies under it and how its two faces exchange heat. All figures are typical and
 * editable; a reading under the glass replaces them.
 */
import { type Face, shaded } from '../heat/exchange';
import type { StackLayer } from '../heat/stack';
import { bearsUnevenHeat, formPace, materialOf } from '../form/materials';
import { type FormShape, alongOf, plateOf } from '../form/shape';
import type { EmptyItem } from '../emptyFiring/emptyItems';
import { type Shaping, cavityOf, emptyItemOf } from '../look/shaping';
import { type Coat, isLaid } from '../release/coat';

type SupportLayer = Extract<StackLayer, { of: 'support' }>;

export interface SetUp {
  /** What lies under the glass; index 0 at the bottom. */
  below: readonly SupportLayer[];
  /** What lies on the glass; index 0 at the glass. */
  above?: readonly SupportLayer[];
  faces: { top: Face; bottom: Face };
  /** Another shelf over it, with open air between: the glass sees it instead of the kiln. */
  roof?: Roof;
  /** What stands all round a slender casting, such as the wall of its mould; index 0 at the glass. Without it, it lies on its side. */
  around?: readonly SupportLayer[];
  /**
   * Proof, by readings above and below the glass or by a kiln test, that the underside cools as freely as the top.
   * Without it rates are those of one open face.
   */
  twoFaceProof?: 'readings' | 'kilnTest';
  /** What the lowest of shelf, board or mould bears, °C. */
  top_C?: number;
  /** The shelf that all stands on, where it is known; as large as what lies on it and of the usual kind where left out. */
  stand?: Stand;
  /** How fast a mould of its own kind may be warmed, °C/h, and up to where; the shelf's pace holds beside it. */
  pace?: Pace;
  /** What keeps the glass from what it lies on, where it is one that is known; told by its name. */
  coat?: { name: string; top_C: number; pace?: Pace };
  /** What has to leave before it is warmed: water of a damp mould, primer or lay-up; glue, gel or paste. Dry where left out. */
  wet?: Wet;
  /** The mould or former, where the glass is to take its shape. */
  shaping?: Shaping;
  /** The studio's own form, where it stands in one, as it is drawn. */
  form?: FormShape;
}

/** free_m: from the glass, or what lies on it, up to the shelf. */
export interface Roof {
  shelf: SupportLayer;
  free_m: number;
}

/** A kiln shelf: its longer side, how thick it is, and how well its material bears being warmed unequally, against cordierite. */
export interface Stand {
  long_m: number;
  thick_m: number;
  /** Left out where it never cracks of it. */
  bears?: number;
}

/** Of cordierite, as thick as shelves usually are. */
export const usualStand = (long_m: number): Stand => ({ long_m, thick_m: SHELF_M, bears: 1 });

/** How fast something may be warmed, °C/h, and past where it bears what the kiln can give. */
export interface Pace {
  C_per_h: number;
  past_C: number;
}

export const WETS = ['damp', 'glued'] as const;
export type Wet = (typeof WETS)[number];

export const SETUP_NAMES = {
  bareShelf: 'Bare shelf',
  raisedShelf: 'Raised shelf',
  floorShelf: 'Shelf on the floor',
  board: 'Fibre board',
  inMould: 'In a mould',
  inInvestment: 'In a plaster mould',
  overFormer: 'Over a former',
  onPosts: 'Upside down on posts',
} as const;
export type SetUpKind = keyof typeof SETUP_NAMES;
export const SETUP_KINDS = Object.keys(SETUP_NAMES) as [SetUpKind, ...SetUpKind[]];

/** A face that sees the chamber, and an underside that sees a floor which lags behind it. */
const OPEN: Face = { kind: 'open', emissivity: 0.9, convection_W_m2K: 5 };
const OVER_THE_FLOOR: Face = { kind: 'open', emissivity: 0.4, convection_W_m2K: 0 };

/** As thick as shelves usually are, m. */
export const SHELF_M = 0.016;
const SHELF: SupportLayer = { of: 'support', thickness_m: SHELF_M, conductivity_W_mK: 1.5, density_kg_m3: 2000, heatCapacity_J_kgK: 1050 };
/** What of a floor of light firebrick takes part in a firing. */
const FLOOR_BRICK: SupportLayer = { of: 'support', thickness_m: 0.05, conductivity_W_mK: 0.25, density_kg_m3: 700, heatCapacity_J_kgK: 1000 };
const FIBRE_BOARD: SupportLayer = { of: 'support', thickness_m: 0.025, conductivity_W_mK: 0.12, density_kg_m3: 320, heatCapacity_J_kgK: 1050 };
const CLAY_WALL: SupportLayer = { of: 'support', thickness_m: 0.01, conductivity_W_mK: 0.9, density_kg_m3: 1850, heatCapacity_J_kgK: 950 };
/** Fibre that is laid between, kg/m³: pressed to paper, or loose. */
const LAID_kg_m3 = { paper: 200, blanket: 110 } as const;
export const FIBRE_PAPER: SupportLayer = {
  of: 'support',
  thickness_m: 0.001,
  conductivity_W_mK: 0.1,
  density_kg_m3: LAID_kg_m3.paper,
  heatCapacity_J_kgK: 1050,
};

/** Plaster and silica, half and half, once it is dry. */
export const INVESTMENT_WALL_M = 0.025;
const INVESTMENT: SupportLayer = { of: 'support', thickness_m: INVESTMENT_WALL_M, conductivity_W_mK: 0.45, density_kg_m3: 1150, heatCapacity_J_kgK: 1000 };

/** Typical top temperatures of cordierite-mullite, of vacuum-formed board, of a bisque mould, and of plaster and silica, which crumbles above, °C. */
const SHELF_TOP_C = 1250;
const BOARD_TOP_C = 1100;
const MOULD_TOP_C = 950;
const INVESTMENT_TOP_C = 900;
/**
 * Silica swells at once as cristobalite near 220 to 270 °C and as quartz at 573: through both a mould goes slowly, the slower the
 * thicker its wall. Typical, for a wall of 25 mm.
 */
export const INVESTMENT_PACE = { C_per_h: 60, past_C: 600 };

/** A primed 16 mm cordierite shelf on low posts. */
export const BARE_SHELF: SetUp = { below: [SHELF], faces: { top: OPEN, bottom: OVER_THE_FLOOR }, top_C: SHELF_TOP_C };

export const SETUPS: Record<SetUpKind, SetUp> = {
  bareShelf: BARE_SHELF,
  // On posts high enough that its underside sees the elements too.
  raisedShelf: { below: [SHELF], faces: { top: OPEN, bottom: OPEN }, top_C: SHELF_TOP_C },
  // Flat on the bricks: no heat comes from below, and the floor has to be warmed through the glass too.
  floorShelf: { below: [FLOOR_BRICK, SHELF], faces: { top: OPEN, bottom: { kind: 'insulated' } }, top_C: SHELF_TOP_C },
  board: { below: [SHELF, FIBRE_BOARD], faces: { top: OPEN, bottom: OVER_THE_FLOOR }, top_C: BOARD_TOP_C },
  // The hollow under the sheet is warmed through the mould alone.
  inMould: { below: [CLAY_WALL], faces: { top: OPEN, bottom: OVER_THE_FLOOR }, top_C: MOULD_TOP_C },
  inInvestment: { below: [SHELF, INVESTMENT], faces: { top: OPEN, bottom: OVER_THE_FLOOR }, top_C: INVESTMENT_TOP_C, pace: INVESTMENT_PACE },
  overFormer: { below: [SHELF, CLAY_WALL], faces: { top: OPEN, bottom: OVER_THE_FLOOR }, top_C: MOULD_TOP_C },
  // It hangs in its mould, the rim on posts: heat comes to its open side, and through the mould.
  onPosts: { below: [], above: [CLAY_WALL], faces: { top: OPEN, bottom: OPEN }, top_C: MOULD_TOP_C },
};

/** The same set-up with a sheet of fibre paper between glass and what is under it, or with another that is laid there. */
export const withPaper = (setup: SetUp, laid = FIBRE_PAPER): SetUp => ({ ...setup, below: [...setup.below, laid] });

/** Thinnest and thickest of it that heat is followed through, m. */
const LAID_M = { least: 0.0005, most: 0.1 } as const;

/** How thick paper or blanket of a weight is, m; as heavy as paper usually is where that is not said. */
export const laidThickness = (kind: keyof typeof LAID_kg_m3, weight_kg_m2 = FIBRE_PAPER.thickness_m * FIBRE_PAPER.density_kg_m3): number =>
  Math.min(Math.max(weight_kg_m2 / LAID_kg_m3[kind], LAID_M.least), LAID_M.most);

/** A layer that is laid between, as thick as its weight tells. */
const laidAs = (kind: keyof typeof LAID_kg_m3, weight_kg_m2?: number): SupportLayer => ({
  ...FIBRE_PAPER,
  thickness_m: laidThickness(kind, weight_kg_m2),
  density_kg_m3: LAID_kg_m3[kind],
});

/** The set-up with one of the studio's own releases between glass and what is under it. */
function coated(setup: SetUp, { name, kind, weight_kg_m2, top_C, pace_K_per_s, paceTo_C }: Coat & { name: string }): SetUp {
  const pace = pace_K_per_s === undefined || paceTo_C === undefined ? {} : { pace: { C_per_h: 3600 * pace_K_per_s, past_C: paceTo_C } };
  return { ...(isLaid(kind) ? withPaper(setup, laidAs(kind, weight_kg_m2)) : setup), coat: { name, top_C, ...pace } };
}

/** How a firing is set up in the kiln, as a person chooses it. */
export interface ChosenSetUp {
  kind: SetUpKind;
  paper: boolean;
  wet?: Wet;
  shaping?: Shaping;
  /** What is between glass and shelf, where it is one that is known: stands before the usual paper. */
  coat?: Coat & { name: string };
  /** The studio's own form that it stands in or on, the area of the glass there, m², and the studio's own shelf under that. */
  within?: { form: FormShape; glass_m2: number; shelf?: FormShape };
}

/** The set-up that is meant: with what is under the glass, and with the wall and the core of a mould as thick as they are. */
export function setUpOf({ kind, paper, wet, shaping, coat, within }: ChosenSetUp): SetUp {
  const item = emptyItemOf(shaping);
  const stands = within && !item ? inForm(SETUPS[kind], within) : SETUPS[kind];
  const under = coat ? coated(stands, coat) : paper ? withPaper(stands) : stands;
  return { ...(item ? standingOf(under, item) : within ? under : walled(under, shaping)), ...(wet ? { wet } : {}), ...(shaping ? { shaping } : {}) };
}

/** Forms under the glass, which are warmed through it or through which it is warmed; a dam stands beside it. */
const IS_UNDER: readonly FormShape['use'][] = ['hollow', 'former', 'texture', 'cavity'];

/** Thinnest and thickest of it that heat is followed through, m. */
const PLATE_M = { least: 0.0005, most: 0.1 } as const;

/** A layer of a form's material, within what heat is followed through. */
function plateAs(form: FormShape, thickness_m: number): SupportLayer {
  const { conductivity_W_mK, density_kg_m3, heatCapacity_J_kgK } = materialOf(form);
  return { of: 'support', thickness_m: Math.min(Math.max(thickness_m, PLATE_M.least), PLATE_M.most), conductivity_W_mK, density_kg_m3, heatCapacity_J_kgK };
}

/** On a shelf of the studio's own, as thick as that is and by what it bears. */
function onShelf(setup: SetUp, shelf: FormShape | undefined): SetUp {
  if (!shelf) return setup;
  const pace = formPace(shelf);
  const { top_C } = materialOf(shelf);
  // What else lies there may bear less; the usual shelf's own limit goes with it.
  const isMore = setup.below.some((layer) => layer !== SHELF);
  const bears = bearsUnevenHeat(shelf);
  return {
    ...setup,
    stand: { long_m: Math.max(shelf.across_m, alongOf(shelf)), thick_m: shelf.thick_m, ...(Number.isFinite(bears) ? { bears } : {}) },
    top_C: Math.min(top_C, isMore ? (setup.top_C ?? top_C) : top_C),
    below: setup.below.map((layer) => (layer === SHELF ? plateAs(shelf, shelf.thick_m) : layer)),
    ...(pace ? { pace } : {}),
  };
}

/** The slower of two, to where the later of them ends. */
const slower = (one: Pace | null, other: Pace | null): Pace | null =>
  one && other ? { C_per_h: Math.min(one.C_per_h, other.C_per_h), past_C: Math.max(one.past_C, other.past_C) } : (one ?? other);

/** In or on a form of the studio's own: of its material, as much of it for each m² of glass as there is, by what it bears. */
function inForm(setup: SetUp, { form, glass_m2, shelf }: NonNullable<ChosenSetUp['within']>): SetUp {
  if (form.use === 'shelf') return { ...onShelf(setup, form), form };
  const { pace: _pace, top_C: _top, above, ...rest } = onShelf(setup, shelf);
  const top_C = Math.min(materialOf(form).top_C, shelf ? materialOf(shelf).top_C : Infinity);
  const plate = plateAs(form, plateOf(form, glass_m2));
  const below = rest.below.filter((layer) => !isMould(layer));
  const pace = slower(formPace(form), shelf ? formPace(shelf) : null);
  return {
    ...rest,
    below: IS_UNDER.includes(form.use) && !above ? [...below, plate] : below,
    ...(above
      ? { above: above.map((layer) => (isMould(layer) ? plate : layer)) }
      : form.use === 'cavity' && form.core_m
        ? { above: [{ ...plate, thickness_m: form.core_m }] }
        : {}),
    top_C: setup.below.some(isMould) || above ? top_C : Math.min(setup.top_C ?? top_C, top_C),
    ...(pace ? { pace } : {}),
    form,
  };
}

/** What an empty item stands on: a shelf that is fired itself lies on no other, and no mould in another. */
const standingOf = ({ pace: _pace, above: _above, coat: _coat, ...setup }: SetUp, { of }: EmptyItem): SetUp => ({
  ...setup,
  below: setup.below.filter((layer) => !isMould(layer) && !(of === 'shelf' && layer === SHELF)),
});

/** Set-ups that something other than glass can be fired on. */
export const EMPTY_SETUPS = ['bareShelf', 'raisedShelf', 'floorShelf', 'board'] as const satisfies readonly SetUpKind[];

const isMould = (layer: SupportLayer): boolean => layer === INVESTMENT || layer === CLAY_WALL;

function walled(setup: SetUp, shaping: Shaping | undefined): SetUp {
  const cavity = cavityOf(shaping);
  if (cavity === null) return setup;
  const mould = setup.below.find(isMould) ?? INVESTMENT;
  return {
    ...setup,
    below: setup.below.map((layer) => (isMould(layer) ? { ...layer, thickness_m: cavity.wall_m } : layer)),
    ...(cavity.kind === 'core' ? { above: [{ ...mould, thickness_m: cavity.core_m }] } : {}),
    ...(setup.pace ? { pace: { ...setup.pace, C_per_h: (setup.pace.C_per_h * INVESTMENT_WALL_M) / cavity.wall_m } } : {}),
  };
}

/** What stands round slender glass: what is told, or the wall of the mould that it fills; nothing where it lies free. */
export function roundGlass({ around, below, shaping }: Pick<SetUp, 'around' | 'below' | 'shaping'>): readonly SupportLayer[] {
  const cavity = cavityOf(shaping);
  return around ?? (cavity?.slender ? [{ ...(below.at(-1) ?? INVESTMENT), thickness_m: cavity.wall_m }] : []);
}

export const shelfStores_J_m3K = SHELF.density_kg_m3 * SHELF.heatCapacity_J_kgK;

const isShelf = (layer: SupportLayer, stand: Stand | undefined): boolean =>
  JSON.stringify(layer) === JSON.stringify(SHELF) || (stand !== undefined && layer.thickness_m === stand.thick_m);

/** What a piece lies in and under, its shelf and the kiln's floor left out. */
export const besideShelf = (setup: Pick<SetUp, 'below' | 'above' | 'shaping' | 'stand'>): readonly SupportLayer[] => {
  const shelf = setup.below.findIndex((layer) => isShelf(layer, setup.stand));
  return [...setup.below.slice(shelf + 1), ...overGlass(setup)];
};

/** Under another shelf of the usual kind; as free from it as is usual between shelves. */
export const underShelf = (setup: SetUp): SetUp => ({ ...setup, roof: { shelf: SHELF, free_m: ROOF_FREE_M } });
/** A gap between shelves as people set them, m; radiation crosses it whatever it is. */
const ROOF_FREE_M = 0.08;

/** What is over that, from the glass up. */
export const roofOver = ({ roof }: Pick<SetUp, 'roof'>): readonly StackLayer[] => (roof ? [{ of: 'air', thickness_m: roof.free_m }, roof.shelf] : []);

/** The faces of the glass and what it lies on, as they exchange with the kiln. */
export const facesOf = ({ faces, roof }: Pick<SetUp, 'faces' | 'roof'>): SetUp['faces'] => (roof ? { ...faces, top: shaded(faces.top) } : faces);

/** What lies on the glass: its mould, where it is fired upside down, or the plate that presses it, of a shelf's make. */
export const overGlass = ({ above = [], shaping }: Pick<SetUp, 'above' | 'shaping'>): readonly SupportLayer[] =>
  shaping?.kind === 'press' ? [...above, { ...SHELF, thickness_m: shaping.plate_m }] : above;
