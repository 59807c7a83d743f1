/**
 * Whether glasses that touch fit. The strongest evidence decides: a pair proven by its makers, then the studio's own
 * strip test, then an estimate from expansion and setting point. Of found glass no estimate counts. A number alone is a clue,
 * never proof, so an estimate never says more than 'likely'. Long hot work can shift any of it.
 */
import type { GlassConstants } from '../glass/constants';
import { type Content, reactionsBetween } from './reactions';
import { type Seal, sealStress, settingGap, sharedStress, timoshenkoBow } from './seal';

export interface FitGlass extends GlassConstants {
  contents?: readonly Content[];
  /** Found glass, whose figures are taken: an estimate says nothing of it. */
  unknown?: true;
}

/** Two glasses that touch, by index, and how deep each is there, m. */
export interface Contact {
  lower: number;
  upper: number;
  lower_m?: number;
  upper_m?: number;
}

export interface Evidence {
  a: number;
  b: number;
  kind: 'proven' | 'ownTest';
  /** What was seen through crossed polarisers, or worse. */
  result: 'holds' | 'strained' | 'cracked';
}

export interface FitInput {
  glasses: readonly FitGlass[];
  contacts: readonly Contact[];
  evidence: readonly Evidence[];
}

export type Verdict = 'fits' | 'likely' | 'doubtful' | 'fails';
export type Basis = 'sameGlass' | 'proven' | 'ownTest' | 'estimate' | 'untested';

export interface PairFit {
  lower: number;
  upper: number;
  verdict: Verdict;
  basis: Basis;
  /** Tension by the full model, free to bow, and its quick estimates by formula, Pa. */
  stress_Pa: number;
  estimates: { formula: string; stress_Pa: number }[];
  /** Upper setting point less lower, K. */
  settingGap_K: number;
  bow_perM: number;
  /** The same by Timoshenko's closed form, 1/m. */
  timoshenko_perM: number;
  /** Evidence of another kind that says otherwise. */
  contradicted: boolean;
  reactions: string[];
}

export interface FitVerdict {
  /** That of the worst pair. */
  verdict: Verdict;
  basis: Basis;
  stress_Pa: number;
  settingGap_K: number;
  pairs: PairFit[];
}

const USUAL_DEPTH_M = 0.003;
/** Tension that a seal bears for good: half of where it becomes dangerous; and where it is. */
export const LIKELY_PA = 3.5e6;
export const DANGEROUS_PA = 7e6;
const ORDER: readonly Verdict[] = ['fits', 'likely', 'doubtful', 'fails'];
const SEEN: Record<Evidence['result'], Verdict> = { holds: 'fits', strained: 'doubtful', cracked: 'fails' };

const worse = (one: Verdict, other: Verdict): Verdict => (ORDER.indexOf(one) >= ORDER.indexOf(other) ? one : other);

const estimated = (stress_Pa: number): Verdict => (stress_Pa < LIKELY_PA ? 'likely' : stress_Pa < DANGEROUS_PA ? 'doubtful' : 'fails');

/** The worst result of the evidence of one kind on a pair, if there is any. */
function seen(evidence: readonly Evidence[], kind: Evidence['kind'], { lower, upper }: Contact): Verdict | null {
  const own = evidence.filter((one) => one.kind === kind && ((one.a === lower && one.b === upper) || (one.a === upper && one.b === lower)));
  return own.length === 0 ? null : own.map(({ result }) => SEEN[result]).reduce(worse);
}

function pairFit({ glasses, evidence }: FitInput, contact: Contact): PairFit {
  const { lower, upper, lower_m = USUAL_DEPTH_M, upper_m = USUAL_DEPTH_M } = contact;
  const seal: Seal = { lower: glasses[lower], upper: glasses[upper], lower_m, upper_m };
  const same = lower === upper;
  const { tension_Pa, flat_Pa, bow_perM } = same ? { tension_Pa: 0, flat_Pa: 0, bow_perM: 0 } : sealStress(seal);
  const proven = seen(evidence, 'proven', contact);
  const own = seen(evidence, 'ownTest', contact);
  const isUnknown = glasses[lower].unknown === true || glasses[upper].unknown === true;
  const verdict = same ? 'fits' : (proven ?? own ?? (isUnknown ? 'fails' : estimated(tension_Pa)));
  const basis: Basis = same ? 'sameGlass' : proven ? 'proven' : own ? 'ownTest' : isUnknown ? 'untested' : 'estimate';
  // A weaker source never overrules a stronger one, but a failure of one's own is not passed over in silence.
  const contradicted = proven === 'fits' && own !== null && own !== 'fits';
  return {
    lower,
    upper,
    verdict: contradicted ? 'doubtful' : verdict,
    basis,
    stress_Pa: tension_Pa,
    estimates: [
      { formula: 'EΔα(T−20)/(1−ν), shared by thickness, held flat', stress_Pa: same ? 0 : sharedStress(seal) },
      { formula: 'the full model held flat', stress_Pa: flat_Pa },
    ],
    settingGap_K: settingGap(seal),
    bow_perM,
    timoshenko_perM: same ? 0 : timoshenkoBow(seal),
    contradicted,
    reactions: reactionsBetween(glasses[lower].contents ?? [], glasses[upper].contents ?? []),
  };
}

export function fit(input: FitInput): FitVerdict {
  const pairs = input.contacts.map((contact) => pairFit(input, contact));
  const rank = (pair: PairFit): number => ORDER.indexOf(pair.verdict) * 1e12 + pair.stress_Pa;
  const worst = pairs.reduce((most, pair) => (rank(pair) > rank(most) ? pair : most));
  return { verdict: worst.verdict, basis: worst.basis, stress_Pa: worst.stress_Pa, settingGap_K: worst.settingGap_K, pairs };
}
