/** What a load is for each of its pieces, in sentences. */
import type { Content } from '../fit/reactions';
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

/** Metals that leave glass as vapour and settle on what is beside it. */
const FUMING = ['silver', 'lead'] as const satisfies readonly Content[];
/** From about here on they do, °C. */
const FUMES_FROM_C = 700;

/** What fumes beside glass that has none of it. */
export function fumeSays(entries: readonly Pick<LoadEntry, 'contents'>[], i: number, hottest_C: number): string[] {
  const own = FUMING.filter((metal) => entries[i].contents?.includes(metal) && entries.some(({ contents = [] }) => !contents.includes(metal)));
  if (hottest_C < FUMES_FROM_C || own.length === 0) return [];
  const called = own.join(' and ');
  return [`Its ${called} may fume and stain clear glass beside it. Lay it apart, or fire it by itself.`];
}

function heatSentence(hotter_K: number, { temperature }: Units): string {
  const by = text(formatDifference(Math.abs(hotter_K), temperature));
  return `The working hold is about ${by} too ${hotter_K > 0 ? 'cool' : 'hot'} for it.`;
}

/** No estimate is told closer, s. */
const QUARTER_S = 900;
const toQuarter = (seconds: number): number => Math.round(seconds / QUARTER_S) * QUARTER_S;
