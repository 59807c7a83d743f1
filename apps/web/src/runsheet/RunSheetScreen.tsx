/** The run sheet as a page: live figures, rows and curve, the sheet of the chosen segment, what to do next. */
import { type PurposefulSegment, brokenOf, brokenSentence, formatDuration, text, verdictOf, ROLE_NAMES } from '@torvin/core';
import type { Piece, Schedule, Shelves } from '@torvin/schema';
import { format } from 'date-fns/format';
import { parse } from 'date-fns/parse';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useStudio } from '@/data/studio';
import { isOlder } from '@/piece/FiringPlan';
import { StaleChoice } from '@/piece/StaleChoice';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
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
  const router = useRouter();
  const { temperatureUnit: unit } = useStudio();
  const [start, setStart] = useState(() => soon(new Date()));
  const [selected, setSelected] = useState<number | null>(null);
  const sheet = useRunSheet(piece, schedule);
  const { segments, evaluation } = sheet;
  const { firing, kilnName } = schedule.snapshot;
  const opens = clockAfter(start, evaluation.simulation.total_s);
  const broken = brokenOf(evaluation.readings);
  const older = isOlder(piece, shelves, schedule.snapshot);

  const withTarget = (index: number, target_C: number): PurposefulSegment[] => segments.map((segment, i) => (i === index ? { ...segment, target_C } : segment));

  useEffect(() => {
    if (selected === null) return;
    document.querySelector(`[data-testid="run-row-${selected}"]`)?.scrollIntoView({ block: 'nearest', behavior: 'auto' });
  }, [selected]);

  const setClock = (written: string): void => {
    const time = parse(written, TIME, start);
    if (!Number.isNaN(time.getTime())) setStart(time);
  };

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
          <Action kind="second" title="Key in" testID="open-key-in" onPress={() => router.push(`/pieces/${piece.id}/key-in`)} />
        </View>
        <View style={{ flexGrow: 1, maxWidth: 220 }}>
          <Action
            kind="second"
            title="Record"
            label="Record the firing"
            testID="open-record"
            onPress={() => router.push({ pathname: `/pieces/${piece.id}/record` as never, params: { started: String(start.getTime()) } })}
          />
        </View>
      </View>
      <View style={{ position: 'sticky' as never, top: 0, zIndex: 3 }}>
        <LiveFigures firing={firing} evaluation={evaluation} unit={unit} opens={opens} />
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
        {sheet.changed && (
          <View style={{ alignItems: 'flex-end' }}>
            <Action kind="plain" title="Back to computed" testID="back-to-computed" onPress={sheet.backToComputed} />
          </View>
        )}
        <View testID="broken-limits" aria-live="polite">
          {broken.map((reading) => (
            <Notice key={`${reading.limit}-${reading.segment}`} tone="warn">
              {ROLE_NAMES[segments[reading.segment].role]}: {brokenSentence(reading, unit)}
            </Notice>
          ))}
        </View>
      </View>
      <RunSheet
        segments={segments}
        firing={firing}
        evaluation={evaluation}
        unit={unit}
        start={start}
        current={sheet.current}
        handlers={{
          selected,
          onSelect: setSelected,
          onMove: (index, target_C) => sheet.preview(withTarget(index, target_C)),
          onRelease(index, target_C) {
            sheet.keep(withTarget(index, target_C));
            setSelected(index);
          },
          onCancel: sheet.cancel,
        }}
      />
      <View style={{ padding: space.large, gap: space.small }}>
        {verdictOf(firing, evaluation, unit).map((sentence) => (
          <Words key={sentence}>{sentence}</Words>
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
