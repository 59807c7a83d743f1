/** The blank for a form, by what was measured of it; what came of the last one goes before the sum. */
import type { Plan } from '@torvin/core/form';
import { isBending } from '@torvin/core/look';
import { firingsOf, heldForm, laidLayers, shapingOf } from '@torvin/core/piece';
import { blankWords } from '@torvin/core/quantity';
import { formatLength, formatStock, text } from '@torvin/core/units';
import type { FormRecord } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { FormChoice } from '@/planner/FormChoice';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Fold } from '@/ui/Fold';
import { BlankDrawing } from './BlankDrawing';
import {
  type BlankWay,
  LAST_SIDES,
  NO_LAST,
  USUAL_BLANK_M,
  fieldOfBlank,
  fieldsOfForm,
  planIn,
  readBlank,
  spreadBlank,
  tapesOf,
  typedForm,
  typedLast,
  wayIn,
} from './blankEntry';
import { glassOf } from './glassOf';
import { OfGlass } from './OfGlass';
import { Outcome } from './Outcome';
import { putsBlank } from './putBlank';
import type { SheetProps } from './sheetProps';
import { type AskedField, FieldRow, NamedChips } from './TypedField';
import { useReckoned } from './useReckoned';
import type { Where } from './useWhere';
import { BLANK_SHEET } from './words';

const PLAN_TITLES: Record<Plan, string> = { round: 'round', oval: 'oval', rectangle: 'rectangle', trough: BLANK_SHEET.bentOneWay, lobed: 'lobed' };
const SIDE_LABELS: Record<(typeof LAST_SIDES)[number], string> = {
  atDoor: BLANK_SHEET.atTheDoor,
  atBack: BLANK_SHEET.atTheBack,
  atLeft: BLANK_SHEET.onTheLeft,
  atRight: BLANK_SHEET.onTheRight,
};

/** Deep as the piece lies now, where it is laid of sheets alone. */
function thicknessOf(where: Where | null): number {
  const layers = where ? laidLayers(where.piece.doc) : [];
  const sheets = layers.flatMap((layer) => (layer.form === 'sheet' || layer.form === 'cap' ? [layer.thickness_m] : []));
  return sheets.length > 0 && sheets.length === layers.length ? sheets.reduce((sum, one) => sum + one, 0) : USUAL_BLANK_M;
}

const takesBlank = ({ use }: Pick<FormRecord, 'use'>): boolean => use === 'hollow' || use === 'former';
const takenForm = (typed: SheetProps['typed'], { forms }: SheetProps['shelves']): FormRecord | null =>
  forms.find((one) => one.id === typed.mould && takesBlank(one)) ?? null;

/** What a firing to come sinks into or hangs over, where one does. */
function formIn(where: Where | null): { known: Parameters<typeof typedForm>[0]; formId: string | null } | null {
  if (!where) return null;
  const { footprint } = where.piece.doc;
  const shaped = firingsOf({ journey: where.piece.doc.journey.slice(where.from) }).map((firing) => ({ firing, shaping: shapingOf(firing, footprint) }));
  const one = shaped.find(({ shaping }) => isBending(shaping));
  return one && isBending(one.shaping) ? { known: one.shaping, formId: one.firing.setup.form?.id ?? null } : null;
}

export function BlankSheet({ typed, set, shelves, where, onPut }: SheetProps) {
  const units = useUnits();
  const of = glassOf(shelves, typed.glass, where);
  const thickness_m = thicknessOf(where);
  const taken = takenForm(typed, shelves);
  const read = of ? readBlank(typed, units, of.constants, thickness_m, taken) : null;
  const { pair, stale, problem } = useReckoned('blank', read?.value ?? null);
  const [way, plan] = taken ? ([taken.use === 'former' ? 'over' : 'into', taken.plan] as const) : [wayIn(typed), planIn(typed)];
  if (!of || !read) return null;
  const problems = problem ? { ...read.problems, [fieldOfBlank(problem.path, typed)]: problem.message } : read.problems;
  const sheet = { typed, set, problems };
  const offered = shelves.forms.filter((one) => takesBlank(one) && !shelves.archived.includes(one.id));
  const told = pair && blankWords(pair.asked, pair.value, units);
  const known = formIn(where);
  const spread = (): void => {
    const apart = spreadBlank(typed);
    if (apart !== typed) set(apart);
  };
  const form = fieldsOfForm(way, plan).map((field, i) => (i === 0 ? { ...field, onBlur: spread } : field));
  const glassFields: AskedField[] = [
    { field: 'thick', label: BLANK_SHEET.glassThick, hint: BLANK_SHEET.empty(text(formatStock(thickness_m, units.length))) },
    ...(way === 'into' ? [{ field: 'under', label: BLANK_SHEET.edgeUnderRim, hint: BLANK_SHEET.emptyRim }] : []),
  ];
  // What counts is not hidden.
  const isLast = Object.keys(NO_LAST).some((field) => (typed[field] ?? '') !== '');
  const isTwo = plan !== 'round' || (way === 'over' && (typed.lobes ?? '') !== '');
  return (
    <View style={{ gap: space.small }}>
      {offered.length > 0 && (
        <View style={{ marginHorizontal: -space.large }}>
          <Fold
            title={taken ? taken.name : BLANK_SHEET.fromTheShelf}
            about={taken ? BLANK_SHEET.measuresShelf : BLANK_SHEET.mouldFormerMeasures}
            testID="reckon-shelf"
            opened={taken !== null}
          >
            {() => (
              <FormChoice
                testID="reckon-mould"
                label={BLANK_SHEET.mouldOrFormer}
                chosen={taken}
                forms={offered}
                none={{ title: BLANK_SHEET.byItsMeasures, note: BLANK_SHEET.typedBelow }}
                onChange={(form) => set({ ...NO_LAST, mould: form ?? '' })}
              />
            )}
          </Fold>
        </View>
      )}
      {taken && way === 'over' && (
        <FieldRow sheet={sheet} fields={[{ field: 'hang', label: BLANK_SHEET.hangsDown, hint: BLANK_SHEET.emptyAllBut, wide: true }]} />
      )}
      {!taken && (
        <>
          <Choice<BlankWay>
            label={BLANK_SHEET.itGoes}
            value={way}
            options={[
              { value: 'into', title: BLANK_SHEET.intoAMould },
              { value: 'over', title: BLANK_SHEET.overAFormer },
            ]}
            onChange={(next) => set({ ...NO_LAST, way: next })}
            testID="reckon-way"
          />
          <NamedChips<Plan>
            label={BLANK_SHEET.seenFromAbove}
            value={plan}
            options={(Object.keys(PLAN_TITLES) as Plan[]).map((value) => ({ value, title: PLAN_TITLES[value] }))}
            onPick={(next) => set({ ...NO_LAST, plan: next })}
            testID="reckon-plan"
          />
          <FieldRow sheet={sheet} fields={form} />
          <FieldRow sheet={sheet} fields={tapesOf(way, plan)} />
        </>
      )}
      <FieldRow sheet={sheet} fields={glassFields} />
      {where && known && (
        <Action
          kind="plain"
          title={BLANK_SHEET.of(known.known.kind === 'hollow', where.piece.name)}
          testID="reckon-sizes"
          onPress={() =>
            set(
              known.formId !== null && shelves.forms.some(({ id }) => id === known.formId)
                ? { ...NO_LAST, mould: known.formId }
                : typedForm(known.known, units),
            )
          }
        />
      )}
      <OfGlass shelves={shelves} of={of} onChange={(glass) => set({ glass })} />
      <Outcome
        kind="blank"
        typed={{ ...typed, glass: of.id }}
        missing={read.missing}
        told={told}
        stale={stale}
        puts={pair && told && putsBlank(of, pair.asked, pair.value, taken && heldForm(taken, shelves.materials), shelves, told.short, units)}
        where={where}
        onPut={onPut}
      >
        {pair && <BlankDrawing asked={pair.asked} told={pair.value} colour={of.colour} unit={units.length} />}
      </Outcome>
      <Fold title={BLANK_SHEET.whatLastTime} about={BLANK_SHEET.blankCutWhere} testID="reckon-further" opened={isLast}>
        {() => (
          <View style={{ gap: space.small }}>
            <FieldRow
              sheet={sheet}
              fields={[
                { field: 'lastAcross', label: BLANK_SHEET.lastBlank, ...(isTwo ? {} : { wide: true }) },
                ...(isTwo ? [{ field: 'lastAlong', label: plan === 'round' || plan === 'lobed' ? BLANK_SHEET.betweenLobes : BLANK_SHEET.theOtherWay }] : []),
              ]}
            />
            {pair && (typed.lastAcross ?? '') === '' && (
              <Action
                kind="plain"
                title={BLANK_SHEET.cutSum(text(formatLength(pair.value.summed_m[0], units.length)))}
                testID="reckon-by-sum"
                onPress={() => set(typedLast(pair.value, units))}
              />
            )}
            {isLast && <Action kind="plain" title={BLANK_SHEET.forgetLastTime} testID="reckon-no-last" onPress={() => set(NO_LAST)} />}
            <FieldRow
              sheet={sheet}
              fields={LAST_SIDES.map((field) => ({ field, label: BLANK_SHEET.over(SIDE_LABELS[field]), hint: BLANK_SHEET.minusShort }))}
            />
          </View>
        )}
      </Fold>
    </View>
  );
}
