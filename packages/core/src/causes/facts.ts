/** What a firing shows for or against a cause: its own figures, and what was seen on the glass. */
import type { BubbleSize, CrackCourse, CrackEdge, Flaw } from '../look/flaws';
import { hottestSegment } from '../heat/regimes';
import type { PurposefulSegment } from '../kiln/segment';
import type { FiringCase } from '../schedule/firingCase';
import { type Evaluation, type LimitName, type Reading, TOLERANCE } from '../schedule/reading';
import { resolved } from '../schedule/resolved';
import type { ResolvedFiring } from '../schedule/resolvedFiring';
import { readingPhrase } from '../schedule/words';
import type { Units } from '../units/convert';

/** A fault as it was recorded. */
export interface Fault {
  flaw: Flaw;
  /** Of bubbles. */
  size?: BubbleSize;
  /** Of a crack. */
  edge?: CrackEdge;
  course?: CrackCourse;
  /** It is near the middle of the piece. */
  middle?: boolean;
}

/** What is known beside the firing itself. */
export interface Known {
  /** At what the kiln was opened, °C. */
  opened_C?: number;
  /** How long before it was calculated to have cooled so far; negative: after that. */
  openedEarly_s?: number;
  /** Firings of the coat under it, this one among them, and how many it is good for. */
  coat?: { firings: number; most: number };
  /** The fault is on the side that faced the hot side of the kiln, or away from it. */
  towardsHot?: boolean;
  /** The tension that was read on it between crossed polarisers, Pa. */
  tensionRead_Pa?: number;
  /** It was blasted or ground before. */
  blasted?: boolean;
}

export interface CausesAsked {
  firing: FiringCase;
  /** As they ran. */
  segments: readonly PurposefulSegment[];
  evaluation: Evaluation;
  fault: Fault;
  known?: Known;
  units: Units;
}

/** What speaks for a cause and what against it, and how much likelier that makes it: a factor. */
export interface Finding {
  weight: number;
  for?: string[];
  against?: string[];
}

export type Stage = 'up' | 'down' | 'all';

export interface Facts extends Omit<CausesAsked, 'firing'> {
  firing: ResolvedFiring;
  known: Known;
  /** The reading nearest to its limit, or furthest over it. */
  worst(limit: LimitName, stage?: Stage): Reading | null;
  segment(role: PurposefulSegment['role']): PurposefulSegment | undefined;
}

/** Share of its limit that a reading uses: 1 at the limit. */
export const usedOf = ({ value, allowed, sense }: Reading): number =>
  sense === 'atMost' ? value / Math.max(allowed, 1e-12) : allowed / Math.max(value, 1e-12);

export function factsOf({ firing, known = {}, ...asked }: CausesAsked): Facts {
  const { segments, evaluation } = asked;
  const hottest = hottestSegment(segments);
  return {
    ...asked,
    known,
    firing: resolved(firing),
    worst(limit, stage = 'all') {
      const there = (at: number): boolean => stage === 'all' || (stage === 'up' ? at <= hottest : at > hottest);
      const all = evaluation.readings.filter((one) => one.limit === limit && there(one.segment));
      return all.reduce<Reading | null>((most, one) => (most && usedOf(most) >= usedOf(one) ? most : one), null);
    },
    segment: (role) => segments.find((one) => one.role === role),
  };
}

/** A schedule goes up to its limits: what is near one says little, what is far from it speaks against its cause. */
const FAR_FROM = 0.5;
/** Rounding is no broken limit. */
const OVER = 1 + TOLERANCE;

/** By how near a figure is to its limit, at what it is kept. */
export function byLimit({ units }: Pick<Facts, 'units'>, reading: Reading | null): Finding {
  if (!reading) return { weight: 1 };
  const used = usedOf(reading);
  const said = [`${capital(readingPhrase(reading, units))}.`];
  return used > OVER ? { weight: Math.min(8, 3 * used), for: said } : { weight: used < FAR_FROM ? 0.25 : 0.7, against: said };
}

const capital = (sentence: string): string => sentence.charAt(0).toUpperCase() + sentence.slice(1);
