/** A body from above: the plan with its parts, or how thick it is from place to place, and what of that goes wrong later. */
import { bodyFigures, mainGlass } from '@torvin/core/body';
import { type DesignDepth, RECIPES, designDepth, LOOK_NAMES } from '@torvin/core/look';
import {
  type BodyNow,
  type DrawnLayer,
  type JourneyStep,
  type LayStep,
  type PlannedStep,
  bodyOf,
  mappedLayers,
  moveParts,
  namedGlasses,
  placeSpread,
  removeParts,
  turnParts,
} from '@torvin/core/piece';
import { type Point, concernWords, type PlanAsked, type ToldMap } from '@torvin/core/plan';
import { formatLength, text } from '@torvin/core/units';
import type { Shelves } from '@torvin/schema';
import { useMemo, useState } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useUnits } from '@/data/FormUnits';
import { useComputed } from '@/engine/useComputed';
import { PlanPicture } from '@/plan/PlanDrawing';
import { PlanEditor } from '@/plan/PlanEditor';
import { ThicknessDrawing } from '@/plan/ThicknessDrawing';
import { planGeometry } from '@/plan/geometry';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Notice } from '@/ui/Notice';
import { Option } from '@/ui/Option';
import { Words } from '@/ui/Words';
import { countWords } from '@/ui/countWords';
import { Fold } from '@/ui/Fold';
import { AddPart } from './AddPart';
import { AddMotif } from './AddMotif';
import { CutListPanel } from './CutListPanel';
import { cutRows } from './cutRows';
import { SketchSheet } from './SketchSheet';
import { behindOf, outlineBehind, plannedOf, withinOf } from './planned';
import type { Layup } from './useLayup';
import { PLAN_PANEL } from './words';
import { WORDS } from '@/ui/said';

export interface PlanPanelProps {
  layup: Layup;
  pieceId: string;
  /** What of it can be laid here; nothing where no step lays. */
  step: LayStep | undefined;
  body: BodyNow;
  layers: readonly DrawnLayer[];
  own: { from: number; to: number };
  /** The firing that comes next, and its heat work, 1/Pa; null where other work comes before it. */
  firing: PlannedStep | undefined;
  work_perPa: number | null;
  shelves: Shelves;
  view: 'above' | 'thick';
  selected: readonly string[];
  onSelect(ids: string[]): void;
}

/** Of the window's height; a drawer needs the rest. */
const MOST_SHARE = 0.42;
const MOST_PX = 460;
const KEY_REST = PLAN_PANEL.partsByKeys;

export function PlanPanel({ layup, pieceId, step, body, layers, own, firing, work_perPa, shelves, view, selected, onSelect }: PlanPanelProps) {
  const units = useUnits();
  const { height } = useWindowDimensions();
  const most = Math.min(MOST_SHARE * height, MOST_PX);
  const [adding, setAdding] = useState<'part' | 'motif' | null>(null);
  const [several, setSeveral] = useState(false);
  const [grey, setGrey] = useState(false);
  const [behind, setBehind] = useState(false);
  const [sketching, setSketching] = useState(false);
  const [places, setPlaces] = useState<Point[] | null>(null);
  const seenBehind = useMemo(() => behindOf(body, layers), [body, layers]);
  const planned = useMemo(() => plannedOf(body, layers, own, units.length), [body, layers, own, units.length]);
  const [after, setAfter] = useState(false);
  const asked = useAsked(body, own.from, firing, work_perPa, shelves);
  const { value: told, stale } = useComputed('thickness', asked);
  const nameOf = (id: string): string => planned.own.find((part) => part.id === id)?.called ?? PLAN_PANEL.aPart;
  const concerns = told?.concerns ?? [];
  const marked = concerns.flatMap((concern) => ('part' in concern ? [concern.part] : []));
  const shownMap = after && told?.after ? told.after : told;
  const { doc } = layup;
  const rest = useMemo(() => (step ? doc.journey.slice(doc.journey.findIndex(({ id }) => id === step.id) + 1) : NO_STEPS), [doc, step]);
  const cut = useMemo(() => (view === 'above' ? cutRows(body, own, firing, rest, shelves, units) : []), [view, body, own, firing, rest, shelves, units]);
  const choose = (id: string | null, add: boolean): void => {
    if (id === null) onSelect([]);
    else if (add || several) onSelect(selected.includes(id) ? selected.filter((one) => one !== id) : [...selected, id]);
    else onSelect([id]);
  };
  const chosen = selected.filter((id) => planned.own.some((part) => part.id === id));
  return (
    <View>
      <MeasuredWidth height={most}>
        {(width) =>
          view === 'above' && behind ? (
            <PlanPicture
              drawn={planGeometry(outlineBehind(body.footprint), [], width, most)}
              footprint={outlineBehind(body.footprint)}
              ground={seenBehind.ground}
              parts={seenBehind.fixed}
              grey={grey}
              unit={units.length}
              label={PLAN_PANEL.seenOtherFace}
            />
          ) : view === 'above' ? (
            <PlanEditor
              {...{ width, most, marked, grey, selected: chosen, under: doc.under ?? null }}
              places={places ?? []}
              onPlace={places ? (place) => setPlaces(places.length < 2 ? [...places, place] : [place]) : null}
              footprint={body.footprint}
              ground={planned.ground}
              fixed={planned.fixed}
              own={planned.own}
              onSelect={choose}
              onSelectAll={() => onSelect(planned.own.map(({ id }) => id))}
              onMove={(dx_m, dy_m) => step && layup.edit(moveParts(doc, step.id, chosen, dx_m, dy_m), `${KEY_REST} ${chosen.join()}`)}
              onTurn={(degrees) => step && layup.edit(turnParts(doc, step.id, chosen, degrees), `${KEY_REST} ${chosen.join()}`)}
              onRemove={() => {
                if (step) layup.edit(removeParts(doc, step.id, chosen));
                onSelect([]);
              }}
            />
          ) : told ? (
            <ThicknessDrawing {...{ width, most, stale }} told={shownMap ?? told} footprint={body.footprint} parts={[...planned.fixed, ...planned.own]} />
          ) : (
            <View style={{ height: most }} />
          )
        }
      </MeasuredWidth>
      <View style={{ paddingHorizontal: space.large, gap: space.small, paddingVertical: space.small }}>
        {view === 'above' && step && !behind && (
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small, alignItems: 'center' }}>
            {(['part', 'motif'] as const).map((what) => (
              <Action
                key={what}
                kind={adding === what ? 'main' : 'second'}
                title={what === 'part' ? '+ Part' : PLAN_PANEL.manyParts}
                label={what === 'part' ? PLAN_PANEL.partPlan : PLAN_PANEL.manyPartsOnce}
                testID={`add-${what}`}
                onPress={() => setAdding(adding === what ? null : what)}
              />
            ))}
            {planned.own.length > 1 && (
              <Action
                kind={several ? 'main' : 'second'}
                title={several ? PLAN_PANEL.several(chosen.length) : PLAN_PANEL.several2}
                label={several ? PLAN_PANEL.severalChosenChoose(chosen.length) : PLAN_PANEL.severalChooseMore}
                testID="plan-several"
                onPress={() => setSeveral(!several)}
              />
            )}
            {planned.spread.map(({ id, name, count }) => (
              <Action
                key={id}
                kind="second"
                title={PLAN_PANEL.place(name)}
                label={PLAN_PANEL.placeGivePlaces(name, count)}
                testID={`place-${id}`}
                onPress={() => layup.edit(placeSpread(doc, id, uuid))}
              />
            ))}
          </View>
        )}
        {view === 'above' && (
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }} role="group" aria-label={PLAN_PANEL.seen}>
            <Option as="pressed" small chosen={grey} title={PLAN_PANEL.inGrey} onPress={() => setGrey(!grey)} testID="plan-grey" />
            <Option
              as="pressed"
              small
              chosen={behind}
              title={PLAN_PANEL.otherFace}
              onPress={() => {
                setBehind(!behind);
                onSelect([]);
              }}
              testID="plan-behind"
            />
            {!behind && (
              <Option
                as="pressed"
                small
                chosen={sketching}
                title={PLAN_PANEL.sketch}
                onPress={() => {
                  setSketching(!sketching);
                  setPlaces(null);
                }}
                testID="plan-sketch"
              />
            )}
          </View>
        )}
        {view === 'above' && sketching && !behind && <SketchSheet layup={layup} within={withinOf(body)} places={places} onPlaces={setPlaces} />}
        {view === 'above' && adding === 'motif' && step && !behind && <AddMotif {...{ layup, pieceId, step, shelves }} onLaid={() => setAdding(null)} />}
        {view === 'above' && adding === 'part' && step && !behind && (
          <AddPart
            {...{ layup, pieceId }}
            step={step}
            body={body}
            shelves={shelves}
            onAdded={(id) => {
              setAdding(null);
              onSelect([id]);
            }}
          />
        )}
        {view === 'above' && planned.spread.length > 0 && (
          <Words size="label" tone="muted" testID="plan-spread">
            {PLAN_PANEL.dashedDrawnEvenly(planned.spread.length)}
          </Words>
        )}
        {concerns.slice(0, CONCERNS_SAID).map((concern) => (
          <Notice key={JSON.stringify(concern)} tone="care" testID="plan-concern">
            {concernWords(concern, nameOf, units.length)}
          </Notice>
        ))}
        {concerns.length > CONCERNS_SAID && (
          <Words size="label" tone="muted">
            {PLAN_PANEL.markedPlan(countWords(concerns.length - CONCERNS_SAID, ...PLAN_PANEL.moreParts))}
          </Words>
        )}
        {view === 'above' && step && cut.length > 0 && (
          <Fold
            title={WORDS.cuttingList}
            about={countWords(
              cut.reduce((sum, { ids }) => sum + ids.length, 0),
              'part',
              'parts',
            )}
            testID="cut-list"
          >
            {() => <CutListPanel rows={cut} pieceId={pieceId} stepId={step.id} />}
          </Fold>
        )}
        {view === 'thick' && told?.after && (
          <View role="radiogroup" aria-label={PLAN_PANEL.when} style={{ flexDirection: 'row', gap: space.small }}>
            <Option as="radio" small grows chosen={!after} title={PLAN_PANEL.asItIs} onPress={() => setAfter(false)} testID="thick-before" />
            <Option as="radio" small grows chosen={after} title={PLAN_PANEL.afterTheFiring} onPress={() => setAfter(true)} testID="thick-after" />
          </View>
        )}
        {view === 'thick' && shownMap && <Depths told={shownMap} isAfter={shownMap !== told} body={body} firing={firing} shelves={shelves} />}
      </View>
    </View>
  );
}

const CONCERNS_SAID = 4;
const NO_STEPS: readonly JourneyStep[] = [];

/** What the map is asked of: every layer with its places, and what the next firing does. */
function useAsked(body: BodyNow, ownFrom: number, firing: PlannedStep | undefined, work_perPa: number | null, shelves: Shelves): PlanAsked | null {
  return useMemo(() => {
    const glasses = namedGlasses(shelves);
    const densityOf = (glassId: string): number => glasses.find(({ id }) => id === glassId)?.constants.density_kg_m3 ?? 0;
    const known = body.layers.map((layer) => (densityOf(layer.glassId) > 0 ? mappedLayers(layer, densityOf(layer.glassId)) : []));
    const layers = known.flat();
    const from = known.slice(0, ownFrom).flat().length;
    if (layers.length === 0 || body.casting) return null;
    const made = bodyOf(body, glasses);
    const recipe = firing && RECIPES[firing.look];
    if (!recipe || !made.ok) return { footprint: body.footprint, layers, from };
    const { dammed, footprint } = body;
    const next = { joins: recipe.joins, flows: recipe.flows, dammed, naturalDepth_m: bodyFigures(made.value.body).afterFiring.naturalDepth_m };
    // What fills a mould or runs into a disc is no lay-up any more, and bending leaves it as thick as it was.
    const stays = recipe.joins && !recipe.fills && !recipe.puddle;
    const fired = stays && work_perPa !== null ? { glass: mainGlass(made.value.body), work_perPa, flows: recipe.flows, dammed } : null;
    return { footprint, layers, from, next, ...(fired ? { fired } : {}) };
  }, [body, ownFrom, firing, work_perPa, shelves]);
}

interface DepthsProps {
  told: ToldMap;
  isAfter: boolean;
  body: BodyNow;
  firing: PlannedStep | undefined;
  shelves: Shelves;
}

/** What its schedule is calculated from. Where the shelf stays bare no field is solved, and the whole is taken as deeper instead. */
function afterLook({ factor, relief }: DesignDepth, look: string, depth: string): string {
  if (factor <= 1.005) return PLAN_PANEL.levels(look, depth);
  return relief < 1 ? PLAN_PANEL.leavesUneven(look) : PLAN_PANEL.leavesBare(look, depth, factor.toFixed(2));
}

/** What the schedule takes from it, and why. */
function Depths({ told: { deepest, thinnest, steepest, reach }, isAfter, body, firing, shelves }: DepthsProps) {
  const { length: unit } = useUnits();
  const length = (metres: number): string => text(formatLength(metres, unit));
  const made = useMemo(() => bodyOf(body, namedGlasses(shelves)), [body, shelves]);
  if (deepest.depth_m - thinnest.depth_m < 1e-5) return <Words testID="plan-depths">{PLAN_PANEL.thickAllOver(isAfter, length(deepest.depth_m))}</Words>;
  const when = isAfter && firing ? PLAN_PANEL.afterThe(LOOK_NAMES[firing.look].toLowerCase()) : '';
  const design = made.ok && firing && !RECIPES[firing.look].empty ? designDepth(made.value.body, firing.look) : null;
  return (
    <View style={{ gap: space.hair }} testID="plan-depths">
      <Words>
        {PLAN_PANEL.whereThinnestWhere(
          length(thinnest.depth_m),
          length(deepest.depth_m),
          when,
          steepest.depth_m > 0 ? PLAN_PANEL.changesUpOne(length(steepest.depth_m)) : '',
          reach.thick_m > 0 ? PLAN_PANEL.thickGlassUp(length(reach.thick_m), length(reach.thin_m)) : '',
        )}
      </Words>
      {design && firing && !isAfter && (
        <Words size="label" tone="muted">
          {afterLook(design, LOOK_NAMES[firing.look].toLowerCase(), length(design.depth_m))}
        </Words>
      )}
    </View>
  );
}
