/** Conversions: anything that people write, the same heat work elsewhere, cones. */
import { type ToldQuantity, coneWords, sameWorkWords, writtenWords } from '@torvin/core/quantity';
import { CONES, type Cone } from '@torvin/core/emptyFiring';
import type { Kiln } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Choice } from '@/ui/Choice';
import { Fold } from '@/ui/Fold';
import {
  CONE_WAYS,
  CONVERSIONS,
  type Conversion,
  FINDS,
  coneWayIn,
  conversionIn,
  fieldOfConversion,
  findIn,
  readCone,
  readSameWork,
  readWritten,
} from './conversionEntry';
import { glassOf } from './glassOf';
import { OfGlass } from './OfGlass';
import { Outcome } from './Outcome';
import type { SheetProps } from './sheetProps';
import { type AskedField, FieldRow, NamedChips } from './TypedField';
import type { Read } from './typed';
import { useReckoned } from './useReckoned';

const TITLES: Record<Conversion, string> = { written: 'other units', sameWork: 'same work', cone: 'cones' };
const FIND_TITLES = { hold: 'another temperature', temperature: 'another hold' } as const;
const CONE_TITLES = { reached: 'which cone', bends: 'where it bends' } as const;
const NO_KILN = '';

function KilnChips({
  label,
  kilns,
  value,
  onPick,
  testID,
}: {
  label: string;
  kilns: readonly Kiln[];
  value: string | undefined;
  onPick(id: string): void;
  testID: string;
}) {
  const known = kilns.some(({ id }) => id === value) ? (value ?? NO_KILN) : NO_KILN;
  return (
    <NamedChips
      label={label}
      value={known}
      options={[{ value: NO_KILN, title: 'any' }, ...kilns.map(({ id, name }) => ({ value: id, title: name }))]}
      onPick={onPick}
      testID={testID}
    />
  );
}

export function ConversionSheet({ typed, set, shelves, where, onPut }: SheetProps) {
  const units = useUnits();
  const of = glassOf(shelves, typed.glass, where);
  const conversion = conversionIn(typed);
  const kilns = shelves.kilns.filter(({ id }) => !shelves.archived.includes(id));
  const written = readWritten(typed, units);
  const work = of ? readSameWork(typed, units, of.constants, kilns) : null;
  const cone = readCone(typed, units);
  const converted = useReckoned('conversions', conversion === 'written' ? written.value : conversion === 'sameWork' ? (work?.value ?? null) : null);
  const cones = useReckoned('cone', conversion === 'cone' ? cone.value : null);
  if (!of || !work) return null;
  const read: Read<unknown> = { written, sameWork: work, cone }[conversion];
  const { stale, problem } = conversion === 'cone' ? cones : converted;
  const problems = problem ? { ...read.problems, [fieldOfConversion(problem.path)]: problem.message } : read.problems;
  const sheet = { typed, set, problems };
  const find = findIn(typed);
  const coneWay = coneWayIn(typed);
  // What counts is not hidden.
  const isElsewhere = ['wasKiln', 'willKiln', 'wasUp', 'willUp'].some((field) => (typed[field] ?? '') !== '');

  function told(): ToldQuantity | null {
    if (conversion === 'cone') {
      if (!cones.pair) return null;
      const { asked, value } = cones.pair;
      if (asked.of === 'reached') return coneWords(asked, value, units);
      return coneWords({ target_C: value.bends_C, rate_C_per_h: asked.rate_C_per_h, hold_s: 0 }, value, units);
    }
    const { pair } = converted;
    if (pair?.asked.kind === 'written' && pair.value.kind === 'written')
      return writtenWords(pair.asked.text, pair.value.readings, of?.constants.density_kg_m3 ?? 0, units);
    return pair?.asked.kind === 'sameWork' && pair.value.kind === 'sameWork' ? sameWorkWords(pair.asked, pair.value, units) : null;
  }

  const will: AskedField = find === 'hold' ? { field: 'willAt', label: 'to be at' } : { field: 'willHold', label: 'to be held', hint: '20, or 1:30' };
  return (
    <View style={{ gap: space.small }}>
      <Choice<Conversion>
        label="What is converted"
        value={conversion}
        options={CONVERSIONS.map((value) => ({ value, title: TITLES[value] }))}
        onChange={(next) => set({ of: next })}
        testID="reckon-of"
      />
      {conversion === 'written' && (
        <FieldRow
          sheet={sheet}
          fields={[
            {
              field: 'text',
              label: 'as it is written',
              hint: units.length === 'in' ? '3/8 in, 1450 F, 2 lb 3 oz, 90e-7' : '6 mm, 790 C, 1.2 kg, 90e-7',
              wide: true,
            },
          ]}
        />
      )}
      {conversion === 'sameWork' && (
        <>
          <NamedChips
            label="the same work for"
            value={find}
            options={FINDS.map((value) => ({ value, title: FIND_TITLES[value] }))}
            onPick={(next) => set({ find: next })}
            testID="reckon-find"
          />
          <FieldRow sheet={sheet} fields={[{ field: 'wasAt', label: 'it was at' }, { field: 'wasHold', label: 'held', hint: '20, or 1:30' }, will]} />
        </>
      )}
      {conversion === 'cone' && (
        <>
          <NamedChips
            label="asked"
            value={coneWay}
            options={CONE_WAYS.map((value) => ({ value, title: CONE_TITLES[value] }))}
            onPick={(next) => set({ coneWay: next })}
            testID="reckon-coneWay"
          />
          {coneWay === 'bends' && (
            <NamedChips<Cone>
              label="cone"
              value={CONES.find((one) => one === typed.cone) ?? CONES[0]}
              options={CONES.map((value) => ({ value, title: value }))}
              onPick={(next) => set({ cone: next })}
              testID="reckon-cone"
            />
          )}
          <FieldRow
            sheet={sheet}
            fields={[
              ...(coneWay === 'reached' ? [{ field: 'coneAt', label: 'up to' }] : []),
              { field: 'coneRate', label: 'last hours at' },
              ...(coneWay === 'reached' ? [{ field: 'coneHold', label: 'held', hint: 'empty: not at all' }] : []),
            ]}
          />
        </>
      )}
      {conversion !== 'cone' && <OfGlass shelves={shelves} of={of} onChange={(glass) => set({ glass })} />}
      <Outcome
        kind="conversions"
        typed={{ ...typed, glass: of.id }}
        missing={read.missing}
        told={told()}
        stale={stale}
        puts={null}
        where={where}
        onPut={onPut}
      />
      {conversion === 'sameWork' && (
        <Fold title="In another kiln" about="from which kiln to which, and how fast each climbs" testID="reckon-further" opened={isElsewhere}>
          {() => (
            <View style={{ gap: space.small }}>
              {kilns.length > 0 && (
                <>
                  <KilnChips label="it was fired in" kilns={kilns} value={typed.wasKiln} onPick={(wasKiln) => set({ wasKiln })} testID="reckon-wasKiln" />
                  <KilnChips label="to be fired in" kilns={kilns} value={typed.willKiln} onPick={(willKiln) => set({ willKiln })} testID="reckon-willKiln" />
                </>
              )}
              <FieldRow
                sheet={sheet}
                fields={[
                  { field: 'wasUp', label: 'it climbed by', hint: 'empty: full speed' },
                  { field: 'willUp', label: 'to climb by', hint: 'empty: full speed' },
                ]}
              />
            </View>
          )}
        </Fold>
      )}
    </View>
  );
}
