/**
 * Some seventy bodies, such as a studio fires in a year: every kind of firing, all families, set-ups and kilns. Every one must be composed within its limits
 * (schedule/bodies.test.ts); what each gets is printed in docs/schedules.md. Not exported from the package.
 */
import type { Casting } from './body/body';
import type { Layer } from './body/layers';
import type { Plan } from './form/surface';
import type { Look } from './look/names';
import type { Shaping } from './look/shaping';
import { type Composed, compose } from './schedule/compose';
import type { FiringCase } from './schedule/firingCase';
import { SETUPS, type SetUpKind, type Wet, setUpOf } from './schedule/setups';
import type { EmptyItem, EmptyItemKind } from './emptyFiring/emptyItems';
import { STUDIO_KILN, familyOfId, sheetsOf } from './testCases';

interface Choice {
  family?: string;
  layers?: Layer[];
  sheets_mm?: number[];
  joined?: boolean;
  /** Two sides, or one for a disc. */
  size_mm?: [number, number] | [number];
  parts?: { thickness_mm: number; width_mm: number; count: number };
  casting?: Pick<Casting, 'slender'> & { thickest_mm: number; thinnest_mm?: number };
  dammed?: boolean;
  setup?: SetUpKind;
  paper?: boolean;
  wet?: Wet;
  shaping?: Shaping;
  more?: Partial<FiringCase>;
}

const TALL_KILN = { ...STUDIO_KILN, top_C: 1150, power_K_per_s: 0.28 };
const BRICK_KILN = { ...STUDIO_KILN, power_K_per_s: 0.25, wallExchange_per_s: 1.2e-4, wallOverChamber: 2.5 };
const WEAK_KILN = { ...STUDIO_KILN, power_K_per_s: 0.14 };

function firing(look: Look, choice: Choice): FiringCase {
  const { family = 'soft-90', size_mm = [300, 300], setup = 'bareShelf', parts, casting, more } = choice;
  const base = sheetsOf(1, 0.003);
  const sheets = (choice.sheets_mm ?? []).map((mm): Layer => ({ form: 'sheet', glass: 0, thickness_m: mm / 1000 }));
  const [width, length] = size_mm;
  return {
    ...base,
    look,
    setup: setUpOf({
      kind: setup,
      paper: choice.paper ?? false,
      ...(choice.wet ? { wet: choice.wet } : {}),
      ...(choice.shaping ? { shaping: choice.shaping } : {}),
    }),
    body: {
      glasses: [familyOfId(family)],
      layers: choice.layers ?? sheets,
      joined: choice.joined ?? false,
      dammed: choice.dammed,
      footprint: length === undefined ? { shape: 'disc', diameter_m: width / 1000 } : { shape: 'rectangle', width_m: width / 1000, length_m: length / 1000 },
      ...(parts ? { parts: [{ glass: 0, thickness_m: parts.thickness_mm / 1000, area_m2: (parts.width_mm / 1000) ** 2, count: parts.count }] } : {}),
      ...(casting
        ? {
            casting: {
              glass: 0,
              thickest_m: casting.thickest_mm / 1000,
              thinnest_m: (casting.thinnest_mm ?? casting.thickest_mm) / 1000,
              volume_m3: (((width / 1000) * (length ?? width)) / 1000) * ((casting.thinnest_mm ?? casting.thickest_mm) / 1000),
              ...(casting.slender ? { slender: casting.slender } : {}),
            },
          }
        : {}),
    },
    ...more,
  };
}

const hollow = (span_mm: number, depth_mm: number, opening: { plan?: Plan; along_m?: number } = {}): Shaping => ({
  ...{ kind: 'hollow', span_m: span_mm / 1000, depth_m: depth_mm / 1000, ...opening },
});
const former = (overhang_mm: number, drop_mm: number): Shaping => ({ kind: 'former', overhang_m: overhang_mm / 1000, drop_m: drop_mm / 1000 });
const drain = (holes: number, hole_mm: number, plate_mm: number, collects_mm?: number): Shaping => ({
  ...{ kind: 'drain', holes, hole_m: hole_mm / 1000, plate_m: plate_mm / 1000 },
  ...(collects_mm === undefined ? {} : { collects_m: collects_mm / 1000 }),
});
const sections = (thick_mm: number, thin_mm: number, wall_mm = 25) => ({ thick_m: thick_mm / 1000, thin_m: thin_mm / 1000, wall_m: wall_mm / 1000 });
const cavity = (thick_mm: number, thin_mm: number, wall_mm?: number): Shaping => ({ kind: 'cavity', ...sections(thick_mm, thin_mm, wall_mm) });
/** In plaster, damp as it comes from the bench. */
const invested = { family: 'casting-crystal', setup: 'inInvestment', wet: 'damp' } as const;
const chunks = (kg_m2: number, thick_mm: number, wide_mm: number): Layer => ({
  ...{ form: 'chunks', glass: 0, perArea_kg_m2: kg_m2, thick_m: thick_mm / 1000, wide_m: wide_mm / 1000 },
});
const grains = (form: 'frit' | 'powder', kg_m2: number, grain_mm: number): Layer => ({ form, glass: 0, perArea_kg_m2: kg_m2, grain_m: grain_mm / 1000 });
const rods = (diameter_mm: number): Layer => ({ form: 'rod', glass: 0, diameter_m: diameter_mm / 1000 });
/** With no glass: a shelf or a mould by itself. */
const item = (
  look: Look,
  of: EmptyItemKind,
  wall_mm: number,
  [wide_mm, long_mm]: [number, number],
  more: Partial<EmptyItem> & Pick<Choice, 'setup' | 'wet' | 'more'> = {},
): FiringCase => {
  const { setup, wet, more: rest, ...own } = more;
  const shaping: Shaping = { kind: 'ware', of, wall_m: wall_mm / 1000, wide_m: wide_mm / 1000, long_m: long_mm / 1000, ...own };
  const whole = firing(look, { size_mm: [wide_mm, long_mm], shaping, ...(setup ? { setup } : {}), ...(wet ? { wet } : {}), ...(rest ? { more: rest } : {}) });
  return { ...whole, body: { glasses: [], layers: [], footprint: whole.body.footprint, joined: true } };
};
const readings = { more: { setup: { ...SETUPS.raisedShelf, twoFaceProof: 'readings' } } } as const;

export const BODIES: [name: string, FiringCase][] = [
  // Flat work in soft sheet.
  ['two sheets, full fuse', firing('fullFuse', { sheets_mm: [3, 3] })],
  ['two sheets, tack', firing('tack', { sheets_mm: [3, 3], parts: { thickness_mm: 3, width_mm: 25, count: 20 } })],
  ['two sheets, contour', firing('contour', { sheets_mm: [3, 3], parts: { thickness_mm: 3, width_mm: 25, count: 20 } })],
  ['two sheets, levelled shards', firing('fullFuse', { sheets_mm: [3, 3], parts: { thickness_mm: 3, width_mm: 25, count: 20 } })],
  ['wide shards that hold air', firing('fullFuse', { sheets_mm: [3], parts: { thickness_mm: 3, width_mm: 90, count: 6 } })],
  ['two sheets, hotter and shorter', firing('fullFuse', { sheets_mm: [3, 3], more: { school: { soak: 'auto', heat: 'hotter' } } })],
  ['two sheets on paper', firing('fullFuse', { sheets_mm: [3, 3], paper: true })],
  ['two thin sheets', firing('fullFuse', { sheets_mm: [1.6, 1.6], size_mm: [150, 150] })],
  ['three sheets', firing('fullFuse', { sheets_mm: [3, 3, 3] })],
  ['four sheets', firing('fullFuse', { sheets_mm: [3, 3, 3, 3] })],
  ['six sheets in a dam', firing('fullFuse', { sheets_mm: [3, 3, 3, 3, 3, 3], dammed: true, size_mm: [200, 200] })],
  ['eight sheets in a dam', firing('slabFlow', { sheets_mm: [3, 3, 3, 3, 3, 3, 3, 3], dammed: true, size_mm: [200, 200] })],
  ['half a metre square', firing('fullFuse', { sheets_mm: [3, 3], size_mm: [500, 500] })],
  ['a long strip', firing('fullFuse', { sheets_mm: [3, 3], size_mm: [80, 600] })],
  ['a disc', firing('fullFuse', { sheets_mm: [3, 3], size_mm: [250] })],
  ['a pendant', firing('fullFuse', { sheets_mm: [3, 3], size_mm: [40, 40] })],
  [
    'a coated pendant',
    firing('tack', {
      layers: [
        { form: 'sheet', glass: 0, thickness_m: 0.003 },
        { form: 'sheet', glass: 0, thickness_m: 0.003, coated: 'up' },
      ],
      size_mm: [45, 45],
    }),
  ],
  ['on a raised shelf', firing('fullFuse', { sheets_mm: [3, 3, 3], setup: 'raisedShelf' })],
  ['on a shelf on the floor', firing('fullFuse', { sheets_mm: [3, 3], setup: 'floorShelf' })],
  ['on fibre board', firing('fullFuse', { sheets_mm: [3, 3, 3], setup: 'board' })],
  ['in a kiln of thick brick', firing('fullFuse', { sheets_mm: [3, 3], more: { kiln: BRICK_KILN } })],
  ['in a weak kiln', firing('fullFuse', { sheets_mm: [3, 3], more: { kiln: WEAK_KILN } })],
  ['keyed in °F, six segments', firing('fullFuse', { sheets_mm: [3, 3], more: { controller: { unit: 'F', fullSpeedCode: 9999, mostSegments: 6 } } })],
  ['a controller that reads 15 °C high', firing('fullFuse', { sheets_mm: [3, 3], more: { corrections: { offset_K: 15, workFactor: 1.2 } } })],
  // Rods and grains.
  ['a row of rods, full fuse', firing('fullFuse', { layers: [rods(6)], size_mm: [150, 150] })],
  ['crossed rods, tack', firing('tack', { layers: [rods(5), rods(5)], size_mm: [150, 150] })],
  [
    'stringers on a sheet',
    firing('contour', {
      layers: [
        { form: 'sheet', glass: 0, thickness_m: 0.003 },
        { form: 'stringer', glass: 0, diameter_m: 0.001, cover: 0.4 },
      ],
    }),
  ],
  ['coarse frit, full fuse', firing('fullFuse', { layers: [grains('frit', 12, 5)], size_mm: [200, 200], dammed: true })],
  ['scrap in shards, full fuse', firing('fullFuse', { layers: [chunks(15, 3, 80)] })],
  ['scrap in lumps, in a dam', firing('slabFlow', { layers: [chunks(50, 10, 30)], size_mm: [200, 200], dammed: true })],
  ['billets in a dam', firing('slabFlow', { layers: [chunks(80, 22, 60)], size_mm: [200, 200], dammed: true })],
  ['a lace of frit', firing('fullFuse', { layers: [grains('frit', 2.2, 2)], size_mm: [240, 180] })],
  ['a wafer of powder', firing('tack', { layers: [grains('powder', 2.5, 0.2)], size_mm: [120, 120] })],
  ['powder on a sheet', firing('firePolish', { layers: [{ form: 'sheet', glass: 0, thickness_m: 0.003 }, grains('powder', 0.4, 0.2)] })],
  ['a wafer, sifted', firing('wafer', { layers: [grains('powder', 2.5, 0.2)], size_mm: [120, 120] })],
  ['lace of medium frit', firing('lace', { layers: [grains('frit', 2.2, 2)], size_mm: [240, 180] })],
  ['a heap of 200 g', firing('heap', { layers: [grains('frit', 40, 3)], size_mm: [80] })],
  // Held by dams, plates, grids and pots.
  ['stuck with crisp edges', firing('stick', { sheets_mm: [3, 3], parts: { thickness_mm: 3, width_mm: 25, count: 20 } })],
  [
    'a coated pendant, rushed',
    firing('rush', {
      layers: [
        { form: 'sheet', glass: 0, thickness_m: 0.003 },
        { form: 'sheet', glass: 0, thickness_m: 0.003, coated: 'up' },
      ],
      size_mm: [45, 45],
    }),
  ],
  ['strips on edge', firing('strips', { sheets_mm: [12], dammed: true, size_mm: [200, 300], shaping: { kind: 'strips', sheet_m: 0.003 } })],
  [
    'a ring of segments',
    firing('ring', {
      layers: [{ form: 'sheet', glass: 0, thickness_m: 0.012, cover: 0.9 }],
      dammed: true,
      size_mm: [200],
      shaping: { kind: 'ring', gap_m: 0.005 },
    }),
  ],
  [
    'pressed under a plate',
    firing('press', { layers: [grains('frit', 40, 4)], size_mm: [100], shaping: { kind: 'press', spacer_m: 0.006, plate_kg: 4, plate_m: 0.02 } }),
  ],
  ['dripped through a grid', firing('drip', { layers: [grains('frit', 50, 5)], size_mm: [120, 120], shaping: drain(6, 12, 15), more: { kiln: TALL_KILN } })],
  ['melted from a pot', firing('potMelt', { layers: [grains('frit', 90, 8)], size_mm: [100], shaping: drain(1, 16, 12), more: { kiln: TALL_KILN } })],
  [
    'melted from a pot into a dam',
    firing('potMelt', { layers: [grains('frit', 120, 8)], size_mm: [100], shaping: drain(1, 20, 12, 150), more: { kiln: TALL_KILN } }),
  ],
  // One solid, fired again.
  ['6 mm, polished', firing('firePolish', { sheets_mm: [6], joined: true })],
  ['12 mm, polished', firing('firePolish', { sheets_mm: [12], joined: true })],
  ['19 mm, polished', firing('firePolish', { sheets_mm: [19], joined: true })],
  ['25 mm, polished', firing('firePolish', { sheets_mm: [25], joined: true })],
  ['25 mm, proven on both faces', firing('firePolish', { sheets_mm: [25], joined: true, ...readings })],
  ['50 mm, polished', firing('firePolish', { sheets_mm: [50], joined: true, size_mm: [200, 200] })],
  ['19 mm, full fused again', firing('fullFuse', { sheets_mm: [19], joined: true })],
  ['tacked, fired again', firing('firePolish', { sheets_mm: [6], joined: true, parts: { thickness_mm: 3, width_mm: 25, count: 20 } })],
  ['a slab with shards on it', firing('tack', { sheets_mm: [19], parts: { thickness_mm: 3, width_mm: 60, count: 4 }, size_mm: [200, 200] })],
  // Shaped.
  ['a bowl, 300 by 50 mm', firing('slump', { sheets_mm: [6], joined: true, size_mm: [300], setup: 'inMould', shaping: hollow(300, 50) })],
  ['a dish, 100 by 15 mm', firing('slump', { sheets_mm: [6], joined: true, size_mm: [100, 100], setup: 'inMould', shaping: hollow(100, 15) })],
  ['a deep bowl, 250 by 90 mm', firing('slump', { sheets_mm: [6], joined: true, size_mm: [250], setup: 'inMould', shaping: hollow(250, 90) })],
  ['a thin dish', firing('slump', { sheets_mm: [3], joined: true, size_mm: [200], setup: 'inMould', shaping: hollow(200, 30) })],
  [
    'an oval dish, 300 by 200 by 40 mm',
    firing('slump', { sheets_mm: [6], joined: true, size_mm: [200, 300], setup: 'inMould', shaping: hollow(200, 40, { plan: 'oval', along_m: 0.3 }) }),
  ],
  [
    'a trough, 80 by 25 mm',
    firing('slump', { sheets_mm: [6], joined: true, size_mm: [90, 300], setup: 'inMould', shaping: hollow(80, 25, { plan: 'trough', along_m: 0.3 }) }),
  ],
  ['a thick plate', firing('slump', { sheets_mm: [9], joined: true, size_mm: [400], setup: 'inMould', shaping: hollow(400, 40) })],
  [
    'a tacked bowl',
    firing('slump', {
      sheets_mm: [6],
      joined: true,
      size_mm: [300],
      setup: 'inMould',
      shaping: hollow(300, 40),
      parts: { thickness_mm: 3, width_mm: 25, count: 12 },
    }),
  ],
  ['over a can', firing('drape', { sheets_mm: [6], joined: true, size_mm: [300], setup: 'overFormer', shaping: former(90, 50) })],
  ['a low drape', firing('drape', { sheets_mm: [3], joined: true, size_mm: [250], setup: 'overFormer', shaping: former(60, 20) })],
  // Castings in moulds of plaster and silica.
  ['strips stacked in a trough', firing('openCast', { ...invested, layers: [chunks(42, 6, 60)], size_mm: [80, 300], dammed: true, shaping: cavity(25, 17) })],
  ['cast of frit, 25 mm', firing('openCast', { ...invested, layers: [grains('frit', 60, 5)], size_mm: [120], shaping: cavity(25, 20) })],
  ['cast of frit, 50 mm', firing('openCast', { ...invested, layers: [grains('frit', 110, 8)], size_mm: [150], shaping: cavity(50, 50) })],
  ['cast of billets, 50 mm', firing('openCast', { ...invested, sheets_mm: [22, 22], size_mm: [120, 120], shaping: cavity(50, 40) })],
  [
    'cast of soft sheet, 40 mm',
    firing('openCast', { ...invested, family: 'soft-90', layers: [grains('frit', 90, 5)], size_mm: [100], shaping: cavity(40, 40) }),
  ],
  [
    'cast of lead crystal, 30 mm',
    firing('openCast', { ...invested, family: 'lead-crystal', layers: [grains('frit', 80, 5)], size_mm: [100], shaping: cavity(30, 25) }),
  ],
  ['cast thick and thin', firing('openCast', { ...invested, layers: [grains('frit', 60, 5)], size_mm: [150], shaping: cavity(50, 15) })],
  ['cast, 100 mm', firing('openCast', { ...invested, layers: [grains('frit', 240, 10)], size_mm: [200], shaping: cavity(100, 100) })],
  ['cast, 300 mm', firing('openCast', { ...invested, layers: [grains('frit', 700, 15)], size_mm: [300, 300], shaping: cavity(300, 280, 50) })],
  [
    'cast of frit, a rod of 30 mm',
    firing('openCast', { ...invested, layers: [grains('frit', 60, 5)], size_mm: [60, 150], shaping: { ...cavity(30, 30), slender: 'cylinder' } as Shaping }),
  ],
  [
    'cast of frit, a ball of 60 mm',
    firing('reservoirCast', {
      ...{ ...invested, layers: [grains('frit', 100, 5)], size_mm: [60] },
      shaping: { kind: 'reservoir', ...sections(60, 60), slender: 'sphere', hole_m: 0.02, plate_m: 0.02 },
    }),
  ],
  [
    'cast of frit, held while it sinks',
    firing('openCast', {
      ...{ ...invested, layers: [grains('frit', 60, 5)], size_mm: [120], shaping: cavity(25, 20) },
      more: { school: { soak: 'auto', heat: 'cooler', grains: 'held' } },
    }),
  ],
  [
    'cast hollow',
    firing('coreCast', { ...invested, layers: [grains('frit', 30, 3)], size_mm: [120], shaping: { kind: 'core', ...sections(15, 12), core_m: 0.02 } }),
  ],
  [
    'cast from a reservoir',
    firing('reservoirCast', {
      ...{ ...invested, layers: [grains('frit', 100, 8)], size_mm: [80] },
      shaping: { kind: 'reservoir', ...sections(40, 30), hole_m: 0.02, plate_m: 0.02 },
    }),
  ],
  [
    'its second firing, polished',
    firing('firePolish', { family: 'casting-crystal', casting: { thickest_mm: 40, thinnest_mm: 30 }, joined: true, size_mm: [100, 100] }),
  ],
  ['stuck in its mould, 300 mm', firing('loosen', { sheets_mm: [6], joined: true, size_mm: [300], setup: 'onPosts' })],
  ['25 mm, annealed again', firing('anneal', { sheets_mm: [25], joined: true })],
  ['6 mm, annealed again', firing('anneal', { sheets_mm: [6], joined: true })],
  ['a thick one, stuck', firing('loosen', { sheets_mm: [12], joined: true, size_mm: [200, 200], setup: 'onPosts' })],
  ['into a damp mould', firing('slump', { sheets_mm: [6], joined: true, size_mm: [300], setup: 'inMould', shaping: hollow(300, 50), wet: 'damp' })],
  ['held by glue', firing('tack', { sheets_mm: [3, 3], parts: { thickness_mm: 3, width_mm: 25, count: 20 }, wet: 'glued' })],
  // With no glass in them.
  ['a primed shelf', item('dryShelf', 'shelf', 16, [450, 450])],
  ['a small primed shelf', item('dryShelf', 'shelf', 12, [200, 200], { setup: 'raisedShelf' })],
  ['a plaster mould, dried', item('dryMould', 'plaster', 25, [150, 200])],
  ['a thick plaster mould, dried', item('dryMould', 'plaster', 50, [250, 300])],
  ['a castable mould, dried', item('dryMould', 'castable', 25, [200, 300], { setup: 'raisedShelf' })],
  ['a slumping mould with a fresh coat', item('dryMould', 'fired', 10, [300, 300])],
  ['wax burnt out of plaster', item('burnOut', 'plaster', 30, [150, 200], { wet: 'damp' })],
  ['binder burnt out of a board', item('burnOut', 'fibre', 25, [400, 500])],
  ['a clay mould, cone 06', item('bisque', 'clay', 10, [250, 250], { cone: '06', more: { kiln: TALL_KILN } })],
  [
    'a thick clay mould, cone 04, hotter and shorter',
    item('bisque', 'clay', 20, [300, 300], { cone: '04', wet: 'damp', more: { kiln: TALL_KILN, school: { soak: 'auto', heat: 'hotter' } } }),
  ],
  [
    'a clay mould, keyed in °F, reads high',
    item('bisque', 'clay', 8, [200, 200], {
      cone: '05',
      more: { kiln: TALL_KILN, controller: { unit: 'F', fullSpeedCode: 9999, mostSegments: 8 }, corrections: { offset_K: 7.3, workFactor: 1.2 } },
    }),
  ],
  // Other glasses.
  ['soft sheet 96', firing('fullFuse', { family: 'soft-96', sheets_mm: [3, 3] })],
  ['soft rod 104, tack', firing('tack', { family: 'soft-104', layers: [rods(6)], size_mm: [80, 80] })],
  ['window float', firing('fullFuse', { family: 'float', sheets_mm: [4, 4] })],
  ['window float, slumped', firing('slump', { family: 'float', sheets_mm: [6], joined: true, size_mm: [300], setup: 'inMould', shaping: hollow(300, 40) })],
  ['borosilicate', firing('fullFuse', { family: 'boro-33', sheets_mm: [3.3, 3.3], size_mm: [150, 150], more: { kiln: TALL_KILN } })],
  ['lead crystal, polished', firing('firePolish', { family: 'lead-crystal', sheets_mm: [10], joined: true, size_mm: [150, 150] })],
  // Castings, as their thickest section.
  ['a casting of 20 mm', firing('firePolish', { family: 'casting-crystal', casting: { thickest_mm: 20 }, size_mm: [120, 120] })],
  ['a casting of 40 mm', firing('firePolish', { family: 'casting-crystal', casting: { thickest_mm: 40 }, size_mm: [120, 120] })],
  ['a casting, thick and thin', firing('firePolish', { family: 'casting-crystal', casting: { thickest_mm: 25, thinnest_mm: 10 }, size_mm: [150, 150] })],
  ['a rod, cast', firing('firePolish', { family: 'casting-crystal', casting: { thickest_mm: 30, slender: 'cylinder' }, size_mm: [40, 150] })],
  ['a ball, cast', firing('firePolish', { family: 'casting-crystal', casting: { thickest_mm: 60, slender: 'sphere' }, size_mm: [60] })],
  ['lead crystal, cast', firing('firePolish', { family: 'lead-crystal', casting: { thickest_mm: 30 }, size_mm: [100, 100] })],
];

/** Hours from cold to open, the hottest target, and the greatest tension that is left: what a change of the engine is judged by. */
export interface Figures {
  hours: number;
  top_C: number;
  residual_MPa: number;
}

/** Where they stand as of the last change, beside the project's own files; written by npm run pictures. */
export const FIGURES_FILE = 'packages/core/src/bodies.figures.json';

/** As they are printed: what rounds to the same has not moved. */
export const figuresOf = ({ segments, evaluation }: Pick<Composed, 'segments' | 'evaluation'>): Figures => ({
  hours: Number((evaluation.simulation.total_s / 3600).toFixed(1)),
  top_C: Math.round(Math.max(...segments.map(({ target_C }) => target_C))),
  residual_MPa: Number((Math.max(0, ...(evaluation.simulation.residual ?? []).map(({ stress_Pa }) => stress_Pa)) / 1e6).toFixed(2)),
});

/** Each figure that moved, as a table: before and after. Empty where none has. */
export function movedFigures(before: Readonly<Record<string, Figures>>, now: Readonly<Record<string, Figures>>): string {
  const shown = (was: number | undefined, is: number | undefined): string => (was === is ? `${is}` : `${was ?? '–'} → ${is ?? '–'}`);
  const rows = [...new Set([...Object.keys(before), ...Object.keys(now)])].flatMap((name) => {
    const [was, is] = [before[name], now[name]];
    if (was && is && was.hours === is.hours && was.top_C === is.top_C && was.residual_MPa === is.residual_MPa) return [];
    return [`| ${name} | ${shown(was?.hours, is?.hours)} | ${shown(was?.top_C, is?.top_C)} | ${shown(was?.residual_MPa, is?.residual_MPa)} |`];
  });
  return rows.length === 0 ? '' : ['| body | hours | top, °C | residual, MPa |', '|---|---|---|---|', ...rows].join('\n');
}

export function bodyNamed(name: string): FiringCase {
  const body = BODIES.find(([own]) => own === name);
  if (!body) throw new Error(`No body is called '${name}'.`);
  return body[1];
}

export function composed(firing: FiringCase): Composed {
  const outcome = compose(firing);
  if (!outcome.ok) throw new Error(outcome.problem.message);
  return outcome.value;
}
