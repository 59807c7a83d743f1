/** Planning a firing: what the piece should become, on what and in which kiln; its hours beside the button follow each choice. */
import { type Footprint, footprintWords } from '@torvin/core/body';
import { profileWords } from '@torvin/core/controller';
import { type Shaping, type Look, RECIPES } from '@torvin/core/look';
import {
  bodyProfile,
  applySteps,
  drawnBody,
  formWarnings,
  laidLayers,
  likelyGroup,
  likelyLook,
  namedGlasses,
  placeOf,
  putBlank,
  standsAs,
  undoes,
} from '@torvin/core/piece';
import { smokes } from '@torvin/core/release';
import { EMPTY_SETUPS, SETUP_NAMES } from '@torvin/core/schedule';
import { formatTemperature, text } from '@torvin/core/units';
import type { Piece, Shelves, Step } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useUsed } from '@/data/bench';
import { inFormUnits, useUnits } from '@/data/FormUnits';
import { useDraft } from '@/data/useDraft';
import { doneUntil } from '@/journey/doneUntil';
import { runHref } from '@/ui/hrefs';
import { layersWords } from '@/layup/describe';
import { UndoBar } from '@/ui/UndoBar';
import { isSame } from '@/outbox/merge';
import { useLayup } from '@/layup/useLayup';
import { PAPER_CAUTION, SETUP_CAUTIONS, WET_CAUTIONS } from '@/layup/cautions';
import { QueueNotice } from './QueueNotice';
import { SectionPicture } from '@/section/SectionDrawing';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Caution } from '@/ui/Caution';
import { Choice } from '@/ui/Choice';
import { DraftOffer } from '@/ui/DraftOffer';
import { Fold } from '@/ui/Fold';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Screen } from '@/ui/Screen';
import { showFault } from '@/ui/showFault';
import { useLayout } from '@/ui/useWidth';
import { LookChoice } from '@/planner/LookChoice';
import { OnWhat } from '@/planner/OnWhat';
import { PlanBar } from '@/planner/PlanBar';
import { type Planning, likelyFor, useNearest, usePreview } from '@/planner/planned';
import { type StepEntry, entryOfStep, formOf, stepOf, whyImpossible } from '@/planner/stepEntry';
import { withFiring, usePlanFiring } from '@/planner/usePlanFiring';
import { IN, ON, PLAN } from '@/planner/words';
import { PLAN_FIRING_SCREEN } from './words';

export interface PlanFiringScreenProps {
  piece: Piece;
  shelves: Shelves;
  /** The firing to change; null for a new one. */
  step: Step | null;
  /** Index in the journey where a new one comes; at its end where left out. */
  place?: number;
}

const NOTHING: Partial<StepEntry> = {};
const DRAWING_HEIGHT = 96;

export const PlanFiringScreen = inFormUnits(PlanForm);

function PlanForm({ piece, shelves, step, place: at }: PlanFiringScreenProps) {
  const router = useRouter();
  const layout = useLayout();
  const units = useUnits();
  const layup = useLayup(piece);
  const { doc } = layup;
  const { fired } = piece;
  const plans = usePlanFiring(piece.id, shelves);
  // What was cut here can be undone here; what was done before is the piece's.
  const [opened] = useState(doc);
  const isChanged = !isSame(doc, opened);
  // A cut that is put before it moves it on by one.
  const [place, setPlace] = useState(at);
  const [touched, setTouched] = useState<Partial<StepEntry>>({});
  const draft = useDraft<Partial<StepEntry>>(`firing ${step?.id ?? `new ${piece.id}`}`);
  useEffect(() => draft.keep(touched, NOTHING, plans.working), [draft, touched, plans.working]);
  const [asked, setAsked] = useState(0);
  const index = step ? placeOf(doc, step.id) : (place ?? doc.journey.length);
  const before = useMemo(() => ({ ...doc, journey: doc.journey.slice(0, index) }), [doc, index]);
  const look = touched.look ?? step?.look ?? likelyLook(before, fired);
  const formId = touched.formId === undefined ? (step?.setup.form?.id ?? null) : touched.formId;
  const used = useUsed(step?.look === look ? null : look, formId);
  const planning = useMemo(
    (): Planning => ({ doc, before, step, place, shelves, units, fired, used }),
    [doc, before, step, place, shelves, units, fired, used],
  );
  const entry = useMemo(() => entryOfStep(before, step, shelves, units, touched, { fired, used }), [before, step, shelves, units, touched, fired, used]);
  const outcome = useMemo(() => stepOf(entry, step, units, shelves), [entry, step, units, shelves]);
  const meant = outcome.step;
  const missing = [...(entry.kilnId === '' ? [PLAN.aKiln] : []), ...(entry.controllerId === '' ? [PLAN.aController] : [])];
  const impossible = useMemo(
    () => (meant && missing.length === 0 ? whyImpossible(before, meant, shelves, units.length) : null),
    [meant, missing.length, before, shelves, units.length],
  );
  const preview = usePreview(planning, meant, missing.length === 0 && !impossible);
  const wrong = impossible ?? (preview.problem ? { field: 'kiln' as const, message: preview.problem.message } : null);
  // A figure that is typed says itself what would be right.
  const nearest = useNearest(planning, touched, entry, wrong && ['kiln', 'setup', 'form'].includes(wrong.field) ? wrong : null);
  // Drawn a moment after a key: a field never waits for it.
  const typed = useDeferredValue(touched);
  const likely = useMemo(() => likelyFor(planning, typed, typed.look ?? look, fired), [planning, typed, look, fired]);
  const drawn = useMemo(() => {
    const body = applySteps(before, namedGlasses(shelves)).at(-1)?.body;
    return body && drawnBody(bodyProfile(body), shelves);
  }, [before, shelves]);
  const warnings = useMemo(() => {
    const planned = meant ? withFiring(doc, meant, place) : null;
    return meant && planned?.ok ? formWarnings(planned.value.doc, meant, shelves, units, null) : [];
  }, [doc, meant, place, shelves, units]);
  const undone = meant ? undoes({ journey: [...before.journey, meant] }, meant) : null;
  const set = (part: Partial<StepEntry>): void => {
    setAsked(0);
    setTouched({ ...touched, ...part });
  };
  const take = (then: (step: Step) => void): void => {
    if (!meant || impossible) {
      setAsked(asked + 1);
      return showFault();
    }
    then(meant);
  };
  const plan = (next: Step): void =>
    void plans.plan(next, piece, place).then((remarks) => (remarks === null ? showFault() : router.replace(runHref(piece.id, next.id))));
  /** Planned, not calculated: its schedule is on paper, or another firing's. */
  const give = (next: Step): void => {
    layup.edit(withFiring(doc, next, place));
    router.replace(`/pieces/${piece.id}/given?step=${next.id}`);
  };
  /** Not begun, the piece takes the outline; else it is cut before this firing. */
  const cut = (outline: Footprint, shaping: Shaping): void => {
    const [lowest] = laidLayers(doc);
    const form = meant?.setup.form;
    const edited = putBlank(doc, {
      outline,
      shaping,
      ...(form ? { form } : {}),
      sheet: lowest,
      firing: null,
      from: doneUntil(doc.journey, fired),
      cutId: uuid(),
    });
    if (edited.ok && place !== undefined) setPlace(place + edited.value.doc.journey.length - doc.journey.length);
    layup.edit(edited);
  };
  const there = <T extends { id: string }>(records: readonly T[], chosen: string): T[] =>
    records.filter(({ id }) => id === chosen || !shelves.archived.includes(id));
  const form = formOf(entry, step, shelves);
  const release = shelves.releases.find(({ id }) => id === entry.under);
  const laid = entry.under === null ? entry.paper : release !== undefined && smokes(release.kind);
  const kiln = shelves.kilns.find(({ id }) => id === entry.kilnId);
  const controller = shelves.controllers.find(({ id }) => id === entry.controllerId);
  const faults = asked > 0 ? [...outcome.faults, ...(impossible ? [impossible] : [])] : [];
  const isAsLast = before.journey.length > 0 && used !== null && meant !== null && isSetUpLike(meant, used);
  const on = meant ? standsAs(meant, shelves) : SETUP_NAMES[entry.setup].toLowerCase();
  // Said once: at the button, until that has led to the field.
  const troubles = [wrong?.message, plans.problem?.message, undone ?? undefined];
  return (
    <Screen
      title={step?.scheduleId ? PLAN.titles.change : PLAN.titles.plan}
      of={piece.name}
      subtitle={`${piece.name} · ${footprintWords(doc.footprint, units.length)} · ${layersWords(laidLayers(before).length)}`}
      back={{ title: piece.name, href: `/pieces/${piece.id}` }}
      padded={false}
      actions={isChanged && layout !== 'beside' && <UndoBar layup={layup} />}
      footer={
        <PlanBar
          preview={preview}
          trouble={
            missing.length > 0 ? PLAN.missing(missing) : (troubles.find((one) => one !== undefined && !faults.some(({ message }) => message === one)) ?? '')
          }
          needs={faults.length > 0 ? '' : (outcome.faults[0]?.message ?? '')}
          nearest={nearest}
          working={plans.working}
          disabled={missing.length > 0}
          onNearest={() => nearest && set(nearest.change)}
          onPlan={() => take(plan)}
        />
      }
    >
      <View style={{ paddingHorizontal: space.large }}>
        <QueueNotice queue={layup.queue} mine={PLAN.mine} />
        <DraftOffer draft={draft} onTake={setTouched} />
      </View>
      {drawn && layout !== 'beside' && laidLayers(before).length > 0 && (
        <MeasuredWidth height={DRAWING_HEIGHT}>{(width) => <SectionPicture {...drawn} width={width} height={DRAWING_HEIGHT} />}</MeasuredWidth>
      )}
      <View testID="step-planner">
        <LookChoice
          value={entry.look}
          likely={likely}
          first={likelyGroup(doc, step, fired)}
          onChange={(next: Look) => set({ look: next, ...(isShelf(touched.setup) ? {} : { setup: undefined }) })}
        />
        <Fold
          title={RECIPES[entry.look].empty ? ON.titles.empty : RECIPES[entry.look].asks && !form ? ON.titles.measured : ON.titles.plain}
          about={isAsLast ? ON.asLastTime(on) : on}
          testID="on"
          opened={(faults.some(({ field }) => field !== 'kiln') ? asked : 0) || outcome.faults.length > 0 || warnings.length > 0}
          warns={warnings.length > 0 || (wrong !== null && wrong.field !== 'kiln')}
        >
          {() => <OnWhat {...{ planning, entry, meant, onChange: set, onCut: cut, faults }} />}
        </Fold>
        <Fold
          title={IN.title}
          about={kiln && controller ? IN.both(kiln.name, controller.name, profileWords(controller)) : IN.none}
          testID="in"
          opened={faults.some(({ field }) => field === 'kiln') ? asked : missing.length > 0}
          warns={wrong?.field === 'kiln'}
        >
          {() => (
            <>
              <Choice
                label={IN.kiln}
                value={entry.kilnId}
                options={there(shelves.kilns, entry.kilnId).map(({ id, name, top_C }) => ({
                  value: id,
                  title: name,
                  note: IN.to(text(formatTemperature(top_C, units.temperature))),
                }))}
                onChange={(kilnId) => set({ kilnId })}
                testID="kiln"
              />
              <Choice
                label={IN.controller}
                value={entry.controllerId}
                options={there(shelves.controllers, entry.controllerId).map((one) => ({ value: one.id, title: one.name, note: profileWords(one) }))}
                onChange={(controllerId) => set({ controllerId })}
                testID="controller"
              />
            </>
          )}
        </Fold>
      </View>
      <View style={{ paddingHorizontal: space.large }}>
        <Caution about={PLAN_FIRING_SCREEN.plan(entry.look)} testID="look-caution">
          {RECIPES[entry.look].care}
        </Caution>
        <Caution about={PLAN_FIRING_SCREEN.planOn(entry.setup)} testID="setup-caution">
          {SETUP_CAUTIONS[entry.setup]}
        </Caution>
        {laid && (
          <Caution about={PLAN_FIRING_SCREEN.planOnPaper} testID="paper-caution">
            {PAPER_CAUTION}
          </Caution>
        )}
        {entry.wet !== 'dry' && (
          <Caution about={PLAN_FIRING_SCREEN.planWhatIs(entry.wet)} testID="wet-caution">
            {WET_CAUTIONS[entry.wet]}
          </Caution>
        )}
        <View style={{ alignItems: 'flex-start' }}>
          <Action
            kind="plain"
            title={PLAN.given}
            label={PLAN.givenInFull}
            disabled={plans.working || missing.length > 0}
            testID="given-schedule"
            onPress={() => take(give)}
          />
        </View>
      </View>
    </Screen>
  );
}

/** A shelf or a board serves the next kind too; a mould or a former was chosen for the one before. */
const isShelf = (setup: StepEntry['setup'] | undefined): boolean => EMPTY_SETUPS.some((kind) => kind === setup);

/** Whether a plan goes by what was used last. */
const isSetUpLike = ({ setup, releaseId }: Step, used: Pick<Step, 'setup' | 'releaseId'>): boolean =>
  setup.kind === used.setup.kind &&
  setup.paper === used.setup.paper &&
  (releaseId ?? null) === (used.releaseId ?? null) &&
  setup.form?.id === used.setup.form?.id;
