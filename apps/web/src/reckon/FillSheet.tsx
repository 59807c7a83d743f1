/** How far an amount fills what holds it: its depth, its rim, its heap, and what to take next time. */
import { footprintWords } from '@torvin/core/body';
import { type PutAs, SHEET_RANGE_M, putGlass } from '@torvin/core/piece';
import { type Filling, type Hollow, fillingWords, lined } from '@torvin/core/quantity';
import { type Units, formatLength, text } from '@torvin/core/units';
import type { Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Choice } from '@/ui/Choice';
import { Fold } from '@/ui/Fold';
import { Tick } from '@/ui/Tick';
import { FILLERS, HEATS, LOOSE_PERCENT, fieldOfFilling, readFill, segmentsIn } from './fillEntry';
import { type ReckonedOf, glassOf, sheetOf, stockOf } from './glassOf';
import { HollowDrawing } from './HollowDrawing';
import { HollowFields } from './HollowFields';
import { OfGlass } from './OfGlass';
import { GoesInAs } from './GoesInAs';
import { offeredAs, putAsIn, readPutAs } from './putAs';
import { Outcome } from './Outcome';
import type { Puts } from './PutOrKeep';
import { putsGlass } from './putHollow';
import type { SheetProps } from './sheetProps';
import { type AskedField, FieldRow } from './TypedField';
import { useReckoned } from './useReckoned';
import { FILL_SHEET } from './words';
import { WORDS } from '@/ui/said';

const FILLER_TITLES = { mass: FILL_SHEET.aMass, segments: 'segments', grains: 'grains' } as const;
const HEAT_TITLES = { untold: FILL_SHEET.notTold, fullFuse: FILL_SHEET.fullFuse, slabFlow: 'flow', cast: 'casting' } as const;

const LINER: readonly AskedField[] = [{ field: 'liner', label: 'liner', hint: FILL_SHEET.emptyNone }];
const FIELDS_OF: Record<(typeof FILLERS)[number], readonly AskedField[]> = {
  mass: [{ field: 'mass', label: 'mass' }],
  segments: [
    { field: 'stands', label: FILL_SHEET.theyStand },
    { field: 'cover', label: FILL_SHEET.ofTheFloor },
    { field: 'count', label: WORDS.howMany, hint: FILL_SHEET.layThem },
  ],
  grains: [],
};
const PACKING: AskedField = { field: 'packing', label: FILL_SHEET.glassTheirBulk, hint: FILL_SHEET.empty(LOOSE_PERCENT) };
const LAST: readonly AskedField[] = [
  { field: 'lastMass', label: FILL_SHEET.massLastTime, wide: true },
  { field: 'back', label: FILL_SHEET.stoodBackWall, wide: true },
];

/** What runs over is nothing to put in; segments are put in as so many pieces. */
function putsFilled(
  of: ReckonedOf,
  { filler }: Filling,
  left: Hollow,
  level_m: number | null,
  put: { as: PutAs; mass_kg: number },
  count: number | null,
  shelves: Shelves,
  units: Units,
): Puts | null {
  if (level_m === null || !of.glass) return null;
  if (filler.by !== 'segments') return putsGlass(of, { ...put, stays_kg: 0 }, { left, deepest_m: level_m }, shelves, units);
  const { depth_m, cover } = filler;
  if (count === null || left.kind !== 'straight' || depth_m > SHEET_RANGE_M.most) return null;
  const footprint = left.outline;
  const { id: glassId, name } = of.glass;
  return {
    words: (where) =>
      FILL_SHEET.laysSegmentsDeep(count, name, text(formatLength(depth_m, units.length)), Math.round(cover * 100), where?.isBegun ? '' : FILL_SHEET.inADam),
    replaces: true,
    lays: true,
    into: (doc, { newId, into, isBegun }) =>
      putGlass(doc, {
        layersOn: () => [{ id: newId(), glassId, form: 'pieces', name: WORDS.segments, thickness_m: depth_m, count, cover }],
        ...(isBegun ? {} : { holder: { footprint, dammed: true, deepest_m: level_m } }),
        into,
      }),
    begins: { name: FILL_SHEET.segments(footprintWords(footprint, units.length)), footprint, dammed: true },
  };
}

export function FillSheet({ typed, set, shelves, where, onPut }: SheetProps) {
  const units = useUnits();
  const of = glassOf(shelves, typed.glass, where);
  const read = of ? readFill(typed, units, of.constants) : null;
  const { pair, stale, problem } = useReckoned('fill', read?.value ?? null);
  if (!of || !read) return null;
  const problems = problem ? { ...read.problems, [fieldOfFilling(problem.path)]: problem.message } : read.problems;
  const sheet = { typed, set, problems };
  const filler = FILLERS.find((one) => one === typed.filler) ?? FILLERS[0];
  const heat = HEATS.find((one) => one === typed.heat) ?? HEATS[0];
  const told = pair && fillingWords(pair.asked, pair.value, units);
  const left = pair && lined(pair.asked.hollow, pair.asked.liner_m ?? 0);
  const isGrains = filler === 'grains' || (filler === 'mass' && typed.loose === 'yes');
  const offer = { stock: stockOf(of.glass), sheet_m: sheetOf(of.glass), density_kg_m3: of.constants.density_kg_m3, left: left ?? null, stack: null };
  const put = readPutAs(isGrains ? { ...typed, putAs: 'frit' } : typed, units, offer, pair?.value.mass_kg ?? 0);
  const asSheet = { ...sheet, problems: { ...problems, ...put.problems } };
  return (
    <View style={{ gap: space.small }}>
      <HollowFields sheet={sheet} more={LINER} shelves={shelves} where={where} />
      <Choice
        label={FILL_SHEET.filledWith}
        value={filler}
        options={FILLERS.map((value_) => ({ value: value_, title: FILLER_TITLES[value_] }))}
        onChange={(next) => set({ filler: next })}
        testID="reckon-filler"
      />
      <FieldRow sheet={sheet} fields={[...FIELDS_OF[filler], ...(isGrains ? [PACKING] : [])]} />
      {filler === 'mass' && (
        <Tick
          on={typed.loose === 'yes'}
          title={FILL_SHEET.pouredGrains}
          onPress={() => set({ loose: typed.loose === 'yes' ? '' : 'yes' })}
          testID="reckon-loose"
        />
      )}
      <OfGlass shelves={shelves} of={of} onChange={(glass) => set({ glass })} />
      <Outcome
        kind="fill"
        typed={{ ...typed, glass: of.id }}
        missing={read.missing}
        told={told}
        stale={stale}
        puts={pair && left && put.value && putsFilled(of, pair.asked, left, pair.value.level_m, put.value, segmentsIn(typed), shelves, units)}
        asked={of.glass && filler === 'mass' && !isGrains && <GoesInAs sheet={asSheet} value={putAsIn(typed, offeredAs(offer))} offered={offeredAs(offer)} />}
        where={where}
        onPut={onPut}
      >
        {pair && left && (
          <HollowDrawing
            filled={{ hollow: pair.asked.hollow, left, level_m: pair.value.level_m ?? left.depth_m, cold: null, brick: undefined }}
            colour={of.colour}
            unit={units.length}
          />
        )}
      </Outcome>
      <Fold title={FILL_SHEET.howHotLast} about={FILL_SHEET.doesHeapRun} testID="reckon-further">
        {() => (
          <>
            {isGrains && (
              <Choice
                label={FILL_SHEET.willHot}
                value={heat}
                options={HEATS.map((one) => ({ value: one, title: HEAT_TITLES[one] }))}
                onChange={(next) => set({ heat: next })}
                testID="reckon-heat"
              />
            )}
            <FieldRow sheet={sheet} fields={LAST} />
          </>
        )}
      </Fold>
    </View>
  );
}
