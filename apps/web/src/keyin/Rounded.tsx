/** What the controller's rounding changes: what is keyed otherwise than planned, and what that does to the glass. */
import { type Controller, keyIn, segmentsKeyed } from '@torvin/core/controller';
import { brokenOf, consequences, segmentDifferences } from '@torvin/core/schedule';
import type { Schedule } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { useComputed } from '@/engine/useComputed';
import { Notice } from '@/ui/Notice';
import { SideBySide } from '@/ui/SideBySide';
import { ROUNDED } from './words';
import { WORDS } from '@/ui/said';

/** Less than this is below what anybody keys or plans. */
const SAME = { rate: 0.01, target_K: 0.6, hold_s: 30 } as const;

export function Rounded({ schedule, controller }: { schedule: Schedule; controller: Controller }) {
  const units = useUnits();
  const { firing } = schedule.snapshot;
  const keyed = segmentsKeyed(schedule.segments, keyIn(schedule.segments, controller), controller);
  const differs = keyed.some((one, i) => {
    const planned = schedule.segments[i];
    const rate = one.rate_C_per_h !== null && planned.rate_C_per_h !== null ? Math.abs(one.rate_C_per_h / planned.rate_C_per_h - 1) : 0;
    return rate > SAME.rate || Math.abs(one.target_C - planned.target_C) > SAME.target_K || Math.abs(one.hold_s - planned.hold_s) > SAME.hold_s;
  });
  const { value } = useComputed('evaluate', differs ? { firing, segments: keyed } : null);
  if (!differs || !value) return null;
  const worse = brokenOf(value.readings).length > brokenOf(schedule.result.readings).length;
  const changes = consequences({ firing, evaluation: schedule.result }, { firing, evaluation: value }, units).filter((one) => one.differs);
  return (
    <View testID="rounded">
      <Notice tone={worse ? 'warn' : 'plain'}>
        {ROUNDED.thisControllerRounds(segmentDifferences(schedule.segments, keyed, controller.unit).join(' '), worse, changes.length)}
      </Notice>
      {changes.length > 0 && <SideBySide heads={[WORDS.asPlanned, ROUNDED.asKeyed]} rows={changes} testID="rounded-changes" />}
    </View>
  );
}
