/** What a load is for each of its pieces, in sentences. */
import type { Units } from '../units/convert';
import { formatDifference, formatDuration, text } from '../units/format';
import { brokenOf } from '../schedule/reading';
import { brokenSentence } from '../schedule/words';
import type { LoadedEntry } from './compose';
import type { LoadEntry } from './entry';

/** Less than this share of a load's time, or than this, is no gain worth a load of its own. */
const TELLS_FROM = { share: 0.05, s: 1800 };

/** Why a piece is not right in this load, and what it costs the others; none where it is at home in it. */
export function loadSays(
  { firing }: LoadEntry,
  { evaluation, hotter_K, without_s }: Pick<LoadedEntry, 'evaluation' | 'hotter_K' | 'without_s'>,
  total_s: number,
  units: Units,
): string[] {
  const byHeat = Math.abs(hotter_K) >= 1 ? [heatSentence(hotter_K, units)] : [];
  const others = brokenOf(evaluation.readings).filter(({ limit }) => byHeat.length === 0 || (limit !== 'workLeast' && limit !== 'workMost'));
  const gains =
    without_s >= TELLS_FROM.s && without_s >= TELLS_FROM.share * total_s ? [`Without it about ${text(formatDuration(toQuarter(without_s)))} less.`] : [];
  return [...byHeat, ...others.map((reading) => brokenSentence(reading, units, firing.look)), ...gains];
}

function heatSentence(hotter_K: number, { temperature }: Units): string {
  const by = text(formatDifference(Math.abs(hotter_K), temperature));
  return `The working hold is about ${by} too ${hotter_K > 0 ? 'cool' : 'hot'} for it.`;
}

/** No estimate is told closer, s. */
const QUARTER_S = 900;
const toQuarter = (seconds: number): number => Math.round(seconds / QUARTER_S) * QUARTER_S;
