/** The line across the curve at the time that is looked at, with its clock: dragged down the sheet, or stepped by keys. */
import type { Series } from '@torvin/core/heat';
import { useCallback, useRef } from 'react';
import { View, type ViewProps } from 'react-native';
import { useTold } from '@/outside/told';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET } from '@/theme/theme';
import { Dragged, type DraggedProps } from '@/ui/Dragged';
import { Words } from '@/ui/Words';
import { clockShort } from '@/ui/clock';
import { sliderProps } from '@/ui/sliderProps';
import type { CurveRow } from './curveLines';
import { type Timeline, heightOf, jointTimes, nearest, timeOf } from './timeline';
import { TIME_TAG } from './words';

export interface TimeTagProps {
  series: Series;
  rows: readonly CurveRow[];
  start: Date;
  timeline: Timeline;
}

const TAG = { width: 56, height: 28 };
const STEP_S = 300;

/** Whether things are to keep still: then only the joints are shown. */
const keepsStill = (): boolean => window.matchMedia('(prefers-reduced-motion: reduce)').matches;

export function TimeTag({ series, rows, start, timeline }: TimeTagProps) {
  const { colours } = useTheme();
  const at_s = useTold(timeline);
  // The gesture is made once; it reaches what is shown now through this.
  const now = useRef({ series, rows, timeline });
  now.current = { series, rows, timeline };
  const from = useRef(0);
  const put = useRef((at: number) => {
    const { series: shown, timeline: line } = now.current;
    const total_s = shown.t_s[shown.t_s.length - 1];
    const within = Math.min(Math.max(at, 0), total_s);
    line.set(keepsStill() ? nearest(jointTimes(shown), within) : within);
  });
  const make = useCallback<DraggedProps['make']>(
    (Gesture) =>
      Gesture.Pan()
        .runOnJS(true)
        .onStart(() => {
          from.current = heightOf(now.current.series, now.current.rows, now.current.timeline.get() ?? 0);
        })
        .onUpdate(({ translationY }) => put.current(timeOf(now.current.series, now.current.rows, from.current + translationY))),
    [],
  );
  if (at_s === null) return null;
  const total_s = series.t_s[series.t_s.length - 1];
  const y = heightOf(series, rows, at_s);
  const joints = jointTimes(series);
  const keys = {
    onKeyDown(event: { key: string; shiftKey: boolean; preventDefault(): void }) {
      const by = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key];
      if (event.key === 'Escape') timeline.set(null);
      else if (by === undefined) return;
      else if (event.shiftKey || keepsStill()) put.current((by > 0 ? joints.find((one) => one > at_s + 1) : joints.findLast((one) => one < at_s - 1)) ?? at_s);
      else put.current(at_s + by * STEP_S);
      event.preventDefault();
    },
  } as ViewProps;
  return (
    <>
      <View style={{ position: 'absolute', left: 0, right: 0, top: y - 1, height: 2, backgroundColor: colours.touch, pointerEvents: 'none' }} />
      <Dragged make={make} touchAction="none" userSelect="none">
        <View
          {...keys}
          {...sliderProps({
            name: TIME_TAG.timeLooked,
            value: Math.round(at_s / 60),
            least: 0,
            most: Math.round(total_s / 60),
            spoken: clockShort(start, at_s),
            along: 'up',
          })}
          testID="time-tag"
          style={{
            position: 'absolute',
            // Within the curve's own column: to the left of it stand the words of the rows.
            left: 0,
            top: y - TARGET / 2,
            height: TARGET,
            minWidth: TARGET,
            justifyContent: 'center',
            zIndex: 4,
            cursor: 'ns-resize' as never,
          }}
        >
          <View style={{ width: TAG.width, height: TAG.height, backgroundColor: colours.touch, alignItems: 'center', justifyContent: 'center' }}>
            <Words size="label" bold tone="onTouch">
              {clockShort(start, at_s)}
            </Words>
          </View>
        </View>
      </Dragged>
    </>
  );
}
