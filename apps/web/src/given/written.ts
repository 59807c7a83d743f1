/** What was written of a schedule that was not computed: its rows, where a fault of them stands, and what its segments are for. */
import type { PurposefulSegment, Segment } from '@torvin/core/kiln';
import type { Look } from '@torvin/core/look';
import { type PaperAs, type WrittenRow, rowsWritten } from '@torvin/core/schedule';
import type { TemperatureUnit } from '@torvin/core/units';
import type { FiringDetail } from '@torvin/schema';
import { asRun } from '@/notebook/asRun';

export const EMPTY_ROW: WrittenRow = { rate: '', target: '', hold: '' };
export const COLUMNS = ['rate', 'target', 'hold'] as const;

export interface Written {
  rows: WrittenRow[];
  as: PaperAs;
}

/** What stands there at first: the rows of the firing that is run again, or empty ones. */
export const begun = (proven: FiringDetail | null, unit: TemperatureUnit): Written => ({
  rows: proven ? rowsWritten(asRun(proven).segments, unit) : [EMPTY_ROW, EMPTY_ROW, EMPTY_ROW],
  as: { unit, rateAs: 'perHour', holdAs: 'minutes' },
});

interface FiledSegment {
  rate_C_per_h: number | null;
  target_C: number;
  hold_s: number;
}

const isFiled = (one: unknown): one is FiledSegment => {
  const { rate_C_per_h: rate, target_C: target, hold_s: hold } = (one ?? {}) as Partial<Record<keyof FiledSegment, unknown>>;
  return (rate === null || typeof rate === 'number') && typeof target === 'number' && typeof hold === 'number';
};

/** The rows of a schedule that Torvin wrote as JSON, in a studio's unit; null where the words are none. */
export function rowsOfFile(words: string, unit: TemperatureUnit): Written | null {
  if (!words.trim().startsWith('{')) return null;
  try {
    const { format, segments } = JSON.parse(words) as { format?: unknown; segments?: unknown };
    if (format !== 'torvin-schedule' || !Array.isArray(segments) || segments.length === 0 || !segments.every(isFiled)) return null;
    return { rows: rowsWritten(segments, unit), as: { unit, rateAs: 'perHour', holdAs: 'minutes' } };
  } catch {
    return null;
  }
}

export const filledIn = (rows: readonly WrittenRow[]): WrittenRow[] => rows.filter((row) => COLUMNS.some((column) => row[column].trim() !== ''));

/** Where a fault of the filled rows stands among all of them; path: 'segments.0.rate', answered as '2.rate'. */
export function placeInRows(path: string, rows: readonly WrittenRow[]): string {
  const [, at, column] = path.split('.');
  const row = at === undefined ? 0 : rows.indexOf(filledIn(rows)[Number(at)]);
  return `${row}.${column ?? 'target'}`;
}

/** What is run again is for what it was for there, as long as it has as many segments. */
export function forWhat(segments: readonly Segment[], proven: FiringDetail | null): PurposefulSegment[] | null {
  const there = proven && asRun(proven).segments;
  return there?.length === segments.length ? segments.map((segment, i) => ({ ...segment, role: there[i].role })) : null;
}

/** The firing that a schedule is judged for: the one that is asked for; else of the same look as what is run again; else the first. */
export const firingToJudge = <T extends { id: string; look: Look }>(firings: readonly T[], asked: string | undefined, look: Look | undefined): T | undefined =>
  asked === undefined ? (firings.find((one) => one.look === look) ?? firings[0]) : firings.find(({ id }) => id === asked);
