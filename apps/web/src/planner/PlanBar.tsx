/** At the bottom edge of a plan: its hours and when the kiln opens, or why it cannot be and what can; and the one thing to do next. */
import { formatDuration, text } from '@torvin/core/units';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import { clockAfter } from '@/ui/clock';
import { useNow } from '@/ui/useNow';
import type { Nearest, Preview } from './planned';
import { INSTEAD, PLAN, PLAN_BAR } from './words';

export interface PlanBarProps {
  preview: Preview;
  /** Why it cannot be, or what it would undo; '' where nothing speaks against it. */
  trouble: string;
  /** What is to be typed first; '' where nothing is. */
  needs: string;
  nearest: Nearest | null;
  working: boolean;
  disabled: boolean;
  onNearest(): void;
  onPlan(): void;
}

export function PlanBar({ preview: { total_s, stale }, trouble, needs, nearest, working, disabled, onNearest, onPlan }: PlanBarProps) {
  const { colours } = useTheme();
  const now = useNow();
  return (
    <View
      role="region"
      aria-label={PLAN_BAR.plan}
      aria-busy={stale}
      testID="plan-bar"
      style={{
        paddingHorizontal: space.large,
        paddingVertical: space.small,
        backgroundColor: colours.surface,
        borderTopWidth: 1,
        borderColor: colours.line,
        gap: space.small,
      }}
    >
      {trouble !== '' && (
        <Words bold tone="warn" role="alert" testID="plan-problem">
          {trouble}
        </Words>
      )}
      {nearest && (
        <View style={{ alignItems: 'flex-start' }}>
          <Action kind="second" title={INSTEAD.takes(nearest.title, text(formatDuration(nearest.total_s)))} testID="nearest-plan" onPress={onNearest} />
        </View>
      )}
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.medium }}>
        <View style={{ flex: 1, opacity: stale ? 0.5 : 1 }} aria-live="polite">
          {needs !== '' && (
            <Words size="label" testID="plan-needs">
              {needs}
            </Words>
          )}
          {total_s !== null && (
            <>
              <Words bold testID="plan-hours">
                {text(formatDuration(total_s))}
              </Words>
              <Words size="label" tone="muted" testID="plan-opens">
                {PLAN.opensIfNow(clockAfter(new Date(now), total_s))}
              </Words>
            </>
          )}
        </View>
        <Action title={working ? PLAN.working : PLAN.see} disabled={working || disabled} testID="compute" onPress={onPlan} />
      </View>
    </View>
  );
}
