/**
 * A schedule as somebody wrote it down: rows of a rate, a target and a hold in the units of the paper, or lines that were pasted. Read
 * into segments, each told what it is for by its shape, so that it is judged for a piece like any other.
 */
import type { RateKind } from '../controller/profile';
import { hottestSegment } from '../heat/regimes';
import type { PurposefulSegment, Role, Segment } from '../kiln/segment';
import { type Outcome, found, refused } from '../problem';
import { type TemperatureUnit, celsiusFrom, differenceIn, temperatureIn } from '../units/convert';
import { formatTemperature, text } from '../units/format';
import { parseDuration, parseRate, parseTemperature } from '../units/parse';
import { ROOM_C } from '../units/physical';
import type { FiringCase } from './firingCase';
import { openingTemperature } from './opening';
import { emptyFiringOf } from './emptyFiring';

export interface WrittenRow {
  rate: string;
  target: string;
  hold: string;
}

/** What a bare hold is: minutes; hours; hours and minutes with a point, 2.30. */
export const WRITTEN_HOLDS = ['minutes', 'hours', 'point'] as const;

/** What a figure means that does not say so itself. */
export interface PaperAs {
  unit: TemperatureUnit;
  rateAs: RateKind;
  holdAs: (typeof WRITTEN_HOLDS)[number];
}

export const WRITTEN_ROWS_AT_MOST = 30;

const FULL = /^(afap|asap|full( speed)?|max(imum)?|fast(est)?|as fast as possible|off)$/i;
const isFull = (cell: string): boolean => FULL.test(cell.trim());
const hasFigure = (cell: string): boolean => /\d/.test(cell);

/** One figure of a line with what stands behind it, or a word for full speed. */
const TOKEN =
  /(as fast as possible|full(?: speed)?|afap|asap|max(?:imum)?|fast(?:est)?)|(\d+(?:[.,:]\d+)?)\s*((?:°|deg(?:rees)?\.?)?\s*[cf]?\s*(?:\/|per\s|an?\s)\s*(?:h(?:r|our)?|min(?:ute)?)\b|(?:°|deg(?:rees)?\.?)\s*[cf]?(?![a-z])|[cf](?![a-z])|h(?:rs?|ours?)?(?![a-z])(?:\s*\d+\s*m(?:in)?(?![a-z]))?|min(?:utes?|s)?(?![a-z]))?/gi;
const INDEX = /^\s*(?:(?:segment|seg|step|ramp|row)\.?\s*\d{1,2}|#?\d{1,2}\s*[.):]|#\d{1,2})\s*[.):,–-]?\s*/i;

type Column = keyof WrittenRow;
const COLUMNS: readonly Column[] = ['rate', 'target', 'hold'];

function columnOf(unit: string | undefined): Column | null {
  if (unit === undefined || unit.trim() === '') return null;
  if (/\/|per|\ban?\b/i.test(unit)) return 'rate';
  return /°|deg|^\s*[cf]\s*$/i.test(unit) ? 'target' : 'hold';
}

/** 'Segment 2: 300 °F/h to 1225 °F, hold 30 min': what says what it is goes there, the rest in the order of the columns. */
function rowOfWords(line: string): WrittenRow | null {
  const row: Partial<WrittenRow> = {};
  const bare: string[] = [];
  for (const [whole, full, , unit] of line.replace(INDEX, '').matchAll(TOKEN)) {
    const column = full ? 'rate' : columnOf(unit);
    if (column !== null && row[column] === undefined) row[column] = full ? 'full' : whole.trim();
    else bare.push(whole.trim());
  }
  for (const column of COLUMNS) row[column] ??= bare.shift() ?? '';
  return row.target === '' && row.rate === '' ? null : (row as WrittenRow);
}

/** A line of a table: its number and what it is for are not its figures; an empty rate is full speed. */
function rowOfCells(cells: readonly string[], index: number): WrittenRow | null {
  const figures = cells.map((cell) => cell.trim()).filter((cell) => cell === '' || hasFigure(cell) || isFull(cell));
  const own = figures.length > COLUMNS.length && Number(figures[0]) === index + 1 ? figures.slice(1) : figures;
  if (!own.some(hasFigure)) return null;
  const [rate = '', target = '', hold = ''] = own;
  return { rate: isFull(rate) || rate === '' ? 'full' : rate, target, hold };
}

/** Rows from pasted lines, each split into its cells, or whole where nothing splits it. Lines without a figure are headings. */
export function writtenRows(lines: readonly (readonly string[])[]): WrittenRow[] {
  const rows: WrittenRow[] = [];
  for (const cells of lines) {
    if (!cells.some(hasFigure)) continue;
    // A heading of a table may have a figure in a unit's name, and no cell that is one.
    if (cells.length > 1 && !cells.some((cell) => /^\s*\d/.test(cell))) continue;
    const row = cells.length > 2 ? rowOfCells(cells, rows.length) : rowOfWords(cells.join(' '));
    if (row) rows.push(row);
  }
  return rows.slice(0, WRITTEN_ROWS_AT_MOST);
}

/** No kiln that fires glass goes hotter, °C. */
const HOTTEST_C = 1700;
const BARE = /^\d+(?:[.,]\d+)?$/;

/** Rows into segments; a problem names its row and column, as 'rows.2.target'. */
export function segmentsWritten(rows: readonly WrittenRow[], as: PaperAs): Outcome<Segment[]> {
  if (rows.length === 0) return refused('empty', 'rows', 'Write at least one row: a rate, a target, a hold.');
  const segments: Segment[] = [];
  for (const [i, row] of rows.entries()) {
    const at = (column: Column): string => `rows.${i}.${column}`;
    const target = parseTemperature(row.target, as.unit, at('target'));
    if (!target.ok) return target;
    if (target.value > HOTTEST_C || target.value < 0) {
      return refused(
        'out-of-range',
        at('target'),
        `Segment ${i + 1} goes to ${text(formatTemperature(target.value, as.unit))}: no kiln that fires glass does.`,
      );
    }
    const rate = rateWritten(row.rate, Math.abs(target.value - (segments.at(-1)?.target_C ?? ROOM_C)), as, at('rate'));
    if (!rate.ok) return rate;
    const hold = holdWritten(row.hold, as, at('hold'));
    if (!hold.ok) return hold;
    segments.push({ rate_C_per_h: rate.value, target_C: target.value, hold_s: hold.value });
  }
  return found(segments);
}

function rateWritten(typed: string, way_K: number, { unit, rateAs }: PaperAs, path: string): Outcome<number | null> {
  const clean = typed.trim();
  if (clean === '' || isFull(clean)) return found(null);
  if (rateAs === 'minutes' && !/\/|per/.test(clean)) {
    const minutes = parseDuration(clean, path);
    if (!minutes.ok) return minutes;
    return minutes.value > 0 ? found(way_K === 0 ? null : (3600 * way_K) / minutes.value) : found(null);
  }
  const rate = parseRate(rateAs === 'perMinute' && BARE.test(clean) ? `${clean}/min` : clean, unit, path, 'auto', FULL_CODE);
  if (!rate.ok || rate.value === null) return rate;
  if (rate.value === 0) return refused('out-of-range', path, 'A rate of nothing gets nowhere; leave it empty for as fast as it can.');
  // Faster than any kiln is a controller's own figure for full speed.
  return found(rate.value > FASTEST_C_PER_H ? null : rate.value);
}

/** What many papers have for full speed. */
const FULL_CODE = 9999;
const FASTEST_C_PER_H = 2500;

function holdWritten(typed: string, { holdAs }: PaperAs, path: string): Outcome<number> {
  const clean = typed.trim();
  if (clean === '') return found(0);
  if (holdAs === 'hours' && BARE.test(clean)) return parseDuration(`${clean} h`, path);
  const point = holdAs === 'point' ? /^(\d+)[.,]([0-5]\d)$/.exec(clean) : null;
  if (point) return found(3600 * Number(point[1]) + 60 * Number(point[2]));
  if (holdAs === 'point' && /^\d+$/.test(clean)) return parseDuration(`${clean} h`, path);
  return parseDuration(clean, path);
}

/** A temperature that would be the other unit's, if anything, as a question; empty where there is no doubt. */
export function unitDoubt(segments: readonly Segment[], { unit }: PaperAs): string {
  const hottest = Math.round(Math.max(...segments.map(({ target_C }) => temperatureIn(target_C, unit))));
  const asOther_C = celsiusFrom(hottest, unit === 'C' ? 'F' : 'C');
  const isFiring = (celsius: number): boolean => celsius >= 500 && celsius <= 1000;
  const hottest_C = celsiusFrom(hottest, unit);
  return !isFiring(hottest_C) && isFiring(asOther_C) ? `Its hottest is ${hottest}. Is the paper in °${unit === 'C' ? 'F' : 'C'}?` : '';
}

/** A hold on the way up, this near under the work, is a squeeze, K. */
const SQUEEZE_WITHIN_K = 250;
const SQUEEZE_LEAST_S = 300;

/** What follows the hottest segment, of glass and of a firing without any. */
const AFTER: Record<'glass' | 'ware', readonly Role[]> = { glass: ['drop', 'firstCool', 'secondCool'], ware: ['firstCool'] };

/** Each segment with what it is for, by where it stands: the hottest works, what follows it drops and soaks, then cools. */
export function withRoles(segments: readonly Segment[], firing: FiringCase): PurposefulSegment[] {
  const item = emptyFiringOf(firing) !== null;
  const hottest = Math.max(hottestSegment(segments), 0);
  // One solid has no air to let out.
  const squeezes = !item && !firing.body.joined;
  const squeeze = segments.findLastIndex(
    ({ target_C, hold_s }, i) => squeezes && i < hottest && hold_s >= SQUEEZE_LEAST_S && segments[hottest].target_C - target_C < SQUEEZE_WITHIN_K,
  );
  const after = AFTER[item ? 'ware' : 'glass'];
  return segments.map((segment, i) => {
    const last = i === segments.length - 1 && segment.rate_C_per_h === null && segment.hold_s === 0;
    const cools = last && i > hottest ? 'lastCool' : (after[i - hottest - 1] ?? 'lastCool');
    return { ...segment, role: i < hottest ? (i === squeeze ? 'squeeze' : 'warmUp') : i === hottest ? 'work' : cools };
  });
}

/** With the closed kiln at the end, where the paper stops while it is too hot to open. */
export function closedAfter(segments: readonly PurposefulSegment[], firing: FiringCase): { segments: PurposefulSegment[]; closes: boolean } {
  const open_C = Math.floor(openingTemperature(firing));
  const last = segments[segments.length - 1];
  if (last.target_C <= open_C + 1) return { segments: [...segments], closes: false };
  return { segments: [...segments, { role: 'lastCool', rate_C_per_h: null, target_C: open_C, hold_s: 0 }], closes: true };
}

/** A schedule as it would be written in a unit: what is run again can be changed by hand first. */
export const rowsWritten = (segments: readonly Segment[], unit: TemperatureUnit): WrittenRow[] =>
  segments.map(({ rate_C_per_h, target_C, hold_s }) => ({
    rate: rate_C_per_h === null ? 'full' : tidy(differenceIn(rate_C_per_h, unit)),
    target: tidy(temperatureIn(target_C, unit)),
    hold: tidy(hold_s / 60),
  }));

const tidy = (value: number): string => String(Number(value.toFixed(1)));
