/** What to do with a run sheet: when it starts, key it in, start or record it. */
import { useRouter } from 'expo-router';
import { memo } from 'react';
import { View } from 'react-native';
import { runHref } from '@/ui/hrefs';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { ClockInput } from '@/ui/TimeInput';
import { RUN_ACTIONS } from './words';
import { WORDS } from '@/ui/said';

/** Stands apart so that it rests while a bead moves. */
export const RunActions = memo(function RunActions({
  pieceId,
  stepId,
  start,
  onStart,
}: {
  pieceId: string;
  stepId: string;
  start: Date;
  onStart(start: Date): void;
}) {
  const router = useRouter();
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
      <ClockInput label={RUN_ACTIONS.starts} value={start} onChange={onStart} testID="start-time" />
      <View style={{ flexGrow: 1, maxWidth: 220 }}>
        <Action kind="second" title={WORDS.keyIn} testID="open-key-in" onPress={() => router.push(runHref(pieceId, stepId, 'key-in'))} />
      </View>
      <View style={{ flexGrow: 1, maxWidth: 220 }}>
        <Action
          kind="second"
          title={RUN_ACTIONS.record}
          label={RUN_ACTIONS.recordTheFiring}
          testID="open-record"
          onPress={() => router.push(`${runHref(pieceId, stepId, 'record')}&started=${start.getTime()}`)}
        />
      </View>
    </View>
  );
});
