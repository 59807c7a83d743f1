/** How a firing came out: short of the look, right, too far. Each has its own shape as well as its word. */
import { type Flaw, flawWords } from '@torvin/core/look';
import { type Released, RELEASED_NAMES } from '@torvin/core/release';
import { type TemperatureUnit, formatTemperature, text } from '@torvin/core/units';
import type { FiringResult, Lesson } from '@torvin/schema';
import Svg, { Line, Path } from 'react-native-svg';
import { useTheme } from '@/theme/ThemeContext';
import { RESULTS } from './said';

export const RESULT_WORDS: Record<FiringResult, string> = { short: 'short', right: 'right', past: RESULTS.tooFar };

export const resultWords = (result: FiringResult | null): string => (result === null ? RESULTS.notOpened : RESULT_WORDS[result]);

/** What was to be seen on it; stuck also where that was told of how it came off. '' where nothing was. */
export function seenWords({ seen, released }: { seen: readonly Flaw[]; released: Released | null }): string {
  const stuck: readonly Flaw[] = released === 'stuck' ? ['stuck'] : [];
  return [flawWords([...stuck, ...seen]), ...(released === 'broke' ? [RESULTS.brokeComingOff] : [])].filter((words) => words !== '').join(', ');
}

export const releasedWords = (released: Released): string => RELEASED_NAMES[released].toLowerCase();

/** A mark against a line: under it, on it, over it. */
export function ResultSign({ result }: { result: FiringResult | null }) {
  const { colours } = useTheme();
  const y = result === null ? 12 : { short: 17, right: 12, past: 7 }[result];
  return (
    <Svg width={24} height={24} viewBox="0 0 24 24" aria-hidden>
      <Line x1={2} x2={22} y1={12} y2={12} stroke={colours.muted} strokeWidth={2} strokeDasharray={result === 'right' ? undefined : '3 2'} />
      <Path d={`M12 ${y - 5} L17 ${y} L12 ${y + 5} L7 ${y} Z`} fill={result === null ? colours.ground : colours.ink} stroke={colours.ink} strokeWidth={2} />
    </Svg>
  );
}

/** By how much, to stand behind the result. */
export const byWords = ({ by }: Lesson): string => (by === null ? '' : by === 'far' ? RESULTS.byFar : RESULTS.byALittle);

/** What was said of what a firing teaches, beside its result; '' where that is all. */
export function lessonSentence({ leftOut, witness }: Lesson, unit: TemperatureUnit): string {
  const at = (celsius: number): string => text(formatTemperature(celsius, unit));
  return [...(witness ? [RESULTS.glassWhileController(at(witness.glass_C), at(witness.controller_C))] : []), ...(leftOut ? [RESULTS.leftOutWhat] : [])].join(
    ' ',
  );
}
