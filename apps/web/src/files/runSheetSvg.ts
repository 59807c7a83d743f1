/** The run sheet as one page that fits A4 and Letter. One drawing for paper and for the SVG file. */
import type { Series } from '@torvin/core/heat';
import { LOOK_NAMES } from '@torvin/core/look';
import { ROLE_NAMES, readingPhrase, whyOf, emptyFiringOf } from '@torvin/core/schedule';
import { type TemperatureUnit, type Units, formatDuration, formatRate, formatTemperature, text } from '@torvin/core/units';
import { earlierEngine, toldBy } from '@torvin/core/version';
import type { Piece, Schedule } from '@torvin/schema';
import { format } from 'date-fns/format';
import { readingFor } from '@/runsheet/readingFor';
import { pathOf } from '@/runsheet/curveLines';
import { levelMarks, timeTicks, trueTimeAxes } from '@/runsheet/trueTime';
import { clockAfter, clockShort } from '@/ui/clock';
import { MARGIN, PAGE, WARNING_LINE, pageOf, rule, words, wrapped } from '@/paper/page';
import { RUN_SHEET_SVG } from './words';
import { WORDS } from '@/ui/said';

export interface RunSheetPage {
  piece: Piece;
  schedule: Schedule;
  /** From the engine, with the temperatures over time. */
  series: Series | undefined;
  units: Units;
  start: Date;
  /** How what lies there now differs from what it was made from, and whether the person has said to fire it all the same. */
  differences?: readonly string[];
  asItIs?: boolean;
  /** What was found before, and stands against the firing. */
  standing?: readonly string[];
}

const CHART_HEIGHT = 170;
const HEAD = 96;

export function runSheetSvg({ piece, schedule, series, units, start, differences = [], asItIs = false, standing = [] }: RunSheetPage): string {
  const { segments, result, snapshot } = schedule;
  // Who stands at the kiln reads it off the paper into the controller: it speaks the controller's unit.
  const { controller } = snapshot;
  const unit = controller.unit;
  const { firing } = snapshot;
  const ends = result.simulation.segments.map(({ end_s }) => end_s);
  const tableTop = HEAD + CHART_HEIGHT + 34;
  const warning = [...(differences.length === 0 ? [] : [RUN_SHEET_SVG.outOfDate(asItIs, differences.join(' '))]), ...standing].flatMap((one) =>
    wrapped(one, WARNING_LINE),
  );
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
      words(columns.hold, y + 16, segment.hold_s > 0 ? RUN_SHEET_SVG.hold(text(formatDuration(segment.hold_s))) : RUN_SHEET_SVG.noHold, {
        size: 13,
        anchor: 'end',
      }),
    ];
  });
  const made = schedule.name || `${schedule.origin === 'computed' ? WORDS.calculated : WORDS.changedByHand} ${format(schedule.createdAt, 'd MMM yyyy, HH:mm')}`;
  const version = earlierEngine(result, snapshot) === null ? made : RUN_SHEET_SVG.engine(made, toldBy(result, snapshot));
  return pageOf(`${piece.name}, ${LOOK_NAMES[firing.look]}`, [
    words(MARGIN, MARGIN + 18, piece.name, { size: 20, bold: true }),
    words(MARGIN, MARGIN + 36, RUN_SHEET_SVG.figuresCounts(LOOK_NAMES[firing.look], snapshot.kilnName, snapshot.familyName, unit, controller.name), {
      size: 12,
    }),
    words(
      MARGIN,
      MARGIN + 52,
      RUN_SHEET_SVG.startsAllOpen(
        format(start, 'd MMM yyyy, HH:mm'),
        text(formatDuration(result.simulation.total_s)),
        clockAfter(start, result.simulation.total_s),
      ),
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
    words(PAGE.width - MARGIN, PAGE.height - MARGIN + 4, RUN_SHEET_SVG.powerOffBefore(emptyFiringOf(firing) ? '' : RUN_SHEET_SVG.stressEstimate), {
      anchor: 'end',
    }),
  ]);
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
