/**
 * How a body stands in the kiln: what lies under it and how its two faces exchange heat. All figures are typical and
 * editable; a reading under the glass replaces them.
 */
import type { Face } from '../heat/exchange';
import type { StackLayer } from '../heat/stack';
import type { Ware } from '../ware/wares';
import { type Shaping, cavityOf, wareOf } from '../look/shaping';

type SupportLayer = Extract<StackLayer, { of: 'support' }>;

export interface SetUp {
  /** What lies under the glass; index 0 at the bottom. */
  below: readonly SupportLayer[];
  /** What lies on the glass; index 0 at the glass. */
  above?: readonly SupportLayer[];
  faces: { top: Face; bottom: Face };
  /** What stands all round a slender casting, such as the wall of its mould; index 0 at the glass. Without it, it lies on its side. */
  around?: readonly SupportLayer[];
  /**
   * Proof, by readings above and below the glass or by a kiln test, that the underside cools as freely as the top.
   * Without it rates are those of one open face.
   */
  twoFaceProof?: 'readings' | 'kilnTest';
  /** What the lowest of shelf, board or mould bears, °C. */
  top_C?: number;
  /** How fast a mould of its own kind may be warmed, °C/h, and up to where; the shelf's pace holds beside it. */
  pace?: { C_per_h: number; past_C: number };
  /** What has to leave before it is warmed: water of a damp mould, primer or lay-up; glue, gel or paste. Dry where left out. */
  wet?: Wet;
  /** The mould or former, where the glass is to take its shape. */
  shaping?: Shaping;
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

const SHELF: SupportLayer = { of: 'support', thickness_m: 0.016, conductivity_W_mK: 1.5, density_kg_m3: 2000, heatCapacity_J_kgK: 1050 };
/** What of a floor of light firebrick takes part in a firing. */
const FLOOR_BRICK: SupportLayer = { of: 'support', thickness_m: 0.05, conductivity_W_mK: 0.25, density_kg_m3: 700, heatCapacity_J_kgK: 1000 };
const FIBRE_BOARD: SupportLayer = { of: 'support', thickness_m: 0.025, conductivity_W_mK: 0.12, density_kg_m3: 320, heatCapacity_J_kgK: 1050 };
const CLAY_WALL: SupportLayer = { of: 'support', thickness_m: 0.01, conductivity_W_mK: 0.9, density_kg_m3: 1850, heatCapacity_J_kgK: 950 };
export const FIBRE_PAPER: SupportLayer = { of: 'support', thickness_m: 0.001, conductivity_W_mK: 0.1, density_kg_m3: 200, heatCapacity_J_kgK: 1050 };

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

/** The same set-up with a sheet of fibre paper between glass and what is under it. */
export const withPaper = (setup: SetUp): SetUp => ({ ...setup, below: [...setup.below, FIBRE_PAPER] });

/** How a firing is set up in the kiln, as a person chooses it. */
export interface ChosenSetUp {
  kind: SetUpKind;
  paper: boolean;
  wet?: Wet;
  shaping?: Shaping;
}

/** The set-up that is meant: with paper, and with the wall and the core of a mould as thick as they are. */
export function setUpOf({ kind, paper, wet, shaping }: ChosenSetUp): SetUp {
  const under = paper ? withPaper(SETUPS[kind]) : SETUPS[kind];
  const ware = wareOf(shaping);
  return { ...(ware ? standingOf(under, ware) : walled(under, shaping)), ...(wet ? { wet } : {}), ...(shaping ? { shaping } : {}) };
}

/** What a ware stands on: a shelf that is fired itself lies on no other, and no mould in another. */
const standingOf = ({ pace: _pace, above: _above, ...setup }: SetUp, { of }: Ware): SetUp => ({
  ...setup,
  below: setup.below.filter((layer) => !isMould(layer) && !(of === 'shelf' && layer === SHELF)),
});

/** Set-ups that something other than glass can be fired on. */
export const WARE_SETUPS = ['bareShelf', 'raisedShelf', 'floorShelf', 'board'] as const satisfies readonly SetUpKind[];

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

/** What lies on the glass: its mould, where it is fired upside down, or the plate that presses it, of a shelf's make. */
export const overGlass = ({ above = [], shaping }: Pick<SetUp, 'above' | 'shaping'>): readonly SupportLayer[] =>
  shaping?.kind === 'press' ? [...above, { ...SHELF, thickness_m: shaping.plate_m }] : above;
