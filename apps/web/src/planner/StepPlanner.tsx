/** What a firing is to be: its look, how it stands, the mould or former, kiln and controller; then it is computed. */
import type { Footprint } from '@torvin/core/body';
import { profileWords } from '@torvin/core/controller';
import type { Plan } from '@torvin/core/form';
import { type Shaping, type Look, RECIPES } from '@torvin/core/look';
import { undoes, givesShape, serves, firingsOf, leavesShelf } from '@torvin/core/piece';
import { smokes } from '@torvin/core/release';
import { SETUP_KINDS, SETUP_NAMES } from '@torvin/core/schedule';
import { formatTemperature, text } from '@torvin/core/units';
import { type Piece, type PieceDoc, RELEASE_NAMES, type Shelves, type Step } from '@torvin/schema';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { inFormUnits, useUnits } from '@/data/FormUnits';
import { useDraft } from '@/data/useDraft';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { DraftOffer } from '@/ui/DraftOffer';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { showFault } from '@/ui/showFault';
import { PAPER_CAUTION, SETUP_CAUTIONS, WET_CAUTIONS } from '@/layup/cautions';
import { FormChoice } from './FormChoice';
import { InForm } from './InForm';
import { RecipeChoice } from './RecipeChoice';
import { EmptyItemChoices } from './EmptyItemChoices';
import type { PlanFiring } from './usePlanFiring';
import {
  type Fault,
  type StepEntry,
  entryOfStep,
  fieldsOf,
  formOf,
  likelyGroup,
  MOULDS,
  mayBeSlender,
  setUpIn,
  stepOf,
  usualSetUp,
  usualEmptyItem,
  withLook,
  without,
  withSetUp,
  whyImpossible,
  shelfOf,
} from './stepEntry';

export interface StepPlannerProps {
  pieceId: string;
  doc: PieceDoc;
  /** How its firings came out. */
  fired: Piece['fired'];
  /** The firing to change; null for a new one. */
  step: Step | null;
  shelves: Shelves;
  /** Of what is being computed for it, and why nothing came of it. */
  planning: Pick<PlanFiring, 'working' | 'problem'>;
  onCompute(step: Step): void;
  /** It is planned as it stands here, and its schedule comes from paper or from another firing. */
  onGiven(step: Step): void;
  /** Cuts the blank before the firing, so that it ends at the rim of its form. */
  onCut(step: Step, outline: Footprint, shaping: Shaping): void;
  onCancel?(): void;
}

const NOTHING: Partial<StepEntry> = {};
/** A release of the studio's own, beside those that are of any kind. */
const own = (id: string): string => `own-${id}`;
const NOT_JUDGED = 'any; its top is not judged';

export const StepPlanner = inFormUnits(StepForm);

function StepForm({ pieceId, doc, fired, step, shelves, planning: { working, problem }, onCompute, onGiven, onCut, onCancel }: StepPlannerProps) {
  const units = useUnits();
  // What has not been touched follows the lay-up.
  const [touched, setTouched] = useState<Partial<StepEntry>>({});
  const draft = useDraft<Partial<StepEntry>>(`firing ${step?.id ?? `new ${pieceId}`}`);
  useEffect(() => draft.keep(touched, NOTHING, working), [draft, touched, working]);
  const entry = useMemo(() => entryOfStep(doc, step, shelves, units, touched, fired), [doc, step, shelves, units, touched, fired]);
  const [faults, setFaults] = useState<Fault[]>([]);
  const [asked, setAsked] = useState(false);
  const faultAt = (field: Fault['field']): string | undefined => faults.find((fault) => fault.field === field)?.message;
  /** Chosen by hand, so that it is not chosen anew with something else. */
  const [byHand, setByHand] = useState<readonly (keyof StepEntry)[]>([]);
  const set = (part: Partial<StepEntry>): void => setTouched({ ...touched, ...part });
  const choose = (part: Partial<StepEntry>): void => {
    setByHand([...byHand, ...(Object.keys(part) as (keyof StepEntry)[])]);
    set(part);
  };
  const offered = <T extends { id: string }>(records: readonly T[], chosen: string): T[] =>
    records.filter(({ id }) => id === chosen || !shelves.archived.includes(id));
  const take = (then: (step: Step) => void): void => {
    const outcome = stepOf(entry, step, units, shelves);
    setFaults(outcome.faults);
    if (!outcome.step) return showFault();
    const impossible = whyImpossible(doc, outcome.step, shelves, units.length);
    if (impossible) {
      setFaults([impossible]);
      return showFault();
    }
    const undone = undoes(doc, outcome.step);
    if (undone !== null && !asked) return setAsked(true);
    setAsked(false);
    then(outcome.step);
  };
  const { empty: item } = RECIPES[entry.look];
  const missing = [...(entry.kilnId === '' ? ['a kiln'] : []), ...(entry.controllerId === '' ? ['a controller'] : [])];
  const form = formOf(entry, step, shelves);
  const meant = useMemo(() => stepOf(entry, step, units, shelves).step, [entry, step, units, shelves]);
  const releases = offered(shelves.releases, entry.under ?? '');
  const laid = entry.under === null ? entry.paper : releases.some(({ id, kind }) => id === entry.under && smokes(kind));
  const undone = asked ? undoes(doc, { look: entry.look, setup: { kind: entry.setup, paper: entry.paper }, id: step?.id ?? '' }) : null;
  return (
    <View style={{ gap: space.small }} testID="step-planner">
      <DraftOffer draft={draft} onTake={setTouched} />
      {firingsOf(doc).length === 0 && <Words>Choose what the firing is for; the schedule is computed from what is fired, the set-up and the kiln.</Words>}
      <RecipeChoice
        value={entry.look}
        first={likelyGroup(doc, step, fired)}
        onChange={(look: Look) => {
          choose({ look });
          set({ look, ...withLook(entry, look, { step, shelves, units, byHand }) });
        }}
      />
      <Notice tone="care" testID="look-caution">
        {RECIPES[entry.look].care}
      </Notice>
      {item ? (
        <EmptyItemChoices
          entry={entry}
          item={item}
          onChange={(part) => {
            choose(part);
            set({ ...part, ...(part.of ? without(usualEmptyItem(entry.look, units, part.of), byHand) : {}) });
          }}
        />
      ) : (
        <>
          <Choice
            label="Set-up"
            value={entry.setup}
            options={SETUP_KINDS.map((kind) => ({ value: kind, title: SETUP_NAMES[kind] }))}
            onChange={(setup) => {
              choose({ setup });
              set({ setup, ...(byHand.includes('look') || step ? {} : withSetUp(doc, entry, setup)) });
            }}
            testID="setup"
          />
          <Choice
            label="Under the glass"
            value={entry.under === null ? (entry.paper ? 'paper' : 'primer') : own(entry.under)}
            options={[
              ...releases.map(({ id, name, kind, top_C }) => ({
                value: own(id),
                title: name,
                note: `${RELEASE_NAMES[kind].toLowerCase()}, to ${text(formatTemperature(top_C, units.temperature))}`,
              })),
              { value: 'primer', title: 'Primer or spray', note: NOT_JUDGED },
              { value: 'paper', title: 'Fibre paper', note: NOT_JUDGED },
            ]}
            onChange={(under) => set({ paper: under === 'paper', under: releases.find(({ id }) => own(id) === under)?.id ?? null })}
            testID="under"
          />
          <Choice
            label="What has to leave first"
            value={entry.wet}
            options={[
              { value: 'dry', title: 'All is dry' },
              { value: 'damp', title: 'Water' },
              { value: 'glued', title: 'Glue or gel' },
            ]}
            onChange={(wet) => choose({ wet })}
            testID="wet"
          />
        </>
      )}
      <Notice tone="care" testID="setup-caution">
        {[SETUP_CAUTIONS[entry.setup], ...(laid ? [PAPER_CAUTION] : []), ...(entry.wet === 'dry' ? [] : [WET_CAUTIONS[entry.wet]])].join(' ')}
      </Notice>
      {!item && (
        <FormChoice
          label={RECIPES[entry.look].frees ? 'Stuck in or on' : RECIPES[entry.look].asks ? 'Mould or former' : 'In or on'}
          chosen={form}
          makings={shelves.makings}
          forms={offered(shelves.forms, entry.formId ?? '').filter((one) => serves(one, entry.look))}
          none={
            RECIPES[entry.look].asks
              ? { title: 'By its measures', note: 'typed below' }
              : { title: 'Nothing', note: RECIPES[entry.look].frees ? 'none of the shelf' : 'the shelf alone' }
          }
          fault={faultAt('form')}
          onChange={(formId) => {
            const next = formOf({ ...entry, formId }, step, shelves);
            set({ formId, setup: next ? setUpIn(next, entry.look) : usualSetUp(entry.look) });
          }}
        />
      )}
      {form && leavesShelf(form) && (
        <FormChoice
          label="Which stands on"
          chosen={shelfOf(entry, step, shelves)}
          forms={offered(shelves.forms, entry.shelfId ?? '').filter(({ use }) => use === 'shelf')}
          none={{ title: 'A shelf', note: 'none of the studio’s own; its coats are not counted' }}
          testID="shelf-under"
          onChange={(shelfId) => set({ shelfId })}
        />
      )}
      {form?.use === 'former' && !RECIPES[entry.look].frees && (
        <Field
          label="Edge is to come down"
          value={entry.comesDown}
          hint="empty: all the way"
          error={faultAt('comesDown')}
          onChange={(comesDown) => set({ comesDown })}
          testID="shape-comesDown"
        />
      )}
      {form && meant && <InForm doc={doc} step={meant} shelves={shelves} onCut={(outline, shaping) => onCut(meant, outline, shaping)} />}
      {mayBeSlender(entry.look) && !(form && givesShape(form)) && (
        <Choice
          label="Its thickest part is"
          value={entry.slender}
          options={[
            { value: 'slab', title: 'Flat', note: 'a wall, a slab' },
            { value: 'cylinder', title: 'A rod', note: 'as thick all round' },
            { value: 'sphere', title: 'A ball' },
          ]}
          onChange={(slender) => set({ slender })}
          testID="slender"
        />
      )}
      {RECIPES[entry.look].asks?.kind === 'hollow' && !form && (
        <Choice
          label="Seen from above, the mould is"
          value={entry.mould}
          options={Object.entries(MOULDS).map(([value, title]) => ({ value: value as Plan, title }))}
          onChange={(mould) => set({ mould })}
          testID="mould-outline"
        />
      )}
      {(form && givesShape(form) ? [] : fieldsOf(entry.look, entry.mould)).map(({ field, label, hint }) => (
        <Field
          key={field}
          label={label}
          value={entry[field]}
          hint={hint}
          error={faultAt(field)}
          onChange={(typed) => choose({ [field]: typed })}
          testID={`shape-${field}`}
        />
      ))}
      <Choice
        label="Kiln"
        value={entry.kilnId}
        options={offered(shelves.kilns, entry.kilnId).map(({ id, name, top_C }) => ({
          value: id,
          title: name,
          note: `to ${text(formatTemperature(top_C, units.temperature))}`,
        }))}
        onChange={(kilnId) => set({ kilnId })}
        testID="kiln"
      />
      {(['kiln', 'setup'] as const).map((field) => {
        const message = faultAt(field);
        return (
          message && (
            <Notice key={field} tone="warn" testID={`fault-${field}`}>
              {message}
            </Notice>
          )
        );
      })}
      <Choice
        label="Controller"
        value={entry.controllerId}
        options={offered(shelves.controllers, entry.controllerId).map((one) => ({ value: one.id, title: one.name, note: profileWords(one) }))}
        onChange={(controllerId) => set({ controllerId })}
        testID="controller"
      />
      {undone !== null && (
        <Notice tone="warn" testID="undoes">
          {`${undone} Compute it all the same, or choose a form that holds the shape.`}
        </Notice>
      )}
      {problem && (
        <Notice tone="warn" testID="plan-problem">
          {problem.message}
        </Notice>
      )}
      {missing.length > 0 && (
        <Words size="label" bold tone="warn" testID="compute-missing">
          {`Still missing: ${missing.join(' and ')}. ${missing.length > 1 ? 'They come' : 'It comes'} from Shelves.`}
        </Words>
      )}
      <View style={{ flexDirection: 'row', gap: space.small }}>
        <View style={{ flex: 1 }}>
          <Action
            title={working ? 'Computing …' : `Compute the ${RECIPES[entry.look].name.toLowerCase()}`}
            disabled={working || missing.length > 0}
            testID="compute"
            onPress={() => take(onCompute)}
          />
        </View>
        {onCancel && <Action kind="second" title="Not now" testID="cancel-step" onPress={onCancel} />}
      </View>
      <View style={{ alignItems: 'flex-start' }}>
        <Action
          kind="plain"
          title="I have a schedule for it"
          label="I have a schedule for it, on paper or from another firing"
          disabled={working || missing.length > 0}
          testID="given-schedule"
          onPress={() => take(onGiven)}
        />
      </View>
    </View>
  );
}
