/** Cutting sums: strips, strips on edge, woven panels, segments, caps and liners, each as a cut list. */
import { cuttingWords } from '@torvin/core/quantity';
import { type Units, formatLength, formatStock, text, suggestedWords } from '@torvin/core/units';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { CUTS, CUT_USUAL, type CutKind, capIn, cutIn, fieldOfCutting, readCutting } from './cuttingEntry';
import { glassOf, stockOf } from './glassOf';
import { HollowFields } from './HollowFields';
import { OfGlass } from './OfGlass';
import { Outcome } from './Outcome';
import { type Glasses, putsCut } from './putCut';
import type { SheetProps } from './sheetProps';
import { type AskedField, FieldRow, NamedChips } from './TypedField';
import { useReckoned } from './useReckoned';
import { CUTTING_SHEET } from './words';

const CUT_TITLES: Record<CutKind, string> = {
  ...{ strips: 'strips', onEdge: CUTTING_SHEET.onEdge, woven: CUTTING_SHEET.wovenPanel, segments: 'segments', cap: CUTTING_SHEET.largerCap, liner: 'liner' },
};
function fieldsOf(kind: CutKind, units: Units, sheet: { width_m: number; length_m: number } | undefined): AskedField[] {
  const long = (metres: number): string => CUTTING_SHEET.emptyUsual(text(formatLength(metres, units.length)));
  const usual = (metres: number): string => CUTTING_SHEET.emptyUsual(suggestedWords(metres, units.length));
  const thick: AskedField = {
    field: 'thick',
    label: CUTTING_SHEET.glassThick,
    hint: CUTTING_SHEET.emptyUsual(text(formatStock(CUT_USUAL.thick_m, units.length))),
  };
  switch (kind) {
    case 'strips':
      return [
        { field: 'sheetWidth', label: CUTTING_SHEET.sheetWide, ...(sheet ? { hint: long(sheet.width_m) } : {}) },
        { field: 'sheetLength', label: CUTTING_SHEET.sheetLong, ...(sheet ? { hint: long(sheet.length_m) } : {}) },
        { field: 'stripWide', label: CUTTING_SHEET.stripWide },
        { field: 'kerf', label: 'kerf', hint: CUTTING_SHEET.emptyScored },
        { field: 'count', label: 'wanted', hint: CUTTING_SHEET.emptyOneSheet },
        thick,
      ];
    case 'onEdge':
      return [
        { field: 'fillWide', label: CUTTING_SHEET.toFillWide },
        { field: 'fillLong', label: 'long' },
        { field: 'stripWide', label: CUTTING_SHEET.stripHigh },
        { field: 'high', label: 'layers', hint: CUTTING_SHEET.emptyOne },
        thick,
      ];
    case 'woven':
      return [
        { field: 'stripWide', label: CUTTING_SHEET.stripWide },
        { field: 'across', label: CUTTING_SHEET.upNumber },
        { field: 'along', label: 'across' },
        { field: 'gap', label: 'gap', hint: CUTTING_SHEET.emptyNone },
        { field: 'border', label: 'border', hint: CUTTING_SHEET.emptyNone },
        thick,
        { field: 'capThick', label: CUTTING_SHEET.capThick, hint: CUTTING_SHEET.emptyNone },
        { field: 'over', label: CUTTING_SHEET.capOver, hint: CUTTING_SHEET.emptyFlush },
        { field: 'spare', label: 'spare, %', hint: CUTTING_SHEET.emptyUsual(CUT_USUAL.spare) },
      ];
    case 'segments':
      return [
        { field: 'slab', label: CUTTING_SHEET.slabLong },
        { field: 'stop', label: CUTTING_SHEET.stopAt },
        { field: 'kerf', label: 'kerf', hint: usual(CUT_USUAL.sawKerf_m) },
        { field: 'slabWide', label: CUTTING_SHEET.slabWide, hint: CUTTING_SHEET.layThem },
        { field: 'slabDeep', label: CUTTING_SHEET.slabDeep },
      ];
    case 'cap':
      return [{ field: 'over', label: CUTTING_SHEET.largerBy }, thick];
    case 'liner':
      return [{ field: 'paper', label: CUTTING_SHEET.paperThick, hint: usual(CUT_USUAL.paper_m) }];
  }
}

export function CuttingSheet({ typed, set, shelves, where, onPut }: SheetProps) {
  const units = useUnits();
  const of = glassOf(shelves, typed.glass, where);
  const stock = stockOf(of?.glass ?? null);
  const kind = cutIn(typed);
  const read = readCutting(typed, units, stock, of?.glass?.thicknesses_m);
  const { pair, stale, problem } = useReckoned('cutting', read.value);
  if (!of) return null;
  const problems = problem ? { ...read.problems, [fieldOfCutting(kind, problem.path)]: problem.message } : read.problems;
  const sheet = { typed, set, problems };
  const told = pair && cuttingWords(pair.asked, pair.value, units);
  // A weave shows by its two glasses; what is not chosen is as the first.
  const [across, cap] = [typed.glassAcross, typed.glassCap].map((id) => glassOf(shelves, id ?? of.id, where) ?? of);
  const glasses: Glasses = { up: of.id, across: across.id, cap: cap.id };
  return (
    <View style={{ gap: space.small }}>
      <NamedChips<CutKind>
        label={CUTTING_SHEET.whatIsCut}
        value={kind}
        options={CUTS.map((value) => ({ value, title: CUT_TITLES[value] }))}
        onPick={(cut) => set({ cut })}
        testID="reckon-cut"
      />
      {kind === 'cap' && <HollowFields sheet={sheet} asks="outline" more={fieldsOf(kind, units, stock.sheet)} where={where} />}
      {kind === 'liner' && <HollowFields sheet={sheet} more={fieldsOf(kind, units, stock.sheet)} where={where} />}
      {kind !== 'cap' && kind !== 'liner' && <FieldRow sheet={sheet} fields={fieldsOf(kind, units, stock.sheet)} />}
      {kind !== 'liner' && <OfGlass shelves={shelves} of={of} onChange={(glass) => set({ glass })} />}
      {kind === 'woven' && (
        <>
          <OfGlass shelves={shelves} of={across} part={CUTTING_SHEET.acrossIt} id="glassAcross" onChange={(glassAcross) => set({ glassAcross })} />
          {(typed.capThick ?? '') !== '' && (
            <OfGlass shelves={shelves} of={cap} part={CUTTING_SHEET.itsCap} id="glassCap" onChange={(glassCap) => set({ glassCap })} />
          )}
        </>
      )}
      <Outcome
        kind="cutting"
        typed={{ ...typed, glass: of.id }}
        missing={read.missing}
        told={told}
        stale={stale}
        puts={pair && putsCut(of, pair.asked, pair.value, glasses, capIn(typed, units), units)}
        where={where}
        onPut={onPut}
      />
    </View>
  );
}
