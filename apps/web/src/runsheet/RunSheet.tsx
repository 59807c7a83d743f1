/**
 * The schedule as one object: time runs down, temperature to the right. Each row has its figures at the left and
 * its stretch of the curve at the right; time is not to scale, the clock stands at each joint.
 */
import { glassStates, stateAt } from '@torvin/core/glass';
import type { Series } from '@torvin/core/heat';
import type { PurposefulSegment } from '@torvin/core/kiln';
import { type Evaluation, type FiringCase, ROLE_NAMES, glassOf, readingPhrase, whyOf, emptyFiringOf } from '@torvin/core/schedule';
import { type TemperatureUnit, formatDuration, text } from '@torvin/core/units';
import { memo, useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, scaled, space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { HiddenTable } from '@/ui/HiddenTable';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Words } from '@/ui/Words';
import { clockShort } from '@/ui/clock';
import { useCalm } from '@/ui/useCalm';
import { Bead, type BeadHandlers } from './Bead';
import { Curve } from './Curve';
import { CURVE_HEADS, jointRows } from './jointTable';
import { type Live, STILL } from './live';
import { RunRow } from './RunRow';
import { readingFor } from './readingFor';
import { type ColumnBand, bandAt, columnBands, columnWords } from './columns';
import { curveRows } from './curveLines';
import { temperatureScale } from './scale';
import { TimeTag } from './TimeTag';
import type { Timeline } from './timeline';
import { RUN_SHEET } from './words';

export interface RunSheetProps {
  segments: PurposefulSegment[];
  firing: FiringCase;
  evaluation: Evaluation;
  unit: TemperatureUnit;
  start: Date;
  /** Whether the evaluation is of these very segments. */
  current: boolean;
  /** The row whose figures are open. */
  selected?: number | null;
  /** Offered where the schedule differs from the computed one. Must keep its identity between renders. */
  onBack?(): void;
  /** Left out where the schedule is only shown. Must keep its identity between renders. */
  handlers?: BeadHandlers;
  live?: Live;
  /** The time that is looked at. Must keep its identity between renders. */
  timeline?: Timeline;
}

/** Where rows open, what they are for is said there. */
const ROW_HEIGHT = { opens: scaled(108), shown: scaled(132) };
const FIGURES_WIDTH = { phone: scaled(206), wide: scaled(260) };
const WIDE_FROM = 560;
/** A bead never sits nearer to the edge than half its reach. */
const EDGE = 24;
const NAMES_HEIGHT = scaled(52);
const LEAST_ABOVE_ROOM_K = 5;

const rowHeightOf = ({ handlers }: Pick<RunSheetProps, 'handlers'>): number => (handlers ? ROW_HEIGHT.opens : ROW_HEIGHT.shown);

export function RunSheet(props: RunSheetProps) {
  return <MeasuredWidth height={rowHeightOf(props) * props.segments.length}>{(width) => <RunSheetDrawn {...props} width={width} />}</MeasuredWidth>;
}

function RunSheetDrawn({
  segments,
  firing,
  evaluation,
  unit,
  start,
  current,
  selected = null,
  onBack,
  handlers,
  live = STILL,
  timeline,
  width,
}: RunSheetProps & { width: number }) {
  const units = useUnits();
  const [touched, setTouched] = useState<TouchedColumn | null>(null);
  const { top_C, ambient_C } = firing.kiln;
  const figuresWidth = width >= WIDE_FROM ? FIGURES_WIDTH.wide : FIGURES_WIDTH.phone;
  const plotWidth = width - figuresWidth;
  const scale = useMemo(() => temperatureScale(EDGE / 2, plotWidth - EDGE, top_C), [plotWidth, top_C]);
  const states = useMemo(() => (emptyFiringOf(firing) ? [] : glassStates(glassOf(firing))), [firing]);
  const bands = useMemo(() => columnBands(states, scale, top_C), [states, scale, top_C]);
  const rowHeight = rowHeightOf({ handlers });
  const rows = curveRows(segments, ambient_C, scale, rowHeight);
  const height = rowHeight * segments.length;
  const figures = evaluation.simulation.segments;
  const limits = segments.map((_, index) => {
    const reading = readingFor(evaluation.readings, index);
    return reading ? { ok: reading.ok, phrase: readingPhrase(reading, units) } : { ok: true, phrase: null };
  });
  return (
    <View>
      <ColumnNames bands={bands} figuresWidth={figuresWidth} onBack={onBack} />
      <View style={{ flexDirection: 'row', height }}>
        <View style={{ width: figuresWidth }}>
          {segments.map((segment, index) => (
            <RunRow
              key={index}
              index={index}
              segment={segment}
              live={live}
              unit={unit}
              why={`${states.length > 0 ? `${stateAt(states, segment.target_C).name} · ` : ''}${whyOf(firing, segment, units.length)}`}
              limit={limits[index].phrase}
              ok={limits[index].ok}
              clock={clockShort(start, index === 0 ? 0 : (figures[index - 1]?.end_s ?? 0))}
              width={figuresWidth}
              height={rowHeight}
              selected={selected === index}
              onSelect={handlers?.onSelect}
            />
          ))}
        </View>
        <View style={{ width: plotWidth, height }}>
          <Curve
            width={plotWidth}
            height={height}
            rowHeight={rowHeight}
            ambient_C={ambient_C}
            segments={segments}
            bands={bands}
            scale={scale}
            series={evaluation.simulation.series}
            current={current}
            live={live}
          />
          <ColumnTouch bands={bands} onTouch={setTouched} />
          {touched && <ColumnLabel touched={touched} unit={unit} width={width} onDone={() => setTouched(null)} />}
          {timeline && evaluation.simulation.series && <TimeTag series={evaluation.simulation.series} rows={rows} start={start} timeline={timeline} />}
          {handlers &&
            rows.map(({ bead }, index) => {
              const { hold_s, target_C, role } = segments[index];
              return (
                <Bead
                  key={index}
                  index={index}
                  live={live}
                  y={bead.y}
                  right={plotWidth - 4}
                  value_C={target_C}
                  least_C={ambient_C + LEAST_ABOVE_ROOM_K}
                  most_C={top_C}
                  scale={scale}
                  unit={unit}
                  name={ROLE_NAMES[role]}
                  detail={[hold_s > 0 ? RUN_SHEET.hold(text(formatDuration(hold_s))) : RUN_SHEET.noHold, limits[index].phrase ?? ''].filter(Boolean).join(', ')}
                  selected={selected === index}
                  handlers={handlers}
                />
              );
            })}
        </View>
      </View>
      <CurveTable series={evaluation.simulation.series} segments={segments} start={start} unit={unit} />
    </View>
  );
}

/** Follows at a screen reader's pace, so that it costs nothing while a bead moves. */
const CurveTable = memo(function CurveTable(props: { series: Series | undefined; segments: PurposefulSegment[]; start: Date; unit: TemperatureUnit }) {
  const { series, segments, start, unit } = useCalm(props);
  const rows = useMemo(() => (series ? jointRows(series, segments, start, unit) : []), [series, segments, start, unit]);
  return <HiddenTable caption={RUN_SHEET.temperaturesWhereSegments} heads={CURVE_HEADS} rows={rows} testID="curve-table" />;
});

interface ColumnNamesProps {
  bands: ReturnType<typeof columnBands>;
  figuresWidth: number;
  onBack?(): void;
}

/** A column that was touched, to be named in full, and how far down. */
interface TouchedColumn {
  band: ColumnBand;
  y: number;
}

/** A narrow column has no room for its name: a touch on it gives it, with what the glass does there. */
const ColumnTouch = memo(function ColumnTouch({ bands, onTouch }: { bands: readonly ColumnBand[]; onTouch(touched: TouchedColumn | null): void }) {
  return (
    <Pressable
      onPress={({ nativeEvent }) => {
        const { offsetX, offsetY, locationX, locationY } = nativeEvent as typeof nativeEvent & { offsetX?: number; offsetY?: number };
        const band = bandAt(bands, offsetX ?? locationX);
        onTouch(band && { band, y: offsetY ?? locationY });
      }}
      tabIndex={-1}
      aria-hidden
      testID="columns"
      style={{ position: 'absolute', left: 0, top: 0, right: 0, bottom: 0 }}
    />
  );
});

/** Beside the finger, over the rows; a touch puts it away. */
function ColumnLabel({ touched, unit, width, onDone }: { touched: TouchedColumn; unit: TemperatureUnit; width: number; onDone(): void }) {
  const { colours } = useTheme();
  return (
    <Pressable
      onPress={onDone}
      role="button"
      testID="column-label"
      style={{
        position: 'absolute',
        right: space.small,
        top: Math.max(touched.y - TARGET - space.medium, 0),
        width: Math.min(width - 2 * space.small, 300),
        minHeight: TARGET,
        justifyContent: 'center',
        paddingHorizontal: space.small,
        zIndex: 3,
        backgroundColor: colours.surface,
        borderWidth: 1,
        borderColor: colours.ink,
      }}
    >
      <Words size="label">{columnWords(touched.band, unit)}</Words>
    </Pressable>
  );
}

const ColumnNames = memo(function ColumnNames({ bands, figuresWidth, onBack }: ColumnNamesProps) {
  const { colours } = useTheme();
  return (
    <View style={{ flexDirection: 'row', height: NAMES_HEIGHT, borderBottomWidth: 1, borderColor: colours.line }}>
      <View style={{ width: figuresWidth, justifyContent: 'flex-end', paddingHorizontal: space.large, paddingBottom: onBack ? 0 : space.hair }}>
        {onBack ? (
          <View style={{ alignItems: 'flex-start', marginLeft: -space.small }}>
            <Action kind="plain" title={RUN_SHEET.backToCalculated} testID="back-to-computed" onPress={onBack} />
          </View>
        ) : (
          <Words size="note" tone="muted">
            {RUN_SHEET.targetRateHold}
          </Words>
        )}
      </View>
      <View style={{ flex: 1 }} aria-hidden>
        {bands
          .filter(({ label }) => label !== 'none')
          .map(({ name, x, width, label }) => (
            <View
              key={name}
              style={{ position: 'absolute', left: x, width, bottom: 4, height: NAMES_HEIGHT - 8, alignItems: 'center', justifyContent: 'flex-end' }}
            >
              <Words
                size="note"
                tone="muted"
                style={label === 'upright' ? ({ writingMode: 'vertical-rl', transform: [{ rotate: '180deg' }], lineHeight: 14 } as never) : undefined}
              >
                {name}
              </Words>
            </View>
          ))}
      </View>
    </View>
  );
});
