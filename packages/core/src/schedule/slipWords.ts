/** Says in words what a slip in keying is, how it came about, and what it would have done. */
import type { PanelRow } from '../controller/keyIn';
import { type Controller, profileOf, shownHold } from '../controller/profile';
import type { Slip, SlipKind } from '../controller/readBack';
import type { Look } from '../look/names';
import type { Units } from '../units/convert';
import { formatDuration, formatTemperature, text } from '../units/format';
import { brokenOf, marginOf } from './reading';
import type { JudgedSlip } from './slips';
import { brokenSentence } from './words';

const HOW: Record<Exclude<SlipKind, 'left' | 'twice' | 'unit'>, string> = {
  code: 'the figure for full speed stands where a rate should',
  noCode: 'a rate stands where the figure for full speed should',
  old: 'the older program has that there still',
  hours: 'hours and minutes are mixed up',
  swapped: 'two digits are swapped',
  dropped: 'a digit is missing',
  added: 'there is a digit too many',
  digit: 'one digit is another',
  other: 'it is another figure',
};

/** One sentence: where, what it shows, what it should, and how that comes about. */
export function slipSentence({ row, shownRow, figure, kinds }: Slip, wanted: readonly PanelRow[], shown: readonly PanelRow[], controller: Controller): string {
  const profile = profileOf(controller);
  if (row === null) return `Segment ${(shownRow ?? 0) + 1} that it shows is one too many.`;
  if (shownRow === null || figure === null) return `Segment ${row + 1} is not there: it was skipped.`;
  // In the controller's own words where the studio has written them down.
  const asks = controller[`${figure}Words`] ?? figure;
  const written = ({ rate, target, hold_min }: PanelRow): string =>
    figure === 'hold' ? shownHold(hold_min, profile.holdAs) : String(figure === 'rate' ? rate : target);
  const [kind] = kinds;
  const how = kind === 'unit' ? `that is what it is in °${profile.unit === 'C' ? 'F' : 'C'}` : kind === 'left' || kind === 'twice' ? HOW.other : HOW[kind];
  return `Segment ${row + 1}, ${asks}: it shows ${written(shown[shownRow])} for ${written(wanted[row])}; ${how}.`;
}

/** Shorter than this nobody notices, s. */
const UNNOTICED_S = 180;

/** What the firing would have come to with this slip alone. */
export function slipDoes({ evaluation, longer_s }: Pick<JudgedSlip, 'evaluation' | 'longer_s'>, units: Units, look: Look): string {
  const { simulation, readings } = evaluation;
  if (simulation.stalled) return `The kiln would get no further than ${text(formatTemperature(simulation.stalled.at_C, units.temperature))}.`;
  const [worst, ...more] = brokenOf(readings).sort((one, other) => marginOf(one) - marginOf(other));
  const time = Math.abs(longer_s) < UNNOTICED_S ? '' : ` It would take ${text(formatDuration(Math.abs(longer_s)))} ${longer_s > 0 ? 'longer' : 'less'}.`;
  if (worst)
    return `${brokenSentence(worst, units, look)}${more.length > 0 ? ` ${more.length} more ${more.length === 1 ? 'limit breaks' : 'limits break'}.` : ''}${time}`;
  return time === '' ? 'It would keep every limit, and hardly anything would show.' : `It would keep every limit.${time}`;
}
