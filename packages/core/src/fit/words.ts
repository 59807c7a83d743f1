/** What is said of two glasses that touch: the verdict, what it rests on, its margin, and the reckoning behind it. */
import type { LengthUnit, Units } from '../units/convert';
import { formatDifference, formatLength, formatStress, text } from '../units/format';
import { DANGEROUS_PA, type FitGlass, LIKELY_PA, type PairFit } from './fit';

export interface FitNames {
  lower: string;
  upper: string;
  /** They lie side by side in one layer. */
  beside?: boolean;
}

/** 'Blue on Clear', 'Blue beside White'. */
export const pairWords = ({ lower, upper, beside = false }: FitNames): string => `${upper} ${beside ? 'beside' : 'on'} ${lower}`;

/** unit: of lengths; stress goes with it. */
export function fitSentence(pair: PairFit, names: FitNames, unit: LengthUnit): string {
  const both = pairWords(names);
  const stays = text(formatStress(pair.stress_Pa, unit));
  if (pair.basis === 'sameGlass') return `${names.lower}: one glass fits itself.`;
  if (pair.contradicted) return `${both}: sold as one family, but your own strip test says otherwise. Believe the test.`;
  if (pair.basis === 'proven') return `${both}: fits, proven by its makers as one family.`;
  if (pair.basis === 'ownTest') {
    if (pair.verdict === 'fits') return `${both}: fits by your own strip test.`;
    return pair.verdict === 'fails' ? `${both}: does not fit, your own strip test cracked.` : `${both}: doubtful, your own strip test showed strain.`;
  }
  if (pair.basis === 'untested') return `${both}: not known to fit. Found glass joins no other before a strip test of the two holds.`;
  const allowed = text(formatStress(pair.verdict === 'likely' ? LIKELY_PA : DANGEROUS_PA, unit));
  if (pair.verdict === 'likely') return `${both}: likely to fit. About ${stays} stays by estimate, up to ${allowed} is borne for good; a strip test decides.`;
  if (pair.verdict === 'doubtful') return `${both}: doubtful. About ${stays} stays by estimate, and at ${allowed} it is dangerous; make a strip test first.`;
  return `${both}: does not fit. About ${stays} would stay where ${allowed} is dangerous: it cracks, perhaps days later.`;
}

const STRIP_M = 0.2;
/** Rise of the middle of such a strip over its ends, m: κL²/8. */
const stripRise = (bow_perM: number): number => (Math.abs(bow_perM) * STRIP_M ** 2) / 8;

const millionths = (perK: number): string => `${(perK * 1e6).toFixed(2)}·10⁻⁶/K`;

/** The figures put in and what came of them, line by line. */
export function fitReckoning(pair: PairFit, glasses: readonly FitGlass[], { lower, upper }: FitNames, { temperature, length }: Units): string[] {
  const [below, above] = [glasses[pair.lower], glasses[pair.upper]];
  const gap = Math.abs(pair.settingGap_K);
  return [
    'Glasses fused to one body must shrink alike as they set; what shrinks more strains against the other for good.',
    `Expansion: ${upper} ${millionths(above.expansion_perK)}, ${lower} ${millionths(below.expansion_perK)}.`,
    gap < 0.5
      ? 'Both set at the same temperature.'
      : `${pair.settingGap_K > 0 ? upper : lower} sets ${text(formatDifference(gap, temperature))} hotter than the other.`,
    `Full model, free to bow: ${text(formatStress(pair.stress_Pa, length))}.`,
    ...pair.estimates.map(({ formula, stress_Pa }) => `${formula}: ${text(formatStress(stress_Pa, length))}.`),
    `A strip of the two would bow ${text(formatLength(stripRise(pair.bow_perM), length))} over ${text(formatLength(STRIP_M, length))}.`,
  ];
}
