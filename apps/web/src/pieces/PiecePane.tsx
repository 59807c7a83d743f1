/** One piece: its journey, the body at the step that is looked at on the drawing, its figures, whether it fits, its firings. */
import { footprintWords } from '@torvin/core/body';
import { ghostOf, emptyItemOf, LOOK_NAMES } from '@torvin/core/look';
import {
  changeLayer,
  drawnBody,
  drawnLayers,
  drawnEmptyItem,
  firingsOf,
  laidLayers,
  layerName,
  moveLayer,
  partsIn,
  type PlannedStep,
  bodyProfile,
  removeLayer,
  shapingOf,
  stepName,
  stepWords,
  standsAs,
  turnLayer,
} from '@torvin/core/piece';
import { wearOf } from '@torvin/core/release';
import { type Piece, type Shelves, type Step, nextStep } from '@torvin/schema';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { elementOf } from '@/ui/elementOf';
import { usePiece, useSchedule, useShelves } from '@/data/pieces';
import { useUnits } from '@/data/FormUnits';
import { SectionDrawing } from '@/section/SectionDrawing';
import { SectionEditor } from '@/section/SectionEditor';
import { trimsOf } from '@/section/trim';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Fold } from '@/ui/Fold';
import { capital } from '@/ui/capital';
import { showFault } from '@/ui/showFault';
import { Waiting } from '@/ui/Loading';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Notice } from '@/ui/Notice';
import { type Back, Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { leaveFor, useTakes } from '@/ui/brought';
import { useIsLow } from '@/ui/useWidth';
import { facesDiffer, glassOf } from '@/shelves/everyGlass';
import { AddLayer } from '@/layup/AddLayer';
import { AddStep } from '@/journey/AddStep';
import { BodyFigures } from '@/journey/BodyFigures';
import { layersWords } from '@/layup/describe';
import { HandStep } from '@/journey/HandStep';
import { JourneyStrip, type StripStep } from '@/journey/JourneyStrip';
import { BodyViews, type BodyView } from '@/journey/BodyViews';
import { LayerSheet } from '@/layup/LayerSheet';
import { ownLayers } from '@/layup/ownLayers';
import { PartSheet } from '@/layup/PartSheet';
import { PlanPanel } from '@/layup/PlanPanel';
import { QueueNotice } from './QueueNotice';
import { FiringSetUp } from '@/journey/FiringSetUp';
import { planHref, runHref } from '@/ui/hrefs';
import { StepInForm, formedIn } from '@/planner/StepInForm';
import { UndoBar } from '@/ui/UndoBar';
import { OnPaper } from '@/paper/OnPaper';
import { paperPages } from '@/paper/paperPages';
import { piecePaper } from './piecePaper';
import { useFit } from '@/layup/useFit';
import { useJourney } from '@/journey/useJourney';
import { AnotherLike } from './AnotherLike';
import { NextActBar } from './NextActBar';
import { PieceMenu } from './PieceMenu';
import { HistoryRows, LayRows } from './PieceRows';
import { leftBefore, useFiringWork, useFormWarnings } from './pieceFiring';
import { OutdatedNotice } from '@/planner/OutdatedNotice';
import { useOutdated } from '@/planner/useOutdated';
import { usePlanFiring } from '@/planner/usePlanFiring';
import { useFormNow } from '@/data/forms';
import { useLayup } from '@/layup/useLayup';
import { usePiecesHref } from './usePiecesQuery';
import { PIECE_PANE } from './words';
import { WORDS } from '@/ui/said';

const DRAWING_HEIGHT = 210;

export interface PiecePaneProps {
  id: string;
  /** The step whose run sheet stands beside it. */
  stepId?: string;
  beside?: boolean;
}

export function PiecePane({ id, stepId, beside = false }: PiecePaneProps) {
  const back: Back = { title: WORDS.pieces, href: usePiecesHref() };
  const piece = usePiece(id);
  const shelves = useShelves();
  if (!piece.data) return <Waiting query={piece} title={WORDS.piece} back={back} />;
  if (!shelves.data) return <Waiting query={shelves} title={piece.data.name} back={back} />;
  return <PieceView piece={piece.data} shelves={shelves.data} stepId={stepId} beside={beside} back={back} />;
}

function PieceView({ piece, shelves, stepId, beside, back }: { piece: Piece; shelves: Shelves; stepId?: string; beside: boolean; back: Back }) {
  const router = useRouter();
  const units = useUnits();
  const layup = useLayup(piece);
  const { doc } = layup;
  const all = laidLayers(doc);
  const [selected, setSelected] = useState<number | null>(null);
  const { at, another, stuck, anneal } = useLocalSearchParams<{ at?: string; another?: string; stuck?: string; anneal?: string }>();
  const like = { id: piece.id, name: layup.name, doc };
  const [open, setOpen] = useState<string | null>(stepId ?? at ?? null);
  const [adding, setAdding] = useState<'layer' | 'step' | null>(null);
  const [view, setView] = useState<BodyView>('side');
  const [parts, setParts] = useState<string[]>([]);
  const [menu, setMenu] = useState(false);
  const journey = useJourney(doc, piece.fired, shelves, stepId ?? open);
  const { laying, shown, step } = journey;
  // Read on the page that judges it, for the firing that is looked at.
  useTakes(
    'schedule',
    (words) => {
      leaveFor('schedule', words, piece.id);
      router.push(`/pieces/${piece.id}/given${step?.kind === 'fire' ? `?step=${step.id}` : ''}`);
    },
    { off: beside },
  );
  // The one that is looked at, else the one that comes next.
  const firing = firingsOf({ journey: doc.journey.slice(journey.at) })[0] as PlannedStep | undefined;
  const item = step?.kind === 'fire' ? emptyItemOf(step.setup.shaping) : null;
  const drawn = useMemo(() => drawnBody(bodyProfile(shown), shelves), [shown, shelves]);
  const layers = useMemo(() => (shown.casting ? drawnLayers(shown.layers, shelves, shown.footprint) : drawn.layers), [shown, drawn, shelves]);
  const own = useMemo(() => ownLayers(shown.layers, laying), [shown.layers, laying]);
  const names = shown.layers.map((_, index) => layerName(shown.layers, index));
  const fit = useFit(shown.layers, shelves);
  const hasGlass = all.length > 0 && !item;
  const { data: schedule } = useSchedule(firing?.scheduleId);
  const mine = schedule?.stepId === firing?.id ? schedule : undefined;
  const fires = useFiringWork(doc, firing, shelves);
  const ghost = useMemo(
    () => (fires && firing ? ghostOf(fires.body, firing.look, fires.work_perPa, shapingOf(firing, fires.body.footprint)) : null),
    [fires, firing],
  );
  const formed = useMemo(() => (step?.kind === 'fire' ? formedIn(doc, step, shelves) : null), [doc, step, shelves]);
  // An open layer leaves room for the drawing alone: it must be in sight.
  const top = useRef<View>(null);
  useEffect(() => {
    if (selected !== null || parts.length > 0) elementOf(top)?.scrollIntoView({ block: 'start' });
  }, [selected, parts.length]);
  const chosen = selected !== null && laying && selected >= own.from && selected < own.to ? selected : null;
  const layer = chosen === null ? null : shown.layers[chosen];
  const sizes_m = glassOf(shelves, layer?.glassId)?.thicknesses_m ?? [];
  const trims = layer && chosen !== null ? trimsOf(layer, layers[chosen].thickness_m, sizes_m) : null;
  const look = (id: string): void => {
    setSelected(null);
    setParts([]);
    setAdding(null);
    setOpen(id);
    // A page that is come back to shows the same step again.
    if (!beside) router.setParams({ at: id });
  };
  const plan = (place?: number): void => router.push(planHref(piece.id, firing?.scheduleId === null && place === undefined ? { step: firing.id } : { place }));
  const plans = usePlanFiring(piece.id, shelves);
  async function calculate(again: Step): Promise<void> {
    const remarks = await plans.plan(again, piece);
    if (remarks === null) return showFault();
    router.navigate(runHref(piece.id, again.id));
  }
  const outdated = useOutdated(doc, firing, mine, shelves, piece.fired);
  const here = journey.steps[journey.at] as StripStep | undefined;
  const hand = step && step.kind !== 'fire' && (step.kind !== 'lay' || journey.at > 0) ? step : null;
  const ofForm = useFormWarnings(doc, firing, mine, shelves, piece.fired);
  const formWarning = ofForm.length > 0 ? ofForm[0] : null;
  const formNow = useFormNow(firing?.setup.form?.id, shelves);
  const wornOut = formNow?.coats.some(({ coat, release, since }) => wearOf(release, since, coat.scratched) === 'recoat') ?? false;
  // The gravest stands in full on top; the others in the row that they belong to.
  const warnings = [
    ...(here?.problem && step?.kind === 'fire'
      ? [
          <Notice key="problem" tone="warn">
            {here.problem.message}
          </Notice>,
        ]
      : []),
    ...(outdated.length > 0 && firing
      ? [
          <OutdatedNotice
            key="outdated"
            differences={outdated}
            actions={
              <Action
                title={plans.working ? WORDS.calculating : WORDS.calculateAgain}
                disabled={plans.working}
                testID="compute-again"
                onPress={() => void calculate(firing)}
              />
            }
          />,
        ]
      : []),
    ...(formWarning === null
      ? []
      : [
          <Notice key="form" tone="warn" testID="form-warning">
            {formWarning}
          </Notice>,
        ]),
    ...(here?.warnings ?? []).map((words) => (
      <Notice key={words} tone="care" testID="journey-warning">
        {words}
      </Notice>
    )),
  ];
  const isToCome = firing !== undefined && piece.fired[firing.id] === undefined;
  const setUpWarns = warnings.length > 1 || ofForm.length > 1 || (isToCome && wornOut);
  const isLow = useIsLow();
  const next = !beside && (
    <NextActBar
      piece={piece}
      firing={firing}
      schedule={mine}
      isNext={firing?.id === nextStep(doc.journey, (id) => piece.fired[id])?.id}
      isOutdated={outdated.length > 0}
      onPlan={plan}
    />
  );
  const isPlanned = shown.layers.length > 0 && !shown.casting && !item;
  const inStep = laying ? partsIn(laying) : [];
  const show = (next: BodyView): void => {
    setSelected(null);
    setParts([]);
    setView(next);
  };
  const isEditable = laying !== undefined && shown.layers.length > 0 && !item;
  return (
    <Screen
      title={layup.name}
      subtitle={`${footprintWords(doc.footprint, units.length)}${doc.dammed ? PIECE_PANE.dammed : ''} · ${layersWords(all.length)}`}
      back={back}
      plain={beside}
      padded={false}
      actions={
        <>
          <UndoBar layup={layup} />
          {!beside && (
            <Action kind="plain" title={PIECE_PANE.more} label={PIECE_PANE.moreRenameFile(layup.name)} testID="piece-menu" onPress={() => setMenu(true)} />
          )}
        </>
      }
      footer={
        <>
          {view === 'above' && laying && inStep.some(({ id }) => parts.includes(id)) ? (
            <PartSheet layup={layup} pieceId={piece.id} step={laying} body={shown} parts={inStep} selected={parts} shelves={shelves} onSelect={setParts} />
          ) : (
            layer !== null &&
            chosen !== null && (
              <LayerSheet
                layup={layup}
                pieceId={piece.id}
                layer={layer}
                place={{ index: chosen - own.from, count: own.to - own.from }}
                name={names[chosen]}
                shelves={shelves}
                onSelect={(index) => setSelected(index === null ? null : own.from + index)}
              />
            )
          )}
          {!isLow && layer === null && !menu && next}
          {menu && <PieceMenu piece={{ ...piece, name: layup.name }} onClose={() => setMenu(false)} />}
        </>
      }
    >
      <View style={{ paddingHorizontal: space.large }}>
        {/* Beside a run sheet that is said there. */}
        <OnPaper
          isList={beside}
          pages={() =>
            paperPages(
              piecePaper(
                { ...piece, name: layup.name },
                journey.steps,
                journey.steps.findLast(({ stands }) => stands === 'done')?.drawn ?? drawn,
                shelves,
                units,
              ),
              layup.name,
            )
          }
        />
        {!beside && <QueueNotice queue={layup.queue} mine={`${layup.name}, ${footprintWords(doc.footprint, units.length)}, ${layersWords(all.length)}`} />}
        {layup.problem && <Notice tone="warn">{layup.problem.message}</Notice>}
        {another === 'yes' && !beside && <AnotherLike piece={like} onNot={() => router.setParams({ another: undefined })} />}
      </View>
      <View ref={top} />
      {isPlanned && <BodyViews value={view} onChange={(next) => show(next)} />}
      {view !== 'side' && isPlanned ? (
        <PlanPanel
          pieceId={piece.id}
          work_perPa={fires && firing && doc.journey[journey.madeBy]?.id === firing.id ? fires.work_perPa : null}
          {...{ layup, shelves, firing, layers, own, view }}
          step={laying}
          body={shown}
          selected={parts}
          onSelect={setParts}
        />
      ) : (
        <MeasuredWidth height={DRAWING_HEIGHT}>
          {(width) =>
            isEditable ? (
              <SectionEditor
                footprint={shown.footprint}
                layers={layers}
                own={own}
                names={names.map((name, i) => `${name}, ${layers[i].name}`)}
                ghost={ghost}
                marks={fit?.marks ?? []}
                selected={chosen}
                trims={trims}
                onTrim={(trim, value, what) => layup.edit(changeLayer(doc, trim.layer(value)), `${what} ${trim.layer(value).id}`)}
                width={width}
                height={DRAWING_HEIGHT}
                onAdd={() => setAdding(adding === 'layer' ? null : 'layer')}
                onSelect={setSelected}
                onMove={(from, to) => {
                  layup.edit(moveLayer(doc, shown.layers[from].id, to - own.from));
                  if (selected === from) setSelected(Math.min(Math.max(to, own.from), own.to - 1));
                }}
                onTurn={(index) => layup.edit(turnLayer(doc, shown.layers[index].id, facesDiffer(shelves, shown.layers[index].glassId)))}
                onRemove={(index) => {
                  layup.edit(removeLayer(doc, shown.layers[index].id));
                  setSelected(null);
                }}
              />
            ) : formed ? (
              <StepInForm formed={formed} height={DRAWING_HEIGHT} />
            ) : (
              <SectionDrawing
                footprint={item ? { shape: 'rectangle', width_m: item.wide_m, length_m: item.long_m } : drawn.footprint}
                layers={item ? [drawnEmptyItem(item)] : drawn.layers}
                bent={item ? null : drawn.bent}
                ran={item ? null : drawn.ran}
                ghost={step?.kind === 'fire' && ghost && !item ? { shape: ghost, words: PIECE_PANE.dashedAfterFiring } : null}
                dashed={PIECE_PANE.afterFiring}
                width={width}
                height={DRAWING_HEIGHT}
              />
            )
          }
        </MeasuredWidth>
      )}
      <View style={{ paddingVertical: space.small }}>
        <JourneyStrip steps={journey.steps} chosen={step?.id ?? null} onChoose={look} onAdd={() => setAdding(adding === 'step' ? null : 'step')} />
      </View>
      <View style={{ paddingHorizontal: space.large, paddingVertical: space.hair }}>
        {adding === 'step' && (
          <AddStep
            layup={layup}
            place={journey.at + 1}
            left={leftBefore(doc, piece.turns, journey, shelves)}
            glassId={shown.layers.at(-1)?.glassId ?? shelves.glasses[0]?.id ?? ''}
            onAdded={look}
            onFire={() => {
              setAdding(null);
              plan(journey.at + 1);
            }}
          />
        )}
        {(!isEditable && laying) || all.length === 0 ? (
          <Action
            kind="plain"
            title="+ Layer"
            label={PIECE_PANE.layerOfGlass}
            testID="add-layer"
            onPress={() => setAdding(adding === 'layer' ? null : 'layer')}
          />
        ) : null}
        {adding === 'layer' && (
          <AddLayer
            layup={layup}
            shelves={shelves}
            stepId={laying?.id}
            onAdded={() => {
              setAdding(null);
              setSelected(own.to);
            }}
          />
        )}
      </View>
      <View style={{ paddingHorizontal: space.large, gap: space.small }}>
        {warnings[0]}
        {all.length === 0 ? (
          <Words testID="no-glass">{PIECE_PANE.noGlassShelf}</Words>
        ) : (
          hasGlass && <BodyFigures body={shown} next={firing} work_perPa={fires?.work_perPa ?? null} shelves={shelves} />
        )}
      </View>
      <View style={{ paddingTop: space.small }}>
        {isLow && next}
        {hand && (
          <Fold
            key={hand.id}
            title={`${journey.at + 1} ${stepName(hand)}`}
            about={capital(stepWords(hand, units))}
            testID="hand-step"
            opened={open === hand.id || Boolean(here?.problem)}
            warns={Boolean(here?.problem)}
          >
            {() => (
              <HandStep
                key={hand.id}
                layup={layup}
                pieceId={piece.id}
                shelves={shelves}
                after={{ ...journey.steps[journey.at], step: hand }}
                isDone={here?.stands === 'done'}
              />
            )}
          </Fold>
        )}
        {hasGlass && laying && (
          <LayRows
            {...{ layup, shelves, fit, layers, names, own, body: shown, selected: chosen, onSelect: setSelected }}
            first={journey.at === 0 && step?.kind === 'lay' ? step : null}
          />
        )}
        {firing && (
          <Fold
            title={PIECE_PANE.setUp}
            about={[LOOK_NAMES[firing.look].toLowerCase(), standsAs(firing, shelves), shelves.kilns.find(({ id }) => id === firing.kilnId)?.name]
              .filter(Boolean)
              .join(', ')}
            testID="set-up"
            opened={stuck === 'yes' || anneal === 'yes' || setUpWarns || plans.problem !== null}
            warns={setUpWarns}
          >
            {() => (
              <>
                {warnings.slice(1)}
                <FiringSetUp
                  key={firing.id}
                  {...{ layup, piece, shelves }}
                  step={firing}
                  beside={stepId === firing.id}
                  isOutdated={outdated.length > 0}
                  above={formWarning}
                  isDrawn={formed !== null && !isEditable && view === 'side'}
                  problem={plans.problem}
                  onOpen={look}
                />
              </>
            )}
          </Fold>
        )}
        {hasGlass && <HistoryRows {...{ layup, piece, shelves, journey, firing, beside }} />}
      </View>
    </Screen>
  );
}
