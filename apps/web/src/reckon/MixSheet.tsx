/** Mixes as a bench weighs them: by shares, as coats, as plaster round a model, as scrap by grades. */
import { footprintArea } from '@torvin/core/body';
import { putGlass } from '@torvin/core/piece';
import { type MixAsked, type MixTold, SHARES_OF, mixWords } from '@torvin/core/quantity';
import { type Units, formatMass, massIn, text, suggestedWords } from '@torvin/core/units';
import type { Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { useReckonings } from '@/data/reckonings';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Tick } from '@/ui/Tick';
import { glassByName } from './glassByName';
import { type ReckonedOf, glassOf } from './glassOf';
import { HollowFields } from './HollowFields';
import { GRADES, MIXES, USUAL, additivesIn, canAdd, coatText, fieldOfMix, partsIn, readMix, shareOf, usualStep, withMeanings } from './mixEntry';
import { OfGlass } from './OfGlass';
import { Outcome } from './Outcome';
import type { Puts } from './PutOrKeep';
import type { SheetProps } from './sheetProps';
import type { Typed } from './typed';
import { type AskedField, FieldRow, NamedChips, type Sheet } from './TypedField';
import { useReckoned } from './useReckoned';
import { MIX_SHEET } from './words';
import { WORDS } from '@/ui/said';

const MIX_TITLES = { shares: 'shares', coats: 'coats', plaster: 'plaster', crush: 'scrap' } as const;
const OF_TITLES = { whole: MIX_SHEET.theWhole, glass: MIX_SHEET.theGlass, solution: MIX_SHEET.aSolution } as const;

const stepField = (units: Units): AskedField => ({
  ...{ field: 'step', label: MIX_SHEET.scaleStep },
  hint: MIX_SHEET.emptyUsual(`${Number(massIn(usualStep(units), units.mass).toPrecision(3))} ${units.mass}`),
});

function SharesFields({ sheet }: { sheet: Sheet }) {
  const units = useUnits();
  const { typed, set } = sheet;
  const [parts, additives] = [partsIn(typed), additivesIn(typed)];
  return (
    <View style={{ gap: space.small }}>
      {Array.from({ length: parts }, (_, i) => (
        <FieldRow
          key={i}
          sheet={sheet}
          fields={[
            { field: `p${i}.name`, label: 'part', hint: MIX_SHEET.glassShelfName, wide: true },
            { field: `p${i}.share`, label: 'share' },
          ]}
        />
      ))}
      {Array.from({ length: additives }, (_, i) => {
        const of = shareOf(typed, i);
        return (
          <View key={i} style={{ gap: space.small }}>
            <FieldRow
              sheet={sheet}
              fields={[
                { field: `a${i}.name`, label: 'additive', wide: true },
                { field: `a${i}.percent`, label: '%' },
                ...(of === 'solution' ? [{ field: `a${i}.liquid`, label: MIX_SHEET.liquidOfGlass }] : []),
              ]}
            />
            <NamedChips
              label={MIX_SHEET.perCentOf}
              value={of}
              options={SHARES_OF.map((one) => ({ value: one, title: OF_TITLES[one] }))}
              onPick={(next) => set({ [`a${i}.of`]: next })}
              testID={`reckon-a${i}.of`}
            />
          </View>
        );
      })}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
        {canAdd(parts) && <Action kind="plain" title="+ Part" testID="reckon-more" onPress={() => set({ parts: String(parts + 1) })} />}
        {parts > 1 && <Action kind="plain" title={MIX_SHEET.lastPartAway} testID="reckon-fewer" onPress={() => set({ parts: String(parts - 1) })} />}
        {canAdd(additives) && <Action kind="plain" title="+ Additive" testID="reckon-additive" onPress={() => set({ additives: String(additives + 1) })} />}
        {additives > 0 && (
          <Action kind="plain" title={MIX_SHEET.lastAdditiveAway} testID="reckon-no-additive" onPress={() => set({ additives: String(additives - 1) })} />
        )}
      </View>
      <FieldRow sheet={sheet} fields={[{ field: 'total', label: WORDS.inAll }, stepField(units)]} />
    </View>
  );
}

function CrushFields({ sheet }: { sheet: Sheet }) {
  const units = useUnits();
  const { typed, set } = sheet;
  return (
    <View style={{ gap: space.small }}>
      <FieldRow sheet={sheet} fields={GRADES.map((name) => ({ field: `yield-${name}`, label: `${name}, %` }))} />
      <FieldRow
        sheet={sheet}
        fields={[{ field: 'scrap', label: 'scrap' }, { field: 'wanted', label: MIX_SHEET.orWanted, hint: MIX_SHEET.ofOneGrade }, stepField(units)]}
      />
      {(typed.wanted ?? '') !== '' && (
        <NamedChips
          label={MIX_SHEET.of}
          value={GRADES.find((one) => one === typed.grade) ?? GRADES[0]}
          options={GRADES.map((one) => ({ value: one, title: one }))}
          onPick={(grade) => set({ grade })}
          testID="reckon-grade"
        />
      )}
    </View>
  );
}

/** What is wrong with the names of parts, by field: each is a glass of the shelf, or is left empty. */
function misnamed(typed: Typed, shelves: Shelves): Record<string, string> {
  return Object.fromEntries(
    Array.from({ length: partsIn(typed) }, (_, i) => `p${i}.name`).flatMap((field) => {
      const problem = (typed[field] ?? '').trim() === '' ? null : glassByName(shelves, typed[field]).problem;
      return problem === null ? [] : [[field, problem]];
    }),
  );
}

/** The glass of a mix lies as grains side by side, each covering its share. A part without a name is laid as the glass that is chosen. */
function putsMix({ glass }: ReckonedOf, typed: Typed, asked: MixAsked, { weighed }: MixTold, shelves: Shelves, units: Units): Puts | null {
  if (asked.kind !== 'shares' || !glass || Object.keys(misnamed(typed, shelves)).length > 0) return null;
  const parts = weighed
    .slice(0, asked.parts.length)
    .flatMap((part, i) => (part.weighed_kg > 0 ? [{ ...part, typed: (typed[`p${i}.name`] ?? '').trim() }] : []));
  const all_kg = parts.reduce((sum, { weighed_kg }) => sum + weighed_kg, 0);
  const named = parts.map(({ name, weighed_kg, typed: asTyped }) => ({
    of: (asTyped === '' ? null : glassByName(shelves, asTyped).glass) ?? glass,
    name,
    weighed_kg,
  }));
  if (all_kg === 0) return null;
  return {
    words: () =>
      MIX_SHEET.laysOfGrains(
        text(formatMass(all_kg, units.mass)),
        named.map(({ of, weighed_kg }) => `${of.name} ${Math.round((weighed_kg / all_kg) * 100)} %`).join(', '),
      ),
    replaces: true,
    lays: true,
    into: (doc, { newId, into }) =>
      putGlass(doc, {
        layersOn: (outline) =>
          named.map(({ of, name, weighed_kg }) => ({
            ...{ id: newId(), glassId: of.id, form: 'frit', perArea_kg_m2: all_kg / footprintArea(outline), name: name.slice(0, 40) },
            ...(named.length > 1 ? { cover: Math.max(weighed_kg / all_kg, 0.01) } : {}),
          })),
        into,
      }),
    begins: null,
  };
}

export function MixSheet({ typed: written, set, shelves, where, onPut }: SheetProps) {
  const units = useUnits();
  const kept = useReckonings();
  const typed = withMeanings(written, kept);
  const of = glassOf(shelves, typed.glass, where);
  const read = readMix(typed, units);
  const { pair, stale, problem } = useReckoned('mixes', read.value);
  if (!of) return null;
  const kind = MIXES.find((one) => one === typed.mix) ?? MIXES[0];
  const names = kind === 'shares' ? misnamed(typed, shelves) : {};
  const problems = { ...read.problems, ...names, ...(problem ? { [fieldOfMix(problem.path)]: problem.message } : {}) };
  const sheet = { typed, set, problems };
  const told = pair && mixWords(pair.asked, pair.value, units);
  return (
    <View style={{ gap: space.small }}>
      <Choice
        label={MIX_SHEET.whatIsMixed}
        value={kind}
        options={MIXES.map((value) => ({ value, title: MIX_TITLES[value] }))}
        onChange={(mix) => set({ mix })}
        testID="reckon-mix"
      />
      {kind === 'shares' && <SharesFields sheet={sheet} />}
      {kind === 'crush' && <CrushFields sheet={sheet} />}
      {kind === 'coats' && (
        <>
          <HollowFields sheet={sheet} asks="outline" where={where} />
          <FieldRow
            sheet={sheet}
            fields={[
              { field: 'coats', label: 'coats', hint: MIX_SHEET.emptyUsual(USUAL.coats) },
              { field: 'coat', label: MIX_SHEET.eachTakes, hint: MIX_SHEET.emptyUsual(coatText(units)) },
              { field: 'water', label: MIX_SHEET.waterTo, hint: MIX_SHEET.emptyUsual(USUAL.water) },
              stepField(units),
            ]}
          />
          <Tick
            on={typed.byMass === 'yes'}
            title={MIX_SHEET.waterPowderMass}
            onPress={() => set({ byMass: typed.byMass === 'yes' ? '' : 'yes' })}
            testID="reckon-by-mass"
          />
        </>
      )}
      {kind === 'plaster' && (
        <>
          <HollowFields
            sheet={sheet}
            where={where}
            more={[{ field: 'wall', label: 'wall', hint: MIX_SHEET.emptyUsual(suggestedWords(USUAL.wall_m, units.length)) }]}
          />
          <FieldRow sheet={sheet} fields={[{ field: 'ratio', label: MIX_SHEET.plasterSilicaWater, hint: 'empty: 1 : 1 : 1', wide: true }, stepField(units)]} />
        </>
      )}
      {kind === 'shares' && <OfGlass shelves={shelves} of={of} onChange={(glass) => set({ glass })} />}
      <Outcome
        kind="mixes"
        typed={{ ...typed, glass: of.id }}
        missing={read.missing}
        told={told}
        stale={stale}
        puts={pair && putsMix(of, typed, pair.asked, pair.value, shelves, units)}
        where={where}
        onPut={onPut}
      />
    </View>
  );
}
