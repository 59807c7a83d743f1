/** The run sheet as a page: live figures, rows and curve, the sheet of the chosen segment, what to do next. */
import {
  type PurposefulSegment,
  ROLE_NAMES,
  type Reading,
  type TemperatureUnit,
  brokenOf,
  brokenSentence,
  formatDuration,
  marginOf,
  readingPhrase,
  text,
  verdictOf,
} from '@torvin/core';
import type { Piece, Schedule, Shelves } from '@torvin/schema';
import { format } from 'date-fns/format';
import { parse } from 'date-fns/parse';
import { useRouter } from 'expo-router';
import { memo, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { useStudio } from '@/data/studio';
import { isOlder } from '@/piece/FiringPlan';
import { StaleChoice } from '@/piece/StaleChoice';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice, WarningSign } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { TimeInput } from '@/ui/TimeInput';
import { Words } from '@/ui/Words';
import { clockAfter, soon } from '@/ui/clock';
import { LiveFigures } from './LiveFigures';
import { RunSheet } from './RunSheet';
import { SegmentSheet } from './SegmentSheet';
import { useRunSheet } from './useRunSheet';

export interface RunSheetScreenProps {
  piece: Piece;
  schedule: Schedule;
  shelves: Shelves;
}

const TIME = 'HH:mm';

export function RunSheetScreen({ piece, schedule, shelves }: RunSheetScreenProps) {
  const { temperatureUnit: unit } = useStudio();
  const [start, setStart] = useState(() => soon(new Date()));
  const [selected, setSelected] = useState<number | null>(null);
  const sheet = useRunSheet(piece, schedule);
  const { segments, evaluation } = sheet;
  const { firing, kilnName } = schedule.snapshot;
  const opens = clockAfter(start, evaluation.simulation.total_s);
  const broken = brokenOf(evaluation.readings).sort((a, b) => marginOf(a) - marginOf(b));
  const older = isOlder(piece, shelves, schedule.snapshot);

  // The beads keep these for good; they reach what is shown now through the ref.
  const shown = useRef(sheet);
  shown.current = sheet;
  const handlers = useMemo(() => {
    const withTarget = (index: number, target_C: number): PurposefulSegment[] =>
      shown.current.segments.map((segment, i) => (i === index ? { ...segment, target_C } : segment));
    return {
      onSelect: setSelected,
      onMove: (index: number, target_C: number) => shown.current.preview(withTarget(index, target_C)),
      onRelease(index: number, target_C: number) {
        shown.current.keep(withTarget(index, target_C));
        setSelected(index);
      },
      onCancel: () => shown.current.cancel(),
    };
  }, []);
  const backToComputed = useCallback(() => shown.current.backToComputed(), []);

  useEffect(() => {
    if (selected === null) return;
    document.querySelector(`[data-testid="run-row-${selected}"]`)?.scrollIntoView({ block: 'nearest', behavior: 'auto' });
  }, [selected]);

  return (
    <Screen
      title="Full fuse"
      subtitle={
        <Words size="label" tone="muted">
          {kilnName} ·{' '}
          <Words size="label" tone="muted" testID="schedule-state">
            {sheet.changed ? (sheet.saving ? 'changed by hand, saving …' : 'changed by hand') : 'as computed'}
          </Words>{' '}
          ·{' '}
          <Words size="label" bold>
            {text(formatDuration(evaluation.simulation.total_s))}, open at {opens}
          </Words>
        </Words>
      }
      back={{ title: piece.name, href: `/pieces/${piece.id}` }}
      padded={false}
      footer={
        selected !== null && (
          <SegmentSheet
            index={selected}
            segments={segments}
            firing={firing}
            evaluation={evaluation}
            unit={unit}
            onChange={(segment) => sheet.keep(segments.map((one, i) => (i === selected ? segment : one)))}
            onClose={() => setSelected(null)}
          />
        )
      }
    >
      <Actions pieceId={piece.id} start={start} onStart={setStart} />
      <View style={{ position: 'sticky' as never, top: 0, zIndex: 3 }}>
        <LiveFigures firing={firing} evaluation={evaluation} unit={unit} opens={opens} />
        <BrokenBanner segments={segments} broken={broken} unit={unit} />
      </View>
      <View style={{ paddingHorizontal: space.large }}>
        {sheet.elsewhere && (
          <StaleChoice current={sheet.elsewhere} mine="the schedule as you see it here" onTakeTheirs={sheet.takeTheirs} onKeepMine={sheet.keepMine} />
        )}
        {sheet.problem && (
          <Notice tone="warn" actions={<Action kind="second" title="Try again" testID="try-again" onPress={sheet.retry} />}>
            {sheet.problem.message}
          </Notice>
        )}
        {older && <Notice tone="warn">The lay-up has changed since this was computed. Go back to the piece and compute again.</Notice>}
      </View>
      <RunSheet
        segments={segments}
        firing={firing}
        evaluation={evaluation}
        unit={unit}
        start={start}
        current={sheet.current}
        selected={selected}
        onBack={sheet.changed ? backToComputed : undefined}
        handlers={handlers}
      />
      <View style={{ padding: space.large, gap: space.small }}>
        {verdictOf(firing, evaluation, unit).map((sentence) => (
          <Words key={sentence}>{sentence}</Words>
        ))}
        {broken.map((reading) => (
          <Notice key={`${reading.limit}-${reading.segment}`} tone="warn">
            {ROLE_NAMES[segments[reading.segment].role]}: {brokenSentence(reading, unit, firing.look)}
          </Notice>
        ))}
        <Words size="label" tone="muted">
          Thin line: skin of the glass, dotted: its core, from the heat simulation. Pull is an estimate for a body free to bow; a look through crossed
          polarisers tells what is really there.
        </Words>
        <Notice tone="care">
          A hot kiln burns and its elements are live: power off before reaching in, face shield and gloves for a look, air the room while primer or paper burns
          out, nothing that can catch fire near by. Wiring and ventilation by licensed people under local codes.
        </Notice>
      </View>
    </Screen>
  );
}

/** Stands apart so that it rests while a bead moves. */
const Actions = memo(function Actions({ pieceId, start, onStart }: { pieceId: string; start: Date; onStart(start: Date): void }) {
  const router = useRouter();
  const setClock = (written: string): void => {
    const time = parse(written, TIME, start);
    if (!Number.isNaN(time.getTime())) onStart(time);
  };

  return (
    <View
      style={{
        flexDirection: 'row',
        flexWrap: 'wrap',
        alignItems: 'flex-end',
        gap: space.small,
        paddingHorizontal: space.large,
        paddingBottom: space.medium,
      }}
    >
      <TimeInput label="starts" kind="time" value={format(start, TIME)} onChange={setClock} testID="start-time" />
      <View style={{ flexGrow: 1, maxWidth: 220 }}>
        <Action kind="second" title="Key in" testID="open-key-in" onPress={() => router.push(`/pieces/${pieceId}/key-in`)} />
      </View>
      <View style={{ flexGrow: 1, maxWidth: 220 }}>
        <Action
          kind="second"
          title="Record"
          label="Record the firing"
          testID="open-record"
          onPress={() => router.push({ pathname: `/pieces/${pieceId}/record` as never, params: { started: String(start.getTime()) } })}
        />
      </View>
    </View>
  );
});

interface BrokenBannerProps {
  segments: PurposefulSegment[];
  broken: Reading[];
  unit: TemperatureUnit;
}

/** Names the first broken limit wherever the page is scrolled to; it lies over the rows, so that nothing jumps under a finger. */
function BrokenBanner({ segments, broken, unit }: BrokenBannerProps) {
  const { colours } = useTheme();
  const [first] = broken;
  if (!first) return null;
  return (
    <View
      testID="broken-limits"
      style={{
        position: 'absolute',
        top: '100%',
        left: 0,
        right: 0,
        flexDirection: 'row',
        alignItems: 'center',
        gap: space.small,
        paddingHorizontal: space.large,
        paddingVertical: space.hair,
        backgroundColor: colours.surface,
        borderBottomWidth: 2,
        borderColor: colours.warn,
        pointerEvents: 'none',
      }}
    >
      <WarningSign colour={colours.warn} />
      <View style={{ flex: 1 }}>
        <Words size="label" bold tone="warn" numberOfLines={1}>
          {`${ROLE_NAMES[segments[first.segment].role]}: ${readingPhrase(first, unit)}${broken.length > 1 ? `, and ${broken.length - 1} more` : ''}`}
        </Words>
      </View>
    </View>
  );
}
