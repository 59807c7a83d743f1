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

const WAY_TITLES = { size: 'by size', water: 'by water', model: 'by a model' } as const;

const MORE_OF: Record<(typeof WAYS)[number], (at: string, units: Units) => AskedField[]> = {
  size: (at) => [{ field: `${at}to`, label: 'filled to', hint: 'empty: the rim' }],
  water: (at, { mass }) => [
    { field: `${at}poured`, label: 'water in it', hint: mass === 'oz' ? 'as 22 oz or 20 fl oz' : 'as 640 g or 640 ml' },
    { field: `${at}drunk`, label: 'mould drank', hint: 'empty: none' },
  ],
  model: (at, units) => [
    { field: `${at}model`, label: 'it weighs' },
    { field: `${at}density`, label: 'its density', hint: `empty: wax, ${text(formatDensity(WAX_kg_m3, units))}` },
  ],
};

const furtherOf = ({ length }: Units): readonly AskedField[] => [
  { field: 'have', label: 'glass that there is', hint: 'how deep it gets', wide: true },
  { field: 'stays', label: 'stays in pot, on grid, at rim', hint: 'weighed on top of it', wide: true },
  { field: 'strip', label: 'strips as thick as', hint: 'for a stack in a trough', wide: true },
  { field: 'ends', label: 'shorter at each end by', hint: `empty: ${suggestedWords(ENDS_M, length)}`, wide: true },
];

function CavityFields({ sheet, index, of, shelves, where }: { sheet: Sheet; index: number; of: number; shelves: Shelves; where: Where | null }) {
  const units = useUnits();
  const at = `c${index}.`;
  const by = WAYS.find((way) => way === sheet.typed[`${at}by`]) ?? WAYS[0];
  return (
    <View style={{ gap: space.small }}>
      {of > 1 && <Words bold>{`Cavity ${index + 1}`}</Words>}
      <Choice
        label="How the cavity is measured"
        value={by}
        options={WAYS.map((value) => ({ value, title: WAY_TITLES[value] }))}
        onChange={(next) => sheet.set({ [`${at}by`]: next })}
        testID={`reckon-${at}by`}
      />
      {by === 'size' && (
        <HollowFields sheet={sheet} of={at} more={[{ field: `${at}liner`, label: 'liner', hint: 'empty: none' }]} shelves={shelves} where={where} />
      )}
      <FieldRow sheet={sheet} fields={[...MORE_OF[by](at, units), { field: `${at}count`, label: 'how many', hint: 'empty: one' }]} />
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
          <Action kind="plain" title="+ Cavity" label="+ Cavity, another one" testID="reckon-more" onPress={() => set({ cavities: String(count + 1) })} />
        )}
        {count > 1 && <Action kind="plain" title="Last one away" testID="reckon-fewer" onPress={() => set({ cavities: String(count - 1) })} />}
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
      <Fold title="What there is, what stays, a stack" about="how far an amount goes; pot, grid or rim; strips for a trough" testID="reckon-further">
        {() => <FieldRow sheet={sheet} fields={furtherOf(units)} />}
      </Fold>
    </View>
  );
}
