/** What is said of two glasses that touch: the verdict, what it rests on, its margin, and the reckoning behind it. */
import { formatStress, text } from '../units/format';
import { DANGEROUS_PA, type FitGlass, LIKELY_PA, type PairFit } from './fit';

export interface FitNames {
  lower: string;
  upper: string;
}

export function fitSentence(pair: PairFit, { lower, upper }: FitNames): string {
  const both = `${upper} on ${lower}`;
  const stays = text(formatStress(pair.stress_Pa));
  if (pair.basis === 'sameGlass') return `${lower}: one glass fits itself.`;
  if (pair.contradicted) return `${both}: sold as one family, but your own strip test says otherwise. Believe the test.`;
  if (pair.basis === 'proven') return `${both}: fits, proven by its makers as one family.`;
  if (pair.basis === 'ownTest') {
    if (pair.verdict === 'fits') return `${both}: fits by your own strip test.`;
    return pair.verdict === 'fails' ? `${both}: does not fit, your own strip test cracked.` : `${both}: doubtful, your own strip test showed strain.`;
  }
  const allowed = text(formatStress(pair.verdict === 'likely' ? LIKELY_PA : DANGEROUS_PA));
  if (pair.verdict === 'likely') return `${both}: likely to fit. About ${stays} stays by estimate, up to ${allowed} is borne for good; a strip test decides.`;
  if (pair.verdict === 'doubtful') return `${both}: doubtful. About ${stays} stays by estimate, and at ${allowed} it is dangerous; make a strip test first.`;
  return `${both}: does not fit. About ${stays} would stay where ${allowed} is dangerous: it cracks, perhaps days later.`;
}

/** Rise of the middle over the ends of a strip 200 mm long, mm: κL²/8. */
const strip_mm = (bow_perM: number): number => (Math.abs(bow_perM) * 0.2 ** 2 * 1e3) / 8;

const millionths = (perK: number): string => `${(perK * 1e6).toFixed(2)}·10⁻⁶/K`;

/** The figures put in and what came of them, line by line. */
export function fitReckoning(pair: PairFit, glasses: readonly FitGlass[], { lower, upper }: FitNames): string[] {
  const [below, above] = [glasses[pair.lower], glasses[pair.upper]];
  const gap = Math.abs(pair.settingGap_C);
  return [
    `Expansion: ${upper} ${millionths(above.expansion_perK)}, ${lower} ${millionths(below.expansion_perK)}.`,
    gap < 0.5 ? 'Both set at the same temperature.' : `${pair.settingGap_C > 0 ? upper : lower} sets ${gap.toFixed(0)} °C hotter than the other.`,
    `Full model, free to bow: ${text(formatStress(pair.stress_Pa))}.`,
    ...pair.estimates.map(({ formula, stress_Pa }) => `${formula}: ${text(formatStress(stress_Pa))}.`),
    `A strip of the two would bow ${strip_mm(pair.bow_perM).toFixed(2)} mm over 200 mm.`,
  ];
}
