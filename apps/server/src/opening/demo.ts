/** What the demo studio, Marram Row, has on its shelves and at work. Every name is invented. */
import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { type HeldForm, type JourneyStep, heldForm } from '@torvin/core/piece';
import type { Released } from '@torvin/core/release';
import {
  type FiringResult,
  type FormRecord,
  type Glass,
  type Kiln,
  type KindName,
  type LaidLayerSchema,
  type Made,
  type Mark,
  MarkSchema,
  type RecordOf,
  type StepSchema,
} from '@torvin/schema';
import type { z } from 'zod';

export const INVENTED = 'invented for the demo';
const SHEET_M = [0.002, 0.003, 0.004, 0.006];
const SHEETS: Glass['forms'] = ['sheet', 'cap', 'pieces'];
const ALL_FORMS: Glass['forms'] = ['sheet', 'cap', 'pieces', 'rod', 'stringer', 'frit', 'powder'];

/** How the demo buys its clear glass; what another studio buys and has lying there is for it to say. */
export const AS_BOUGHT = { sheetWidth_m: 0.44, sheetLength_m: 0.5, billetWidth_m: 0.06, billetLength_m: 0.12, billetDepth_m: 0.02, jar_kg: 0.5, scrap_kg: 1.4 };

type DemoGlass = [id: string, familyId: string, name: string, colour: string, more?: Partial<Glass>];

const GLASSES: DemoGlass[] = [
  ['clear-90', 'soft-90', 'Clear', '#CFE6DC', { forms: ALL_FORMS, ...AS_BOUGHT }],
  ['harbour-90', 'soft-90', 'Harbour blue', '#8FB5CF', { contents: ['copper'] }],
  ['straw-90', 'soft-90', 'Straw', '#E3C15C', { contents: ['sulphur'], forms: ALL_FORMS }],
  ['samphire-90', 'soft-90', 'Samphire', '#7FA66B'],
  ['rose-90', 'soft-90', 'Dune rose', '#C7657F', { forms: ALL_FORMS, coldColour: '#E3CFC6' }],
  ['slate-90', 'soft-90', 'Wet slate', '#5B6770', { forms: ALL_FORMS }],
  ['shimmer-90', 'soft-90', 'Shoal shimmer', '#6E8F93', { coated: true, forms: ['sheet', 'pieces'] }],
  ['clear-96', 'soft-96', 'Clear 96', '#D6EADF', { sheetWidth_m: 0.46, sheetLength_m: 0.58, jar_kg: 0.45 }],
  ['heron-96', 'soft-96', 'Heron grey', '#A9B4BC'],
  ['kelp-96', 'soft-96', 'Kelp', '#7C7A3A', { contents: ['copper'] }],
  ['pane-float', 'float', 'Window pane', '#BFDCCB'],
  ['pane-boro', 'boro-33', 'Clear borosilicate', '#DCE9EC'],
];

export const DEMO_GLASSES: Glass[] = GLASSES.map(([id, familyId, name, colour, more]) => ({
  ...{ id, familyId, name, colour, thicknesses_m: SHEET_M, source: INVENTED, version: 1, forms: SHEETS, contents: [], coated: false },
  ...more,
}));

const perHour = (value: number): number => value / 3600;

export const DEMO_KILNS: Kiln[] = [
  {
    id: 'low-kiln',
    name: 'Low kiln',
    source: INVENTED,
    version: 1,
    top_C: 900,
    power_K_per_s: perHour(740),
    loss_per_s: perHour(0.22),
    radiantLoss_per_K3_s: perHour(2e-10),
    ambient_C: 20,
    acrossLag_s_per_300mm: 72,
    insideWidth_m: 0.46,
    insideLength_m: 0.6,
    insideHeight_m: 0.23,
  },
  {
    id: 'tall-kiln',
    name: 'Tall kiln',
    source: INVENTED,
    version: 1,
    top_C: 1100,
    power_K_per_s: perHour(520),
    loss_per_s: perHour(0.11),
    radiantLoss_per_K3_s: perHour(1.4e-10),
    ambient_C: 20,
    acrossLag_s_per_300mm: 110,
    insideDiameter_m: 0.44,
    insideHeight_m: 0.68,
  },
];

export const DEMO_CONTROLLERS: RecordOf<'controllers'>[] = [
  {
    ...{ id: 'grey-box', name: 'Grey box', source: INVENTED, version: 1, unit: 'C', fullSpeedCode: 4000, mostSegments: 14 },
    ...{ programs: 7, builtIn: 2, mostHold_s: 999 * 60, mostDelay_s: 24 * 3600, skips: true, addTime_s: 60, afterCut: 'goesOn' },
  },
  {
    ...{ id: 'twelve-line', name: 'Twelve line', source: INVENTED, version: 1, unit: 'F', fullSpeedCode: 7200, mostSegments: 12 },
    ...{ programs: 4, holdAs: 'point', ends: 'count', mostDelay_s: 99 * 3600, alarms: true, skips: true, addTime_s: 300, afterCut: 'goesOnIfWarm' },
  },
];

/** Strips of a slab, on edge: two of green, one of clear, and so on. */
const REED_STRIPES = Array.from({ length: 26 }, (_, i) => ({ glassId: i % 2 === 0 ? 'samphire-90' : 'clear-90', share: (i % 2 === 0 ? 2 : 1) / 39 }));
const REED_SLAB = { width_m: 0.117, length_m: 0.06, thickness_m: 0.012 };

const DAY_MS = 24 * 3600e3;

const demoMade = (now: number): Made[] => [
  {
    ...{ id: 'reed-slab', version: 1, name: 'Reed slab, strips on edge', source: INVENTED, form: 'slab', count: 1, thickness_m: REED_SLAB.thickness_m },
    footprint: { shape: 'rectangle', width_m: REED_SLAB.width_m, length_m: REED_SLAB.length_m },
    mass_kg: REED_SLAB.width_m * REED_SLAB.length_m * REED_SLAB.thickness_m * TYPICAL_FAMILIES[0].density_kg_m3,
    ...{ lie: 'upright', stripes: REED_STRIPES, fragile: false, heat: null, from: null },
    ...{ note: 'From before there was a book of it: its firings are not known.', madeAt: now - 77 * DAY_MS },
  },
];

const TRAY: Omit<FormRecord, 'id' | 'name' | 'across_m' | 'along_m' | 'floor_m' | 'floorAlong_m' | 'deep_m'> = {
  ...{ version: 1, source: INVENTED, use: 'hollow', plan: 'rectangle', foot_m: 0.006, thick_m: 0.008, material: 'stoneware', vents: 4 },
  ...{ count: 1, damaged: false, note: '' },
};

export const DEMO_FORMS: FormRecord[] = [
  {
    ...{ id: 'basin-mould', version: 1, name: 'Basin mould, the deep one', source: INVENTED, use: 'hollow', plan: 'round' },
    ...{ across_m: 0.366, deep_m: 0.062, thick_m: 0.012, material: 'earthenware', vents: 3, count: 1, damaged: false },
    ...{ left_m: 0.182, right_m: 0.184, door_m: 0.179, back_m: 0.186, mark: 'notch to the door', note: 'Thrown here, fired to cone 06.' },
  },
  { ...TRAY, id: 'tray-small', name: 'Tray mould, small', across_m: 0.142, along_m: 0.23, floor_m: 0.118, floorAlong_m: 0.206, deep_m: 0.018 },
  { ...TRAY, id: 'tray-middle', name: 'Tray mould, middle', across_m: 0.182, along_m: 0.28, floor_m: 0.156, floorAlong_m: 0.254, deep_m: 0.02 },
  { ...TRAY, id: 'tray-large', name: 'Tray mould, large', across_m: 0.222, along_m: 0.33, floor_m: 0.194, floorAlong_m: 0.302, deep_m: 0.022, damaged: true },
  {
    ...{ id: 'lamp-former', version: 1, name: 'Lamp former', source: INVENTED, use: 'former', plan: 'trough' },
    ...{ across_m: 0.12, along_m: 0.24, floor_m: 0.14, deep_m: 0.11, thick_m: 0.002, material: 'stainless', count: 2, damaged: false },
    ...{ mark: 'weld to the back', note: 'Bent from sheet; rub back before each coat.' },
  },
  {
    ...{ id: 'ring-dam', version: 1, name: 'Ring dam', source: INVENTED, use: 'dam', plan: 'round', across_m: 0.166, deep_m: 0.04, liner_m: 0.003 },
    ...{ thick_m: 0.003, material: 'stainless', count: 1, damaged: false, note: 'Lined with blanket all round.' },
  },
  {
    ...{ id: 'low-shelf', version: 1, name: 'Shelf of the low kiln', source: INVENTED, use: 'shelf', plan: 'rectangle', across_m: 0.4, along_m: 0.5 },
    ...{ deep_m: 0, thick_m: 0.016, material: 'cordierite', count: 1, damaged: false, mark: 'chip to the door', note: '' },
  },
  {
    ...{ id: 'urchin-cast', version: 1, name: 'Sea urchin, to cast', source: INVENTED, use: 'cavity', plan: 'round', across_m: 0.09, floor_m: 0.06 },
    ...{ deep_m: 0.035, thick_m: 0.022, thickest_m: 0.035, thinnest_m: 0.02, detail_m: 0.001, material: 'plasterSilica', undercut: true },
    ...{ count: 1, damaged: false, note: 'For one casting.' },
  },
];

const COATS = [
  ['basin-coat', 'basin-mould', 'mould-primer', '', 5, false, '', 'brush'],
  ['tray-coat', 'tray-small', 'mould-primer', '', 4, false, '', 'brush'],
  ['shelf-coat', 'low-shelf', 'shelf-primer', '', 5, false, '', 'brush'],
  ['former-coat', 'lamp-former', 'mould-nitride', 'edges', 3, true, 'Rubbed through where the panel hung.', 'spray'],
] as const;

const demoCoats = (now: number): RecordOf<'coated'>[] =>
  COATS.map(([id, formId, releaseId, zone, coats, scratched, note, by]) => ({
    ...{ id, version: 1, formId, releaseId, zone, coats, by, crossed: true, scratched, note, coatedAt: now - 58 * DAY_MS },
  }));

/** An investment that dries: its wax steamed out, weighed since. */
const demoMakings = (now: number): RecordOf<'makings'>[] => [
  {
    ...{ id: 'urchin-making', version: 1, formId: 'urchin-cast', way: 'investment', model: 'wax', flexible: 'none', rubberCoats: 4 },
    ...{ plasterShare: 1, silicaShare: 1, waterShare: 1, note: 'Wax from the beach mould.', begunAt: now - 9 * DAY_MS },
    told: [
      { stage: 'model', at: now - 9 * DAY_MS, mass_kg: 0.148 },
      { stage: 'invest', at: now - 8.9 * DAY_MS },
      { stage: 'clear', at: now - 8.7 * DAY_MS, mass_kg: 0.131 },
      { stage: 'dry', at: now - 8 * DAY_MS, mass_kg: 1.06 },
      { stage: 'dry', at: now - 5 * DAY_MS, mass_kg: 0.97 },
      { stage: 'dry', at: now - 2 * DAY_MS, mass_kg: 0.905 },
    ],
  },
];

const held = (id: string, drop_m?: number): HeldForm => {
  const form = DEMO_FORMS.find((one) => one.id === id);
  if (!form) throw new Error(`The demo has no form '${id}'.`);
  return heldForm(form, [], drop_m);
};

/** What stands on the demo's shelves beside the typical families and its strip test, by kind. */
export const demoRecords = (now: number): { readonly [K in KindName]?: readonly RecordOf<K>[] } => ({
  glasses: DEMO_GLASSES,
  made: demoMade(now),
  kilns: DEMO_KILNS,
  controllers: DEMO_CONTROLLERS,
  forms: DEMO_FORMS,
  coated: demoCoats(now),
  makings: demoMakings(now),
  materials: [
    {
      ...{ id: 'crank-clay', version: 1, name: 'Coarse crank clay', source: INVENTED, material: 'stoneware', expansion_perK: 4.4e-6, top_C: 1080 },
      ...{ pace_K_per_s: 120 / 3600, paceTo_C: 300, note: 'Grog to 2 mm; holds much water, so that it is warmed slowly to 300 °C.' },
    },
  ],
  releases: [
    {
      id: 'shelf-primer',
      version: 1,
      name: 'Shelf primer',
      source: INVENTED,
      kind: 'primer',
      top_C: 850,
      firings: 5,
      yields: 40,
      note: 'Five thin coats, crossed; dry before loading.',
    },
    {
      ...{ id: 'mould-primer', version: 1, name: 'Mould primer', source: INVENTED, kind: 'primer', top_C: 850, firings: 4, coolFirings: 12 },
      note: 'Thinner than for a shelf; lasts long where nothing is fused on it.',
    },
    { id: 'thin-paper', version: 1, name: 'Thin paper', source: INVENTED, kind: 'paper', weight_kg_m2: 0.08, top_C: 800, firings: 1, yields: 30, note: '' },
    {
      id: 'mould-nitride',
      version: 1,
      name: 'Mould nitride',
      source: INVENTED,
      kind: 'nitrideSprayed',
      top_C: 870,
      firings: 8,
      note: 'For steel; rub back between coats.',
    },
  ],
});

type LaidWithoutId<L> = L extends unknown ? Omit<L, 'id'> : never;
type DemoLayer = LaidWithoutId<z.infer<typeof LaidLayerSchema>>;
export type DemoStep = Pick<z.infer<typeof StepSchema>, 'look' | 'setup' | 'releaseId'>;

export interface DemoFiring {
  /** Hours before the seeding at which it was started. */
  hoursAgo: number;
  result: FiringResult | null;
  /** How it came off its form. */
  released?: Released;
  place: string;
  note: string;
  /** Degrees and minutes by which the work really differed, where it did. */
  ranBy?: { degrees: number; minutes: number };
  /** What was seen on it, each with its place. */
  marks?: Mark[];
}

/** Into which program of its controller it was keyed, and whether it was read back. */
export interface DemoKeyed {
  slot: number;
  hoursAgo: number;
  readBack: boolean;
}

export interface DemoPiece {
  name: string;
  /** Outline as it is written. */
  typed: { diameter: string } | { width: string; length: string };
  layers: DemoLayer[];
  /** Stands in a dam. */
  dammed?: boolean;
  /** After its lay-up, in their order. */
  steps: (DemoFired | DemoHand)[];
  /** What its firings found as a test series is kept under this name. */
  finding?: string;
}

interface DemoFired {
  step: DemoStep;
  firings: DemoFiring[];
  keyed?: DemoKeyed;
}

type WithoutId<S> = S extends unknown ? Omit<S, 'id' | 'doneAt' | 'layers'> : never;

/** A step of the hands; doneHoursAgo: left out where it is still to come. */
export interface DemoHand {
  hand: WithoutId<Exclude<JourneyStep, { kind: 'fire' }>>;
  /** What it lays. */
  layers?: DemoLayer[];
  doneHoursAgo?: number;
}

const sheet = (glassId: string, mm: number): DemoLayer => ({ form: 'sheet', glassId, thickness_m: mm / 1000 });
const fuse: DemoStep = { look: 'fullFuse', setup: { kind: 'bareShelf', paper: false }, releaseId: 'shelf-primer' };

/** Of a bar in mm: its middle from that of the panel, how it is turned, how wide and long it is cut. */
type DemoBar = readonly [x: number, y: number, turned: number, wide: number, long: number];
const PANEL = { width: '300 mm', length: '240 mm' } as const;
const PANEL_mm2 = 300 * 240;

const bars = (glassId: string, mm: number, name: string, cut: readonly DemoBar[]): DemoLayer => ({
  ...{ form: 'pieces', glassId, thickness_m: mm / 1000, name },
  ...{ cover: cut.reduce((sum, [, , , wide, long]) => sum + wide * long, 0) / PANEL_mm2, count: cut.length },
  placed: cut.map(([x, y, turned_deg, wide, long], i) => ({
    ...{ id: `${name} ${i + 1}`, x_m: x / 1000, y_m: y / 1000, turned_deg },
    outline: { shape: 'rectangle' as const, width_m: wide / 1000, length_m: long / 1000 },
  })),
});
/** Rises from left to right, as the flood leaves it on the sand. */
const TIDE_LINE: readonly DemoBar[] = [
  [-128, -72, 8, 22, 76],
  [-94, -44, 3, 24, 98],
  [-58, -34, -4, 28, 74],
  [-22, -24, -9, 24, 104],
  [16, -2, -14, 30, 92],
  [62, 22, 18, 26, 100],
  [108, 44, 12, 26, 96],
];
const REEDS: readonly DemoBar[] = [
  [-92, 18, 4, 30, 150],
  [-6, 22, -6, 34, 170],
  [92, 8, 9, 28, 140],
];
const powder = (glassId: string, perArea_kg_m2: number, cover: number): DemoLayer => ({ form: 'powder', glassId, perArea_kg_m2, cover });
const drapedOver: DemoStep['setup'] = { kind: 'overFormer', paper: false, form: held('lamp-former', 0.05) };

/** Oldest first. */
export const DEMO_PIECES: DemoPiece[] = [
  {
    name: 'Estuary roundel, in a ring',
    typed: { diameter: '160 mm' },
    dammed: true,
    layers: [{ form: 'frit', glassId: 'slate-90', perArea_kg_m2: 22, grain_m: 0.005 }],
    steps: [
      {
        step: { look: 'slabFlow', setup: { kind: 'bareShelf', paper: false, form: held('ring-dam'), shelf: held('low-shelf') }, releaseId: 'thin-paper' },
        firings: [{ hoursAgo: 610, result: 'right', place: 'middle', note: 'Ring of steel, lined. Ran level, scale at the rim.', released: 'tapped' }],
      },
      { hand: { kind: 'clean', off: 'scale', soak_s: 0, took: { time_s: 1500 } }, doneHoursAgo: 580 },
      { hand: { kind: 'look', with: 'polariser', found: 'Even, no bright cross at the rim.' }, doneHoursAgo: 579 },
      {
        hand: { kind: 'lay', side: 'above' },
        layers: [{ form: 'frit', glassId: 'clear-90', perArea_kg_m2: 9, grain_m: 0.003, name: 'Top-up' }],
        doneHoursAgo: 578,
      },
      {
        step: { look: 'slabFlow', setup: { kind: 'bareShelf', paper: false, form: held('ring-dam'), shelf: held('low-shelf') }, releaseId: 'thin-paper' },
        firings: [],
      },
      { hand: { kind: 'grind', at: 'rim', depth_m: 0.001 } },
    ],
  },
  {
    name: 'Tideline bowl',
    typed: { diameter: '240 mm' },
    layers: [sheet('clear-90', 3), powder('rose-90', 0.35, 0.7), powder('straw-90', 0.2, 0.4), { form: 'cap', glassId: 'clear-90', thickness_m: 0.003 }],
    steps: [
      { step: fuse, firings: [{ hoursAgo: 560, result: 'right', place: 'middle', note: 'Film lies under the clear without a seam.' }] },
      { hand: { kind: 'clean', off: 'primer', soak_s: 7200 }, doneHoursAgo: 540 },
      { hand: { kind: 'grind', at: 'rim', depth_m: 0.002, took: { mass_kg: 0.011, time_s: 2400 } }, doneHoursAgo: 538 },
      {
        step: { look: 'slump', setup: { kind: 'inMould', paper: false, shaping: { kind: 'hollow', span_m: 0.22, depth_m: 0.045 } } },
        firings: [
          { hoursAgo: 500, result: 'short', place: 'middle', note: 'Half down: the controller was sent on too early.', ranBy: { degrees: -45, minutes: -10 } },
        ],
      },
    ],
  },
  {
    name: 'Lamp panel, right',
    typed: PANEL,
    layers: [sheet('clear-90', 6), bars('rose-90', 4, 'Bars', TIDE_LINE)],
    steps: [
      {
        step: { look: 'contour', setup: { kind: 'board', paper: false }, releaseId: 'thin-paper' },
        firings: [{ hoursAgo: 450, result: 'right', place: 'middle', note: 'Bars stand soft, the back is flat.' }],
      },
      { hand: { kind: 'turn' }, doneHoursAgo: 430 },
      { hand: { kind: 'lay', side: 'above' }, layers: [bars('samphire-90', 4, 'Reeds', REEDS)], doneHoursAgo: 429 },
      { step: { look: 'contour', setup: { kind: 'board', paper: false }, releaseId: 'thin-paper' }, firings: [] },
      { hand: { kind: 'grind', at: 'rim', depth_m: 0.002, name: 'Trim' } },
      { step: { look: 'drape', setup: drapedOver, releaseId: 'thin-paper' }, firings: [] },
    ],
  },
  {
    name: 'Test tiles, clear',
    finding: 'Clear tiles, by temperature',
    typed: { width: '100 mm', length: '100 mm' },
    layers: [sheet('clear-90', 3), sheet('clear-90', 3)],
    steps: [
      {
        step: fuse,
        keyed: { slot: 3, hoursAgo: 521, readBack: false },
        firings: [
          { hoursAgo: 520, result: 'short', place: 'front left', note: 'Edges still square at the corners.', ranBy: { degrees: -14, minutes: 0 } },
          { hoursAgo: 470, result: 'right', place: 'middle', note: 'Round all the way.' },
          {
            ...{ hoursAgo: 420, result: 'past', place: 'back right', note: 'Ran a little, needle points at one rim.', ranBy: { degrees: 12, minutes: 6 } },
            marks: [MarkSchema.parse({ flaw: 'spikedRim', at: { x: 0.96, y: 0.4 } })],
          },
        ],
      },
    ],
  },
  {
    name: 'Tray, smallest of three',
    typed: { width: '9 1/2 in', length: '6 in' },
    layers: [sheet('samphire-90', 3), sheet('clear-90', 3)],
    steps: [
      { step: fuse, firings: [{ hoursAgo: 330, result: 'right', place: 'middle', note: 'Fused blank flat and clear.' }] },
      {
        step: { look: 'slump', setup: { kind: 'inMould', paper: false, form: held('tray-small') } },
        keyed: { slot: 4, hoursAgo: 281, readBack: true },
        firings: [{ hoursAgo: 280, result: 'right', place: 'middle, long side to the door', note: 'Down at 12 min, corners even.', released: 'fell' }],
      },
    ],
  },
  {
    name: 'Lamp panel, left',
    typed: { width: '300 mm', length: '240 mm' },
    layers: [sheet('rose-90', 3), { form: 'cap', glassId: 'clear-90', thickness_m: 0.003 }],
    steps: [
      {
        step: { look: 'contour', setup: { kind: 'board', paper: false }, releaseId: 'thin-paper' },
        firings: [{ hoursAgo: 190, result: 'right', place: 'middle', note: 'Texture kept.' }],
      },
      {
        step: {
          look: 'drape',
          setup: drapedOver,
          releaseId: 'thin-paper',
        },
        firings: [],
      },
    ],
  },
  {
    name: 'Sundial base',
    typed: { width: '180 mm', length: '180 mm' },
    dammed: true,
    layers: [sheet('slate-90', 6), sheet('slate-90', 6), sheet('clear-90', 3)],
    steps: [{ step: { look: 'fullFuse', setup: { kind: 'raisedShelf', paper: false }, releaseId: 'thin-paper' }, firings: [] }],
  },
  {
    name: 'Sundial disc',
    typed: { diameter: '260 mm' },
    dammed: true,
    layers: [sheet('slate-90', 6), sheet('clear-90', 6), sheet('clear-90', 6)],
    steps: [{ step: { look: 'fullFuse', setup: { kind: 'raisedShelf', paper: false }, releaseId: 'thin-paper' }, firings: [] }],
  },
  {
    name: 'Bird-bath basin',
    typed: { diameter: '380 mm' },
    layers: [sheet('slate-90', 3), sheet('samphire-90', 3)],
    steps: [
      { step: fuse, firings: [{ hoursAgo: 96, result: 'right', place: 'middle', note: 'Seeds near the rim, none larger than a pinhead.' }] },
      {
        step: { look: 'slump', setup: { kind: 'inMould', paper: false, form: held('basin-mould') } },
        keyed: { slot: 3, hoursAgo: 8, readBack: true },
        firings: [{ hoursAgo: 7, result: null, place: 'middle', note: '' }],
      },
    ],
  },
  {
    name: 'Plaque no. 14',
    typed: { width: '200 mm', length: '140 mm' },
    layers: [
      { ...sheet('harbour-90', 3), name: 'Base' },
      sheet('clear-90', 3),
      { form: 'pieces', glassId: 'rose-90', thickness_m: 0.003, cover: 0.22, count: 4, name: 'Numerals' },
    ],
    steps: [
      {
        step: { look: 'tack', setup: { kind: 'bareShelf', paper: false }, releaseId: 'shelf-primer' },
        keyed: { slot: 5, hoursAgo: 51, readBack: false },
        firings: [{ hoursAgo: 50, result: 'right', place: 'front right', note: 'Numerals stand, edges soft. One seed near the left edge.' }],
      },
    ],
  },
];
