/**
 * Compares what a controller shows with what it was to be keyed with, segment by segment, and says how a slip came about: a digit
 * swapped or lost, hours for minutes, an older program's figure, the other unit, a segment left out, the code for a rate.
 */
import { type TemperatureUnit, celsiusFrom, differenceIn, kelvinFrom, temperatureIn } from '../units/convert';
import type { PanelRow } from './keyIn';
import type { FigureKind } from './panel';
import { type Controller, type Profile, profileOf, shownHold } from './profile';

export const SLIP_KINDS = ['left', 'twice', 'code', 'noCode', 'old', 'unit', 'hours', 'swapped', 'dropped', 'added', 'digit', 'other'] as const;
/**
 * left: a segment is not there; twice: one is there that should not be; code: the code for full speed stands for a rate; noCode: a rate
 * stands for the code; old: an older program's figure; unit: degrees of the other unit; hours: hours for minutes; swapped, dropped,
 * added, digit: one digit of the figure; other: none of these.
 */
export type SlipKind = (typeof SLIP_KINDS)[number];

export interface Slip {
  /** Of the segments that were to be keyed, and of those shown; null where there is none. */
  row: number | null;
  shownRow: number | null;
  /** Null where the whole segment is meant. */
  figure: FigureKind | null;
  /** All that would explain it, the likeliest first. */
  kinds: SlipKind[];
}

const FIGURES: readonly FigureKind[] = ['rate', 'target', 'hold'];
const valueIn = ({ rate, target, hold_min }: PanelRow, figure: FigureKind): number => (figure === 'rate' ? rate : figure === 'target' ? target : hold_min);

/** A segment that is left out costs as much as two wrong figures, so that two slips in one segment stay what they are. */
const GAP = 2.5;

/** older: what stood in that program before. */
export function readBack(wanted: readonly PanelRow[], shown: readonly PanelRow[], controller: Controller, older: readonly PanelRow[] = []): Slip[] {
  const profile = profileOf(controller);
  return aligned(wanted, shown).flatMap(([row, shownRow]): Slip[] => {
    if (row === null || shownRow === null) return [{ row, shownRow, figure: null, kinds: [row === null ? 'twice' : 'left'] }];
    return FIGURES.flatMap((figure): Slip[] => {
      const [should, is] = [valueIn(wanted[row], figure), valueIn(shown[shownRow], figure)];
      if (should === is) return [];
      const old = older[shownRow] && valueIn(older[shownRow], figure);
      return [{ row, shownRow, figure, kinds: explained(profile, figure, should, is, old) }];
    });
  });
}

/** Pairs of segments, in order, with the fewest figures that differ. */
function aligned(wanted: readonly PanelRow[], shown: readonly PanelRow[]): [number | null, number | null][] {
  const differing = (row: PanelRow, other: PanelRow): number => FIGURES.filter((figure) => valueIn(row, figure) !== valueIn(other, figure)).length;
  const costs: number[][] = Array.from({ length: wanted.length + 1 }, () => []);
  for (let i = wanted.length; i >= 0; i -= 1) {
    for (let j = shown.length; j >= 0; j -= 1) {
      const ends = i === wanted.length && j === shown.length;
      costs[i][j] = ends
        ? 0
        : Math.min(
            i < wanted.length && j < shown.length ? differing(wanted[i], shown[j]) + costs[i + 1][j + 1] : Infinity,
            i < wanted.length ? GAP + costs[i + 1][j] : Infinity,
            j < shown.length ? GAP + costs[i][j + 1] : Infinity,
          );
    }
  }
  const pairs: [number | null, number | null][] = [];
  for (let i = 0, j = 0; i < wanted.length || j < shown.length;) {
    const cost = costs[i][j];
    if (i < wanted.length && j < shown.length && cost === differing(wanted[i], shown[j]) + costs[i + 1][j + 1]) pairs.push([i++, j++]);
    else if (i < wanted.length && cost === GAP + costs[i + 1][j]) pairs.push([i++, null]);
    else pairs.push([null, j++]);
  }
  return pairs;
}

function explained(profile: Profile, figure: FigureKind, should: number, is: number, old: number | undefined): SlipKind[] {
  const kinds: SlipKind[] = [];
  const isCode = (value: number): boolean => value === profile.fullSpeedCode || value === profile.fullSpeedDownCode;
  if (figure === 'rate' && isCode(is) && !isCode(should)) kinds.push('code');
  if (is === old) kinds.push('old');
  if (figure !== 'hold' && isOfOtherUnit(profile, figure, should, is)) kinds.push('unit');
  if (figure === 'hold' && areHours(should, is)) kinds.push('hours');
  kinds.push(...digitSlips(...([should, is].map((value) => digitsOf(profile, figure, value)) as [string, string])));
  if (figure === 'rate' && isCode(should) && !isCode(is)) kinds.push('noCode');
  return kinds.length > 0 ? kinds : ['other'];
}

/** A degree is lost in rounding. */
const UNIT_WITHIN = 1.01;

function isOfOtherUnit({ unit, rateAs }: Profile, figure: 'rate' | 'target', should: number, is: number): boolean {
  const other: TemperatureUnit = unit === 'C' ? 'F' : 'C';
  if (figure === 'target') return Math.abs(temperatureIn(celsiusFrom(should, unit), other) - is) <= UNIT_WITHIN;
  if (rateAs === 'minutes') return false;
  return Math.abs(differenceIn(kelvinFrom(should, unit), other) - is) <= Math.min(UNIT_WITHIN, 0.1 * should);
}

/** So many hours for so many minutes or the other way about; or an hour and a half written as 130 and read as minutes, and so on. */
function areHours(should: number, is: number): boolean {
  if (should === 0 || is === 0) return false;
  const onClock = (minutes: number): number => 100 * Math.floor(minutes / 60) + (minutes % 60);
  const written = (figures: number): number | null => (figures % 100 < 60 ? 60 * Math.floor(figures / 100) + (figures % 100) : null);
  return is === 60 * should || should === 60 * is || (should >= 60 && is === onClock(should)) || (should >= 100 && is === written(should));
}

const digitsOf = ({ holdAs }: Profile, figure: FigureKind, value: number): string =>
  figure === 'hold' ? shownHold(value, holdAs).replace(/[.:]/, '') : String(value).replace('.', '');

function digitSlips(should: string, is: string): SlipKind[] {
  const trimmed = (text: string): string => text.replace(/^0+(?=\d)/, '');
  const without = (text: string, at: number): string => trimmed(text.slice(0, at) + text.slice(at + 1));
  const places = (text: string): number[] => Array.from({ length: text.length }, (_, i) => i);
  const [wanted, got] = [trimmed(should), trimmed(is)];
  const swapped = places(wanted.slice(1)).some(
    (i) => trimmed(wanted.slice(0, i) + wanted[i + 1] + wanted[i] + wanted.slice(i + 2)) === got && wanted[i] !== wanted[i + 1],
  );
  const kinds: SlipKind[] = [];
  if (swapped) kinds.push('swapped');
  if (wanted.length > 1 && places(wanted).some((i) => without(wanted, i) === got)) kinds.push('dropped');
  if (got.length > 1 && places(got).some((i) => without(got, i) === wanted)) kinds.push('added');
  if (wanted.length === got.length && places(wanted).filter((i) => wanted[i] !== got[i]).length === 1) kinds.push('digit');
  return kinds;
}

const CHOICES = 3;

/** The segment as it should be shown, and two that it might be shown as after a slip, so that one is read and not nodded at. */
export function mightShow(rows: readonly PanelRow[], index: number): PanelRow[] {
  const row = rows[index];
  const near = rows[index - 1] ?? rows[index + 1] ?? { rate: 10 * row.rate, target: row.target, hold_min: row.hold_min };
  const swappedEnd = (value: number): number => {
    const text = String(value);
    return text.length < 2 ? 10 * value : Number(text.slice(0, -2) + text[text.length - 1] + text[text.length - 2]);
  };
  const short = (value: number): number => (value >= 10 ? Math.floor(value / 10) : 10 * value + 1);
  const slips: PanelRow[] = [
    { ...row, target: swappedEnd(row.target) },
    { ...row, hold_min: row.hold_min === 0 ? near.hold_min || 10 : 60 * row.hold_min },
    { ...row, rate: near.rate },
    { ...row, target: short(row.target) },
    { ...row, hold_min: row.hold_min + 10 },
    { ...row, rate: short(row.rate) },
  ];
  // Not the same slips on every row: nobody learns where to look.
  const turned = [...slips.slice(index % slips.length), ...slips.slice(0, index % slips.length)];
  const alike = (one: PanelRow, other: PanelRow): boolean => FIGURES.every((figure) => valueIn(one, figure) === valueIn(other, figure));
  return turned.reduce<PanelRow[]>((told, one) => (told.length >= CHOICES || told.some((other) => alike(one, other)) ? told : [...told, one]), [row]);
}
