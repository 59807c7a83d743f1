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
import { CONVERSION_SHEET } from './words';

const TITLES: Record<Conversion, string> = { written: CONVERSION_SHEET.otherUnits, sameWork: CONVERSION_SHEET.sameWork, cone: 'cones' };
const FIND_TITLES = { hold: CONVERSION_SHEET.anotherTemperature, temperature: CONVERSION_SHEET.anotherHold } as const;
const CONE_TITLES = { reached: CONVERSION_SHEET.whichCone, bends: CONVERSION_SHEET.whereItBends } as const;
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

  const will: AskedField =
    find === 'hold' ? { field: 'willAt', label: CONVERSION_SHEET.toBeAt } : { field: 'willHold', label: CONVERSION_SHEET.toBeHeld, hint: CONVERSION_SHEET.or };
  return (
    <View style={{ gap: space.small }}>
      <Choice<Conversion>
        label={CONVERSION_SHEET.whatIsConverted}
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
              label: CONVERSION_SHEET.asItIs,
              hint: units.length === 'in' ? '3/8 in, 1450 F, 2 lb 3 oz, 90e-7' : '6 mm, 790 C, 1.2 kg, 90e-7',
              wide: true,
            },
          ]}
        />
      )}
      {conversion === 'sameWork' && (
        <>
          <NamedChips
            label={CONVERSION_SHEET.theSame}
            value={find}
            options={FINDS.map((value) => ({ value, title: FIND_TITLES[value] }))}
            onPick={(next) => set({ find: next })}
            testID="reckon-find"
          />
          <FieldRow
            sheet={sheet}
            fields={[{ field: 'wasAt', label: CONVERSION_SHEET.itWasAt }, { field: 'wasHold', label: 'held', hint: CONVERSION_SHEET.or }, will]}
          />
        </>
      )}
      {conversion === 'cone' && (
        <>
          <NamedChips
            label={CONVERSION_SHEET.asked}
            value={coneWay}
            options={CONE_WAYS.map((value) => ({ value, title: CONE_TITLES[value] }))}
            onPick={(next) => set({ coneWay: next })}
            testID="reckon-coneWay"
          />
          {coneWay === 'bends' && (
            <NamedChips<Cone>
              label={CONVERSION_SHEET.cone}
              value={CONES.find((one) => one === typed.cone) ?? CONES[0]}
              options={CONES.map((value) => ({ value, title: value }))}
              onPick={(next) => set({ cone: next })}
              testID="reckon-cone"
            />
          )}
          <FieldRow
            sheet={sheet}
            fields={[
              ...(coneWay === 'reached' ? [{ field: 'coneAt', label: CONVERSION_SHEET.upTo }] : []),
              { field: 'coneRate', label: CONVERSION_SHEET.lastHoursAt },
              ...(coneWay === 'reached' ? [{ field: 'coneHold', label: 'held', hint: CONVERSION_SHEET.emptyNotAll }] : []),
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
        <Fold title={CONVERSION_SHEET.inAnotherKiln} about={CONVERSION_SHEET.whichKilnWhich} testID="reckon-further" opened={isElsewhere}>
          {() => (
            <View style={{ gap: space.small }}>
              {kilns.length > 0 && (
                <>
                  <KilnChips
                    label={CONVERSION_SHEET.itWasFired}
                    kilns={kilns}
                    value={typed.wasKiln}
                    onPick={(wasKiln) => set({ wasKiln })}
                    testID="reckon-wasKiln"
                  />
                  <KilnChips
                    label={CONVERSION_SHEET.toBeFired}
                    kilns={kilns}
                    value={typed.willKiln}
                    onPick={(willKiln) => set({ willKiln })}
                    testID="reckon-willKiln"
                  />
                </>
              )}
              <FieldRow
                sheet={sheet}
                fields={[
                  { field: 'wasUp', label: CONVERSION_SHEET.itClimbedBy, hint: CONVERSION_SHEET.emptyFullSpeed },
                  { field: 'willUp', label: CONVERSION_SHEET.toClimbBy, hint: CONVERSION_SHEET.emptyFullSpeed },
                ]}
              />
            </View>
          )}
        </Fold>
      )}
    </View>
  );
}
