/** Grains on an area: what to weigh, how it will look, drawn to scale, so that a slip of ten shows before anything is weighed. */
import { footprintArea, footprintWords } from '@torvin/core/body';
import { putGlass } from '@torvin/core/piece';
import { type StrewnAsked, strewnWords, WETNESSES } from '@torvin/core/quantity';
import { type Units, formatMass, formatStrewn, text } from '@torvin/core/units';
import type { Answered } from '@torvin/core/engine';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Fold } from '@/ui/Fold';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { glassOf, type ReckonedOf } from './glassOf';
import { GRAIN_HEATS, GRAIN_NAMES, type GrainHeat, type GrainName, fieldOfGrains, grainIn, readGrains } from './grainsEntry';
import { HollowFields } from './HollowFields';
import { OfGlass } from './OfGlass';
import { Outcome } from './Outcome';
import { PatchDrawing } from './PatchDrawing';
import type { Puts } from './PutOrKeep';
import type { SheetProps } from './sheetProps';
import { type AskedField, FieldRow, NamedChips } from './TypedField';
import { useNextWork } from './useNextWork';
import { useReckoned } from './useReckoned';
import { GRAINS_SHEET } from './words';
import { WORDS } from '@/ui/said';

const GRAIN_TITLES: Record<GrainName, string> = { powder: 'powder', fine: 'fine', medium: 'medium', coarse: 'coarse' };
const HEAT_TITLES: Record<GrainHeat, string> = {
  own: GRAINS_SHEET.itsFiring,
  lace: 'lace',
  wafer: 'wafer',
  tack: GRAINS_SHEET.tackFuse,
  fullFuse: GRAINS_SHEET.fullFuse,
  cold: GRAINS_SHEET.notFired,
};
const WET_TITLES = { dry: 'dry', damp: 'damp', wet: 'wet', flooded: 'flooded' } as const;

/** As a person would write them, in the studio's units. */
const amountOf = (units: Units): readonly AskedField[] => [
  { field: 'grains', label: GRAINS_SHEET.grainsAllArea, hint: GRAINS_SHEET.or(text(formatMass(0.13, units.mass)), text(formatStrewn(2.8, units))), wide: true },
];
const FURTHER: readonly AskedField[] = [
  { field: 'hole', label: GRAINS_SHEET.aHoleIn, hint: GRAINS_SHEET.orSidesWith },
  { field: 'holes', label: WORDS.howMany, hint: GRAINS_SHEET.emptyOne },
  { field: 'open', label: GRAINS_SHEET.stencilOpen, hint: GRAINS_SHEET.emptyNoStencil },
  { field: 'coats', label: 'coats', hint: GRAINS_SHEET.emptyOne },
  { field: 'grain', label: 'grain', hint: GRAINS_SHEET.emptyAsChosen },
  { field: 'film', label: GRAINS_SHEET.filmWanted, hint: GRAINS_SHEET.placeMass },
];

/** Powder below it, frit from it on. */
const POWDER_UNDER_M = 0.0005;

type Strewn = Pick<Answered<'grains'>, 'mass_kg' | 'area_m2' | 'perArea_kg_m2'>;

/** It lies on as much of the piece's outline as it was reckoned for. */
function putsGrains({ glass, name }: ReckonedOf, { outline, grain_m }: StrewnAsked, { mass_kg, area_m2, perArea_kg_m2 }: Strewn, units: Units): Puts | null {
  if (!glass) return null;
  return {
    words: () => GRAINS_SHEET.laysOf(text(formatMass(mass_kg, units.mass)), name, text(formatStrewn(perArea_kg_m2, units))),
    replaces: false,
    lays: true,
    into(doc, { newId, into }) {
      return putGlass(doc, {
        layersOn(footprint) {
          const cover = area_m2 / footprintArea(footprint);
          const spread = cover > 1 ? mass_kg / footprintArea(footprint) : perArea_kg_m2;
          const layer = { id: newId(), glassId: glass.id, perArea_kg_m2: spread, grain_m, ...(cover < 0.999 ? { cover: Math.max(cover, 0.01) } : {}) };
          return [{ ...layer, form: grain_m < POWDER_UNDER_M ? 'powder' : 'frit' }];
        },
        into,
      });
    },
    begins: { name: GRAINS_SHEET.sprinkled(footprintWords(outline, units.length)), footprint: outline, dammed: false },
  };
}

export function GrainsSheet({ typed, set, shelves, where, onPut }: SheetProps) {
  const units = useUnits();
  const of = glassOf(shelves, typed.glass, where);
  const next = useNextWork(where);
  const heats = GRAIN_HEATS.filter((one) => one !== 'own' || next !== null);
  const heat = heats.find((one) => one === typed.heat) ?? heats[0];
  const read = of ? readGrains({ ...typed, heat }, units, of.constants, next?.work_perPa ?? null) : null;
  const { pair, stale, problem } = useReckoned('grains', read?.value ?? null);
  if (!of || !read) return null;
  const problems = problem ? { ...read.problems, [fieldOfGrains(problem.path)]: problem.message } : read.problems;
  const sheet = { typed, set, problems };
  const wet = WETNESSES.find((one) => one === typed.wetness) ?? WETNESSES[0];
  const told = pair && strewnWords(pair.asked, pair.value, units);
  return (
    <View style={{ gap: space.small }}>
      <HollowFields sheet={sheet} asks="outline" where={where} />
      <FieldRow sheet={sheet} fields={amountOf(units)} />
      <NamedChips<GrainName>
        label={GRAINS_SHEET.grain}
        value={grainIn(typed)}
        options={GRAIN_NAMES.map((one) => ({ value: one, title: GRAIN_TITLES[one] }))}
        onPick={(size) => set({ size })}
        testID="reckon-size"
      />
      <NamedChips<GrainHeat>
        label={GRAINS_SHEET.firedAs}
        value={heat}
        options={heats.map((one) => ({ value: one, title: one === 'own' && next ? GRAINS_SHEET.its(next.name) : HEAT_TITLES[one] }))}
        onPick={(one) => set({ heat: one })}
        testID="reckon-heat"
      />
      <OfGlass shelves={shelves} of={of} onChange={(glass) => set({ glass })} />
      <Outcome
        kind="grains"
        typed={{ ...typed, glass: of.id }}
        missing={read.missing}
        told={told}
        stale={stale}
        puts={pair && putsGrains(of, pair.asked, pair.value, units)}
        where={where}
        onPut={onPut}
      >
        {pair && (
          <View testID="reckon-drawing">
            <MeasuredWidth height={144}>
              {(width) => <PatchDrawing look={pair.value.look} colour={of.colour} width={width} unit={units.length} />}
            </MeasuredWidth>
          </View>
        )}
      </Outcome>
      <Fold title={GRAINS_SHEET.holesStencilCoats} about={GRAINS_SHEET.whatStaysFree} testID="reckon-further">
        {() => (
          <>
            <FieldRow sheet={sheet} fields={FURTHER} />
            <NamedChips
              label={GRAINS_SHEET.paperLay}
              value={wet}
              options={WETNESSES.map((one) => ({ value: one, title: WET_TITLES[one] }))}
              onPick={(wetness) => set({ wetness })}
              testID="reckon-wetness"
            />
          </>
        )}
      </Fold>
    </View>
  );
}
