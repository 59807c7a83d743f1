/** Cutting sums: strips, strips on edge, woven panels, segments, caps and liners, each as a cut list. */
import { type CuttingAsked, type CuttingTold, type LaidLayer, type Units, cuttingWords, formatLength, formatStock, putGlass, text } from '@torvin/core';
import { SHEET_RANGE_M } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/studio';
import { space } from '@/theme/theme';
import { CUTS, CUT_USUAL, type CutKind, cutIn, fieldOfCutting, readCutting } from './cuttingEntry';
import { type ReckonedOf, glassOf, stockOf } from './glassOf';
import { HollowFields } from './HollowFields';
import { OfGlass } from './OfGlass';
import { Outcome } from './Outcome';
import type { Puts } from './PutOrKeep';
import type { SheetProps } from './sheets';
import { type AskedField, FieldRow, NamedChips } from './TypedField';
import { useReckoned } from './useReckoned';

const CUT_TITLES: Record<CutKind, string> = {
  ...{ strips: 'strips', onEdge: 'on edge', woven: 'woven panel', segments: 'segments', cap: 'larger cap', liner: 'liner' },
};
function fieldsOf(kind: CutKind, units: Units, sheet: { width_m: number; length_m: number } | undefined): AskedField[] {
  const long = (metres: number): string => `empty: ${text(formatLength(metres, units.length))}`;
  const thick: AskedField = { field: 'thick', label: 'glass thick', hint: `empty: ${text(formatStock(CUT_USUAL.thick_m, units.length))}` };
  switch (kind) {
    case 'strips':
      return [
        { field: 'sheetWidth', label: 'sheet wide', ...(sheet ? { hint: long(sheet.width_m) } : {}) },
        { field: 'sheetLength', label: 'sheet long', ...(sheet ? { hint: long(sheet.length_m) } : {}) },
        { field: 'stripWide', label: 'strip wide' },
        { field: 'kerf', label: 'kerf', hint: 'empty: scored' },
        { field: 'count', label: 'wanted', hint: 'empty: one sheet' },
        thick,
      ];
    case 'onEdge':
      return [
        { field: 'fillWide', label: 'to fill, wide' },
        { field: 'fillLong', label: 'long' },
        { field: 'stripWide', label: 'strip high' },
        { field: 'high', label: 'layers', hint: 'empty: one' },
        thick,
      ];
    case 'woven':
      return [
        { field: 'stripWide', label: 'strip wide' },
        { field: 'across', label: 'up, number' },
        { field: 'along', label: 'across' },
        { field: 'gap', label: 'gap', hint: 'empty: none' },
        { field: 'border', label: 'border', hint: 'empty: none' },
        thick,
        { field: 'capThick', label: 'cap thick', hint: 'empty: none' },
        { field: 'over', label: 'cap over', hint: 'empty: flush' },
        { field: 'spare', label: 'spare, %', hint: `empty: ${CUT_USUAL.spare}` },
      ];
    case 'segments':
      return [
        { field: 'slab', label: 'slab long' },
        { field: 'stop', label: 'stop at' },
        { field: 'kerf', label: 'kerf', hint: long(CUT_USUAL.sawKerf_m) },
      ];
    case 'cap':
      return [{ field: 'over', label: 'larger by' }];
    case 'liner':
      return [{ field: 'paper', label: 'paper thick', hint: long(CUT_USUAL.paper_m) }];
  }
}

/** A woven panel, or strips on edge, as layers of cut pieces. */
function layersOf(asked: CuttingAsked, { pieces, finished }: CuttingTold, glassId: string, newId: () => string): LaidLayer[] | null {
  if (!finished) return null;
  const area_m2 = finished.width_m * finished.length_m;
  const laid = (name: string, thickness_m: number, of: { count: number; width_m: number; length_m: number }[]): LaidLayer => ({
    ...{ id: newId(), glassId, form: 'pieces', name, thickness_m, count: of.reduce((sum, { count }) => sum + count, 0) },
    cover: Math.min(of.reduce((sum, { count, width_m, length_m }) => sum + count * width_m * length_m, 0) / area_m2, 1),
  });
  if (asked.kind === 'onEdge') {
    const count = pieces[0].count / asked.high;
    return Array.from({ length: asked.high }, () => laid('Strips on edge', asked.strip_m, [{ count, width_m: asked.thickness_m, length_m: asked.length_m }]));
  }
  if (asked.kind !== 'woven') return null;
  const [up, across, ...rest] = pieces;
  // The border is two deep: one course of it beside either layer of strips.
  const border = rest.filter(({ name }) => name.startsWith('border')).map((piece) => ({ ...piece, count: piece.count / 2 }));
  return [
    laid('Up the panel', asked.thickness_m, [up, ...border]),
    laid('Across it', asked.thickness_m, [across, ...border]),
    ...(asked.cap
      ? [
          {
            id: newId(),
            glassId,
            form: 'cap' as const,
            thickness_m: asked.cap.thickness_m,
            ...(asked.cap.overhang_m > 0 ? { overhang_m: asked.cap.overhang_m } : {}),
          },
        ]
      : []),
  ];
}

function putsCut({ glass }: ReckonedOf, asked: CuttingAsked, told: CuttingTold, units: Units): Puts | null {
  const { finished } = told;
  if (!glass || !finished || (asked.kind === 'onEdge' && asked.strip_m > SHEET_RANGE_M.most)) return null;
  const footprint = { shape: 'rectangle', width_m: finished.width_m, length_m: finished.length_m } as const;
  const size = `${formatLength(finished.width_m, units.length).figure} × ${text(formatLength(finished.length_m, units.length))}`;
  return {
    words: (isBegun) => `Lays its pieces of ${glass.name}${isBegun ? '' : `, ${size}`}, ${text(formatLength(finished.depth_m, units.length))} deep.`,
    replaces: true,
    into: (doc, { newId, into, isBegun }) =>
      putGlass(doc, {
        layersOn: () => layersOf(asked, told, glass.id, newId) ?? [],
        ...(isBegun ? {} : { holder: { footprint, dammed: asked.kind === 'onEdge', deepest_m: finished.depth_m } }),
        into,
      }),
    begins: { name: `${asked.kind === 'woven' ? 'Woven panel' : 'Strips on edge'}, ${size}`, footprint, dammed: asked.kind === 'onEdge' },
  };
}

export function CuttingSheet({ typed, set, shelves, where, onPut }: SheetProps) {
  const units = useUnits();
  const of = glassOf(shelves, typed.glass, where);
  const stock = stockOf(of?.glass ?? null);
  const kind = cutIn(typed);
  const read = readCutting(typed, units, stock);
  const { pair, stale, problem } = useReckoned('cutting', read.value);
  if (!of) return null;
  const problems = problem ? { ...read.problems, [fieldOfCutting(kind, problem.path)]: problem.message } : read.problems;
  const sheet = { typed, set, problems };
  const told = pair && cuttingWords(pair.asked, pair.value, units);
  return (
    <View style={{ gap: space.small }}>
      <NamedChips<CutKind>
        label="what is cut"
        value={kind}
        options={CUTS.map((value) => ({ value, title: CUT_TITLES[value] }))}
        onPick={(cut) => set({ cut })}
        testID="reckon-cut"
      />
      {kind === 'cap' && <HollowFields sheet={sheet} asks="outline" more={fieldsOf(kind, units, stock.sheet)} where={where} />}
      {kind === 'liner' && <HollowFields sheet={sheet} more={fieldsOf(kind, units, stock.sheet)} where={where} />}
      {kind !== 'cap' && kind !== 'liner' && <FieldRow sheet={sheet} fields={fieldsOf(kind, units, stock.sheet)} />}
      {kind !== 'liner' && <OfGlass shelves={shelves} of={of} onChange={(glass) => set({ glass })} />}
      <Outcome
        kind="cutting"
        typed={{ ...typed, glass: of.id }}
        missing={read.missing}
        told={told}
        stale={stale}
        puts={pair && putsCut(of, pair.asked, pair.value, units)}
        where={where}
        onPut={onPut}
      />
    </View>
  );
}
