/** How much glass: cavities by size, by water or by a model; in sheets, billets, jars and scrap; how far an amount goes. */
import { densityUnit, howMuchWords, lined } from '@torvin/core';
import { View } from 'react-native';
import { useUnits } from '@/data/studio';
import { useComputed } from '@/engine/useComputed';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Fold } from '@/ui/Fold';
import { Words } from '@/ui/Words';
import { glassOf, stockOf } from './glassOf';
import { HollowDrawing } from './HollowDrawing';
import { HollowFields } from './HollowFields';
import { CAVITIES_AT_MOST, WAYS, cavitiesIn, fieldOfCavity, readHowMuch } from './howMuchEntry';
import { OfGlass } from './OfGlass';
import { PutOrKeep } from './PutOrKeep';
import { putsGlass } from './putHollow';
import type { SheetProps } from './sheets';
import { type AskedField, FieldRow, type Sheet } from './TypedField';
import { StillMissing, ToldAnswer } from './ToldAnswer';
import type { Where } from './useWhere';

const WAY_TITLES = { size: 'by size', water: 'by water', model: 'by a model' } as const;

const MORE_OF: Record<(typeof WAYS)[number], (at: string, density: string) => AskedField[]> = {
  size: (at) => [{ field: `${at}to`, label: 'filled to', hint: 'empty: the rim' }],
  water: (at) => [
    { field: `${at}poured`, label: 'water in it' },
    { field: `${at}drunk`, label: 'mould drank', hint: 'empty: none' },
  ],
  model: (at, density) => [
    { field: `${at}model`, label: 'it weighs' },
    { field: `${at}density`, label: `its ${density}`, hint: 'empty: wax' },
  ],
};

const FURTHER: readonly AskedField[] = [
  { field: 'have', label: 'glass that there is', hint: 'tells how deep it stands', wide: true },
  { field: 'stays', label: 'stays in pot, on grid, at rim', hint: 'weighed on top of it', wide: true },
  { field: 'strip', label: 'strips as thick as', hint: 'for a stack in a trough', wide: true },
  { field: 'ends', label: 'shorter at each end by', hint: 'empty: 3 mm', wide: true },
];

function CavityFields({ sheet, index, of, where }: { sheet: Sheet; index: number; of: number; where: Where | null }) {
  const units = useUnits();
  const at = `c${index}.`;
  const by = WAYS.find((way) => way === sheet.typed[`${at}by`]) ?? WAYS[0];
  return (
    <View style={{ gap: space.small }}>
      {of > 1 && <Words bold>{`Cavity ${index + 1}`}</Words>}
      <Choice
        label="Its cavity is told"
        value={by}
        options={WAYS.map((value) => ({ value, title: WAY_TITLES[value] }))}
        onChange={(next) => sheet.set({ [`${at}by`]: next })}
        testID={`reckon-${at}by`}
      />
      {by === 'size' && <HollowFields sheet={sheet} of={at} more={[{ field: `${at}liner`, label: 'liner', hint: 'empty: none' }]} where={where} />}
      <FieldRow sheet={sheet} fields={[...MORE_OF[by](at, densityUnit(units).name), { field: `${at}count`, label: 'how many', hint: 'empty: one' }]} />
    </View>
  );
}

export function HowMuchSheet({ typed, set, shelves, where, onPut }: SheetProps) {
  const units = useUnits();
  const of = glassOf(shelves, typed.glass ?? where?.piece.doc.journey.flatMap((step) => (step.kind === 'lay' ? step.layers : []))[0]?.glassId);
  const stock = stockOf(of?.glass ?? null);
  const read = readHowMuch(typed, units, { density_kg_m3: of?.constants.density_kg_m3 ?? 2500, stock });
  const { value, stale, problem } = useComputed('howMuch', read.value);
  if (!of) return null;
  const problems = problem && read.value ? { ...read.problems, [fieldOfCavity(problem.path)]: problem.message } : read.problems;
  const sheet = { typed, set, problems };
  const count = cavitiesIn(typed);
  const told = read.value && value && !problem ? howMuchWords(read.value, value, units) : null;
  const [only] = read.value?.cavities ?? [];
  const single = count === 1 && only?.by === 'size' ? only : null;
  const left = single ? lined(single.hollow, single.liner_m ?? 0) : null;
  // More than goes in fills it.
  const level = value?.filled?.level_m ?? value?.cavities[0]?.depth_m ?? null;
  const inside =
    single && left && single.count === 1 && value && level !== null
      ? {
          ...{ left, deepest_m: level },
          mass_kg: value.filled?.level_m ? (read.value?.have_kg ?? 0) - (read.value?.stays_kg ?? 0) : value.cavities[0].mass_kg,
        }
      : null;
  return (
    <View style={{ gap: space.small }}>
      {Array.from({ length: count }, (_, i) => (
        <CavityFields key={i} sheet={sheet} index={i} of={count} where={where} />
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
        {count < CAVITIES_AT_MOST && (
          <Action kind="plain" title="+ Cavity" label="+ Cavity, another one" testID="reckon-more" onPress={() => set({ cavities: String(count + 1) })} />
        )}
        {count > 1 && <Action kind="plain" title="Last one away" testID="reckon-fewer" onPress={() => set({ cavities: String(count - 1) })} />}
      </View>
      <OfGlass shelves={shelves} of={of} onChange={(glass) => set({ glass })} />
      <StillMissing missing={read.missing} />
      {told && <ToldAnswer told={told} stale={stale} />}
      {told && single && left && value && (
        <HollowDrawing filled={{ hollow: single.hollow, left, level_m: level, cold: value.cold, brick: stock.billet }} colour={of.colour} unit={units.length} />
      )}
      {told && value && (
        <PutOrKeep
          kind="howMuch"
          typed={typed}
          told={told.short}
          puts={putsGlass(of, value.volume_m3 * of.constants.density_kg_m3, inside, units)}
          where={where}
          onPut={onPut}
        />
      )}
      <Fold title="What there is, what stays, a stack" about="how far an amount goes; pot, grid or rim; strips for a trough" testID="reckon-further">
        {() => <FieldRow sheet={sheet} fields={FURTHER} />}
      </Fold>
    </View>
  );
}
