/** How much glass: cavities by size, by water or by a model; in sheets, billets, jars and scrap; how far an amount goes. */
import { type HowMuch, howMuchWords, lined } from '@torvin/core/quantity';
import { type Units, formatDensity, text, suggestedWords } from '@torvin/core/units';
import type { Answered } from '@torvin/core/engine';
import type { Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Fold } from '@/ui/Fold';
import { Words } from '@/ui/Words';
import { glassOf, sheetOf, stockOf } from './glassOf';
import { HollowDrawing } from './HollowDrawing';
import { HollowFields } from './HollowFields';
import { CAVITIES_AT_MOST, ENDS_M, WAX_kg_m3, WAYS, cavitiesIn, fieldOfCavity, readHowMuch } from './howMuchEntry';
import { OfGlass } from './OfGlass';
import { GoesInAs } from './GoesInAs';
import { offeredAs, putAsIn, readPutAs } from './putAs';
import { Outcome } from './Outcome';
import { putsGlass } from './putHollow';
import type { SheetProps } from './sheetProps';
import { type AskedField, FieldRow, type Sheet } from './TypedField';
import { useReckoned } from './useReckoned';
import type { Where } from './useWhere';
import { HOW_MUCH_SHEET } from './words';
import { WORDS } from '@/ui/said';

const WAY_TITLES = { size: HOW_MUCH_SHEET.bySize, water: HOW_MUCH_SHEET.byWater, model: HOW_MUCH_SHEET.byAModel } as const;

const MORE_OF: Record<(typeof WAYS)[number], (at: string, units: Units) => AskedField[]> = {
  size: (at) => [{ field: `${at}to`, label: HOW_MUCH_SHEET.filledTo, hint: HOW_MUCH_SHEET.emptyTheRim }],
  water: (at, { mass }) => [
    { field: `${at}poured`, label: HOW_MUCH_SHEET.waterInIt, hint: mass === 'oz' ? HOW_MUCH_SHEET.ozFlOz : HOW_MUCH_SHEET.gMl },
    { field: `${at}drunk`, label: HOW_MUCH_SHEET.mouldDrank, hint: HOW_MUCH_SHEET.emptyNone },
  ],
  model: (at, units) => [
    { field: `${at}model`, label: HOW_MUCH_SHEET.itWeighs },
    { field: `${at}density`, label: HOW_MUCH_SHEET.itsDensity, hint: HOW_MUCH_SHEET.emptyWax(text(formatDensity(WAX_kg_m3, units))) },
  ],
};

const furtherOf = ({ length }: Units): readonly AskedField[] => [
  { field: 'have', label: HOW_MUCH_SHEET.glassThatThere, hint: HOW_MUCH_SHEET.howDeepGets, wide: true },
  { field: 'stays', label: HOW_MUCH_SHEET.staysPotGrid, hint: HOW_MUCH_SHEET.weighedTop, wide: true },
  { field: 'strip', label: HOW_MUCH_SHEET.stripsThick, hint: HOW_MUCH_SHEET.stackTrough, wide: true },
  { field: 'ends', label: HOW_MUCH_SHEET.shorterEachEnd, hint: HOW_MUCH_SHEET.empty(suggestedWords(ENDS_M, length)), wide: true },
];

function CavityFields({ sheet, index, of, shelves, where }: { sheet: Sheet; index: number; of: number; shelves: Shelves; where: Where | null }) {
  const units = useUnits();
  const at = `c${index}.`;
  const by = WAYS.find((way) => way === sheet.typed[`${at}by`]) ?? WAYS[0];
  return (
    <View style={{ gap: space.small }}>
      {of > 1 && <Words bold>{HOW_MUCH_SHEET.cavity(index + 1)}</Words>}
      <Choice
        label={HOW_MUCH_SHEET.howCavityMeasured}
        value={by}
        options={WAYS.map((value) => ({ value, title: WAY_TITLES[value] }))}
        onChange={(next) => sheet.set({ [`${at}by`]: next })}
        testID={`reckon-${at}by`}
      />
      {by === 'size' && (
        <HollowFields sheet={sheet} of={at} more={[{ field: `${at}liner`, label: 'liner', hint: HOW_MUCH_SHEET.emptyNone }]} shelves={shelves} where={where} />
      )}
      <FieldRow sheet={sheet} fields={[...MORE_OF[by](at, units), { field: `${at}count`, label: WORDS.howMany, hint: HOW_MUCH_SHEET.emptyOne }]} />
    </View>
  );
}

/** The hollow itself, where there is one and it was told by its sizes: how it is drawn, and what of it can go into a piece. */
function onlyHollow({ cavities: [only, ...others] }: HowMuch, told: Answered<'howMuch'>) {
  const left = only?.by === 'size' && others.length === 0 ? lined(only.hollow, only.liner_m ?? 0) : null;
  if (only?.by !== 'size' || !left) return null;
  // More than goes in fills it.
  const deepest_m = told.filled?.level_m ?? told.cavities[0].depth_m ?? left.depth_m;
  return { hollow: only.hollow, left, level_m: deepest_m, cold: told.cold, inside: only.count === 1 ? { left, deepest_m, stack: told.stack } : null };
}

export function HowMuchSheet({ typed, set, shelves, where, onPut }: SheetProps) {
  const units = useUnits();
  const of = glassOf(shelves, typed.glass, where);
  const stock = stockOf(of?.glass ?? null);
  const read = readHowMuch(typed, units, { density_kg_m3: of?.constants.density_kg_m3 ?? 2500, stock, sizes_m: of?.glass?.thicknesses_m });
  const { pair, stale, problem } = useReckoned('howMuch', read.value);
  if (!of) return null;
  const problems = problem ? { ...read.problems, [fieldOfCavity(problem.path)]: problem.message } : read.problems;
  const sheet = { typed, set, problems };
  const count = cavitiesIn(typed);
  const told = pair && howMuchWords(pair.asked, pair.value, units);
  const drawn = pair && onlyHollow(pair.asked, pair.value);
  const offer = {
    ...{ stock, sheet_m: sheetOf(of.glass), density_kg_m3: of.constants.density_kg_m3 },
    ...{ left: drawn?.inside?.left ?? null, stack: drawn?.inside?.stack ?? null },
  };
  const stays_kg = pair?.asked.stays_kg ?? 0;
  // What there is goes in where that was told and does not run over.
  const most_kg = pair?.value.total_kg ?? 0;
  const put = readPutAs(typed, units, offer, Math.min(pair?.asked.have_kg ?? most_kg, most_kg));
  const asSheet = { ...sheet, problems: { ...problems, ...put.problems } };
  return (
    <View style={{ gap: space.small }}>
      {Array.from({ length: count }, (_, i) => (
        <CavityFields key={i} sheet={sheet} index={i} of={count} shelves={shelves} where={where} />
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
        {count < CAVITIES_AT_MOST && (
          <Action
            kind="plain"
            title="+ Cavity"
            label={HOW_MUCH_SHEET.cavityAnotherOne}
            testID="reckon-more"
            onPress={() => set({ cavities: String(count + 1) })}
          />
        )}
        {count > 1 && <Action kind="plain" title={HOW_MUCH_SHEET.lastOneAway} testID="reckon-fewer" onPress={() => set({ cavities: String(count - 1) })} />}
      </View>
      <OfGlass shelves={shelves} of={of} onChange={(glass) => set({ glass })} />
      <Outcome
        kind="howMuch"
        typed={{ ...typed, glass: of.id }}
        missing={read.missing}
        told={told}
        stale={stale}
        puts={pair && put.value && putsGlass(of, { ...put.value, stays_kg }, drawn?.inside ?? null, shelves, units)}
        asked={of.glass && <GoesInAs sheet={asSheet} value={putAsIn(typed, offeredAs(offer))} offered={offeredAs(offer)} />}
        where={where}
        onPut={onPut}
      >
        {drawn && <HollowDrawing filled={{ ...drawn, brick: stock.billet }} colour={of.colour} unit={units.length} />}
      </Outcome>
      <Fold title={HOW_MUCH_SHEET.whatWhatStays} about={HOW_MUCH_SHEET.howFarAmount} testID="reckon-further">
        {() => <FieldRow sheet={sheet} fields={furtherOf(units)} />}
      </Fold>
    </View>
  );
}
