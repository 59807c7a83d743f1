/** A trial to come of a test series: a piece like that of another trial, which differs from it in the one thing. */
import { hottestSegment } from '@torvin/core/heat';
import type { PurposefulSegment } from '@torvin/core/kiln';
import type { LadderFactor } from '@torvin/core/learn';
import { anotherLike, firingOf, placeOf, snapshotOf } from '@torvin/core/piece';
import { type Outcome, found, refused } from '@torvin/core/problem';
import { seenBody } from '@torvin/core/schedule';
import { type TemperatureUnit, celsiusFrom, temperatureIn } from '@torvin/core/units';
import type { FiringDetail, Piece, PieceDoc, Shelves, Snapshot, Step } from '@torvin/schema';
import { isSame } from '@/outbox/merge';
import { asRun } from './asRun';
import { SERIES } from './words';

/** Those that are planned by themselves: a sheet comes only so thick, a former only so high. */
export const PLANNED_FACTORS: readonly LadderFactor[] = ['temperature', 'hold', 'amount'];

export interface TrialPlan {
  doc: PieceDoc;
  step: Step;
  snapshot: Snapshot;
  segments: PurposefulSegment[];
}

export interface TrialOf {
  /** One of the trials, of which it differs in nothing else. */
  detail: FiringDetail;
  piece: Piece;
  shelves: Shelves;
  factor: LadderFactor;
  value: number;
  newId(): string;
}

const MINUTE_S = 60;

/** In whole degrees of its controller and whole minutes. */
function withFactor(segments: readonly PurposefulSegment[], factor: LadderFactor, value: number, unit: TemperatureUnit): PurposefulSegment[] {
  const hottest = hottestSegment(segments);
  const target_C = celsiusFrom(Math.round(temperatureIn(value, unit)), unit);
  const change = factor === 'temperature' ? { target_C } : factor === 'hold' ? { hold_s: MINUTE_S * Math.round(value / MINUTE_S) } : {};
  return segments.map((one, i) => (i === hottest ? { ...one, ...change } : one));
}

const grainsOf = (doc: PieceDoc): number =>
  doc.journey
    .flatMap((step) => (step.kind === 'lay' ? step.layers : []))
    .reduce((sum, layer) => sum + (layer.form === 'frit' || layer.form === 'powder' ? layer.perArea_kg_m2 * (layer.cover ?? 1) : 0), 0);

/** As many grains in all on its area, strewn as before. */
function withGrains(doc: PieceDoc, value_kg_m2: number): PieceDoc {
  const times = value_kg_m2 / grainsOf(doc);
  const journey = doc.journey.map((step) =>
    step.kind === 'lay'
      ? {
          ...step,
          layers: step.layers.map((layer) =>
            layer.form === 'frit' || layer.form === 'powder' ? { ...layer, perArea_kg_m2: layer.perArea_kg_m2 * times } : layer,
          ),
        }
      : step,
  );
  return { ...doc, journey };
}

export function trialPlan({ detail, piece, shelves, factor, value, newId }: TrialOf): Outcome<TrialPlan> {
  const { stepId } = detail.firing;
  const own = firingOf(piece.doc, stepId);
  if (!own) return refused('gone', '', SERIES.pieceChanged);
  const before = snapshotOf(piece.doc, own, shelves);
  if (!before.ok) return before;
  if (!isSame(seenBody(before.value.firing), seenBody(detail.schedule.snapshot.firing))) return refused('changed', '', SERIES.pieceChanged);
  const soFar = { ...piece.doc, journey: piece.doc.journey.slice(0, placeOf(piece.doc, stepId) + 1) };
  const { doc: like, repeats } = anotherLike(soFar, newId, true);
  const doc = factor === 'amount' ? withGrains(like, value) : like;
  const step = firingOf(doc, repeats.find(({ of }) => of === stepId)?.stepId);
  if (!step) return refused('gone', '', SERIES.pieceChanged);
  const snapshot = snapshotOf(doc, step, shelves);
  return snapshot.ok
    ? found({ doc, step, snapshot: snapshot.value, segments: withFactor(asRun(detail).segments, factor, value, snapshot.value.controller.unit) })
    : snapshot;
}
