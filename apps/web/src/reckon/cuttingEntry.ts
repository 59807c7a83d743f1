/** What is to be cut, as it is typed. */
import type { CuttingAsked, Stock } from '@torvin/core/quantity';
import { type Units, suggested } from '@torvin/core/units';
import { OUTLINES, readHollow, readOutline, spreadSizes } from './hollowEntry';
import { type Read, type Reader, type Typed, readTyped } from './typed';

export const CUTS = ['strips', 'onEdge', 'woven', 'segments', 'cap', 'liner'] as const;
export type CutKind = (typeof CUTS)[number];

/** What is taken where it is left empty. */
export const CUT_USUAL = { thick_m: 0.003, kerf_m: 0, sawKerf_m: 0.002, spare: 10, paper_m: 0.002 } as const;

const SHEET = { least: 0.01, most: 4 };
const THICK = { least: 0.0005, most: 0.1 };
const STRIP = { least: 0.001, most: 1 };

function readOf(kind: CutKind, read: Reader, units: Units, stock: Stock): CuttingAsked {
  const long = (field: string, name: string, range: { least: number; most: number }): number => read.figure(field, name, range);
  const orUsual = (field: string, name: string, range: { least: number; most: number }, usual: number): number =>
    read.maybe(field, () => long(field, name, range)) ?? usual;
  const whole = (field: string, name: string, most: number): number => read.figure(field, name, { least: 1, most });
  const thick = (): number => orUsual('thick', 'thickness', THICK, CUT_USUAL.thick_m);
  switch (kind) {
    case 'strips': {
      const sheet = {
        width_m: stock.sheet ? orUsual('sheetWidth', 'width of the sheet', SHEET, stock.sheet.width_m) : long('sheetWidth', 'width of the sheet', SHEET),
        length_m: stock.sheet ? orUsual('sheetLength', 'length of the sheet', SHEET, stock.sheet.length_m) : long('sheetLength', 'length of the sheet', SHEET),
        thickness_m: thick(),
      };
      const count = read.maybe('count', () => whole('count', 'number of strips', 10000));
      return {
        ...{ kind, sheet, strip_m: long('stripWide', 'strip', STRIP), kerf_m: orUsual('kerf', 'kerf', { least: 0, most: 0.02 }, CUT_USUAL.kerf_m) },
        ...(count === undefined ? {} : { count }),
      };
    }
    case 'onEdge':
      return {
        ...{ kind, width_m: long('fillWide', 'width', SHEET), length_m: long('fillLong', 'length', SHEET), strip_m: long('stripWide', 'strip', STRIP) },
        ...{ thickness_m: thick(), high: read.maybe('high', () => whole('high', 'number over one another', 50)) ?? 1 },
      };
    case 'woven': {
      const cap_m = read.maybe('capThick', () => long('capThick', 'cap', THICK));
      return {
        ...{ kind, strip_m: long('stripWide', 'strip', STRIP), gap_m: orUsual('gap', 'gap', { least: 0, most: 0.2 }, 0), thickness_m: thick() },
        ...{ across: whole('across', 'number up the panel', 500), along: whole('along', 'number across it', 500) },
        border_m: orUsual('border', 'border', { least: 0, most: 0.5 }, 0),
        cap: cap_m === undefined ? null : { thickness_m: cap_m, overhang_m: orUsual('over', 'overhang', { least: 0, most: 0.05 }, 0) },
        spare: (read.maybe('spare', () => read.figure('spare', 'share to spare', { least: 0, most: 100 })) ?? CUT_USUAL.spare) / 100,
      };
    }
    case 'segments': {
      const section = ['slabWide', 'slabDeep'].some((field) => read.words(field) !== '')
        ? { section: { width_m: long('slabWide', 'width of the slab', SHEET), depth_m: long('slabDeep', 'depth of the slab', SHEET) } }
        : {};
      return {
        ...{ kind, slab_m: long('slab', 'slab', SHEET), stop_m: long('stop', 'stop', STRIP) },
        kerf_m: orUsual('kerf', 'kerf', { least: 0, most: 0.02 }, suggested(CUT_USUAL.sawKerf_m, units.length)),
        ...section,
      };
    }
    case 'cap':
      return { kind, outline: readOutline(read, '', units), overhang_m: long('over', 'overhang', { least: 0, most: 0.1 }) };
    case 'liner':
      return {
        kind,
        hollow: readHollow(read, '', units),
        thickness_m: orUsual('paper', 'paper', { least: 0.0002, most: 0.02 }, suggested(CUT_USUAL.paper_m, units.length)),
      };
  }
}

export const cutIn = (typed: Typed): CutKind => CUTS.find((one) => one === typed.cut) ?? CUTS[0];

export function readCutting(typed: Typed, units: Units, stock: Stock, sizes_m: readonly number[] = []): Read<CuttingAsked> {
  const kind = cutIn(typed);
  const spread = kind === 'cap' ? spreadSizes(typed, '', OUTLINES) : kind === 'liner' ? spreadSizes(typed, '') : typed;
  return readTyped(spread, units, (read) => readOf(kind, read, units, stock), sizes_m);
}

/** How thick the cap is that is laid on; as usual where it is not told. */
export const capIn = (typed: Typed, units: Units): number | null =>
  readTyped(typed, units, (read) => read.maybe('thick', () => read.figure('thick', 'thickness', THICK)) ?? CUT_USUAL.thick_m).value;

/** The field that a refusal of the core belongs to. */
export const fieldOfCutting = (kind: CutKind, path: string): string =>
  ({ kerf_m: 'kerf', strip_m: 'stripWide', stop_m: 'stop', overhang_m: 'over', thickness_m: kind === 'liner' ? 'paper' : 'thick', 'hollow.kind': 'paper' })[
    path
  ] ?? path;
