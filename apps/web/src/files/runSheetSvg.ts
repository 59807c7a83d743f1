/**
 * The run sheet as one A4 page (and within Letter): black on white, figures 11 pt and more, no navigation. One drawing for
 * paper and for the SVG file. Lengths in points.
 */
import {
  PURPOSES,
  ROLE_NAMES,
  type Series,
  type TemperatureUnit,
  type Units,
  formatDuration,
  formatRate,
  formatTemperature,
  readingPhrase,
  text,
  whyOf,
} from '@torvin/core';
import type { Piece, Schedule } from '@torvin/schema';
import { format } from 'date-fns/format';
import { readingFor } from '@/runsheet/readingFor';
import { pathOf } from '@/runsheet/curve';
import { levelMarks, timeTicks, trueTimeAxes } from '@/runsheet/trueTime';
import { clockAfter, clockShort } from '@/ui/clock';

export interface RunSheetPage {
  piece: Piece;
  schedule: Schedule;
  /** From the engine, with the temperatures over time. */
  series: Series | undefined;
  units: Units;
  start: Date;
  /** How what lies there now differs from what it was made from. */
  differences?: readonly string[];
}

/** A4's width and Letter's height, less nothing: the margins are inside. */
export const PAGE = { width: 595, height: 792 } as const;
const MARGIN = 36;
const CHART_HEIGHT = 170;
const HEAD = 96;

const escaped = (words: string): string => words.replace(/[&<>"]/g, (mark) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[mark] ?? mark);

interface Style {
  size?: number;
  bold?: boolean;
  anchor?: 'start' | 'middle' | 'end';
}

const words = (x: number, y: number, content: string, { size = 11, bold = false, anchor = 'start' }: Style = {}): string =>
  `<text x="${x.toFixed(1)}" y="${y.toFixed(1)}" font-size="${size}"${bold ? ' font-weight="bold"' : ''} text-anchor="${anchor}">${escaped(content)}</text>`;

/** Letters on a line of bold words across the page, on the safe side. */
const WARNING_LINE = 84;

/** Broken into lines at its spaces. */
function wrapped(content: string, most: number): string[] {
  return content
    .split(' ')
    .filter(Boolean)
    .reduce<string[]>((lines, word) => {
      const last = lines.at(-1);
      if (last === undefined || last.length + 1 + word.length > most) return [...lines, word];
      return [...lines.slice(0, -1), `${last} ${word}`];
    }, []);
}

const rule = (y: number, weight = 0.5): string =>
  `<line x1="${MARGIN}" x2="${PAGE.width - MARGIN}" y1="${y}" y2="${y}" stroke="black" stroke-width="${weight}"/>`;

export function runSheetSvg({ piece, schedule, series, units, start, differences = [] }: RunSheetPage): string {
  const { segments, result, snapshot } = schedule;
  // Who stands at the kiln reads it off the paper into the controller: it speaks the controller's unit.
  const { controller } = snapshot;
  const unit = controller.unit;
  const { firing } = snapshot;
  const ends = result.simulation.segments.map(({ end_s }) => end_s);
  const tableTop = HEAD + CHART_HEIGHT + 34;
  const warning = wrapped(differences.length === 0 ? '' : `Out of date, fired as it is. ${differences.join(' ')}`, WARNING_LINE);
  const room = PAGE.height - MARGIN - 26 - tableTop - 14 * warning.length;
  const rowHeight = Math.min(44, room / segments.length);
  const columns = { number: MARGIN, clock: 58, name: 118, rate: 310, target: 400, hold: PAGE.width - MARGIN };
  const rows = segments.flatMap((segment, i) => {
    const y = tableTop + i * rowHeight;
    const reading = readingFor(result.readings, i);
    const says = reading ? `${reading.ok ? '' : 'BROKEN: '}${readingPhrase(reading, { ...units, temperature: unit })}` : whyOf(firing, segment, units.length);
    return [
      rule(y),
      words(columns.number, y + 16, String(i + 1), { bold: true, size: 13 }),
      words(columns.clock, y + 16, clockShort(start, i === 0 ? 0 : (ends[i - 1] ?? 0))),
      words(columns.name, y + 16, ROLE_NAMES[segment.role], { bold: true, size: 12 }),
      ...(rowHeight >= 32 ? [words(columns.name, y + 29, says)] : []),
      words(columns.rate, y + 16, text(formatRate(segment.rate_C_per_h, unit)), { size: 13, anchor: 'end' }),
      words(columns.target, y + 16, text(formatTemperature(segment.target_C, unit)), { size: 16, bold: true, anchor: 'end' }),
      words(columns.hold, y + 16, segment.hold_s > 0 ? `hold ${text(formatDuration(segment.hold_s))}` : 'no hold', { size: 13, anchor: 'end' }),
    ];
  });
  const version = schedule.name || `${schedule.origin === 'computed' ? 'computed' : 'changed by hand'} ${format(schedule.createdAt, 'd MMM yyyy, HH:mm')}`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${PAGE.width}pt" height="${PAGE.height}pt" viewBox="0 0 ${PAGE.width} ${PAGE.height}" font-family="sans-serif" fill="black">`,
    `<title>${escaped(`${piece.name}, ${PURPOSES[firing.look].name}`)}</title>`,
    `<rect width="${PAGE.width}" height="${PAGE.height}" fill="white"/>`,
    words(MARGIN, MARGIN + 18, piece.name, { size: 20, bold: true }),
    words(
      MARGIN,
      MARGIN + 36,
      `${PURPOSES[firing.look].name} in ${snapshot.kilnName}, ${snapshot.familyName}. Figures in °${unit}, as ${controller.name} counts.`,
      { size: 12 },
    ),
    words(
      MARGIN,
      MARGIN + 52,
      `Starts ${format(start, 'd MMM yyyy, HH:mm')}; ${text(formatDuration(result.simulation.total_s))} in all; open at ${clockAfter(start, result.simulation.total_s)}.`,
      {
        size: 12,
      },
    ),
    chart({ series, top_C: firing.kiln.top_C, total_s: result.simulation.total_s, unit, start }),
    words(columns.clock, tableTop - 6, 'clock'),
    words(columns.rate, tableTop - 6, 'rate', { anchor: 'end' }),
    words(columns.target, tableTop - 6, 'target', { anchor: 'end' }),
    words(columns.hold, tableTop - 6, 'hold', { anchor: 'end' }),
    ...rows,
    rule(tableTop + segments.length * rowHeight),
    ...warning.map((line, i) => words(MARGIN, PAGE.height - MARGIN - 12 - 14 * (warning.length - 1 - i), line, { bold: true })),
    words(MARGIN, PAGE.height - MARGIN + 4, `${piece.name} · ${version}`),
    words(PAGE.width - MARGIN, PAGE.height - MARGIN + 4, 'Power off before reaching in. Stress is an estimate.', { anchor: 'end' }),
    '</svg>',
  ].join('\n');
}

interface ChartOf {
  series: Series | undefined;
  top_C: number;
  total_s: number;
  unit: TemperatureUnit;
  start: Date;
}

function chart({ series, top_C, total_s, unit, start }: ChartOf): string {
  const axes = trueTimeAxes(PAGE.width - 2 * MARGIN, CHART_HEIGHT, total_s, top_C);
  const line = (values: readonly number[], style: string): string =>
    `<path d="${pathOf(values.map((value, i) => ({ x: axes.x(series?.t_s[i] ?? 0), y: axes.y(value) })))}" fill="none" stroke="black" ${style}/>`;
  const levels = levelMarks(axes, unit);
  return [
    `<g transform="translate(${MARGIN} ${HEAD})">`,
    ...levels.map(
      (level) =>
        `<line x1="${axes.left}" x2="${axes.right}" y1="${axes.y(level).toFixed(1)}" y2="${axes.y(level).toFixed(1)}" stroke="#999" stroke-width="0.4"/>`,
    ),
    ...levels.map((level) => words(axes.left - 6, axes.y(level) + 4, text(formatTemperature(level, unit)), { anchor: 'end' })),
    ...timeTicks(axes, start).map((seconds) => words(axes.x(seconds), axes.bottom + 16, clockShort(start, seconds).slice(-5), { anchor: 'middle' })),
    ...(series ? [line(series.kiln_C, 'stroke-width="1.6"'), line(series.core_C, 'stroke-width="0.8" stroke-dasharray="2 2"')] : []),
    '</g>',
  ].join('\n');
}
