/** At the bottom edge of a piece: its firing with its hours, and the one thing to do next. */
import { LOOK_NAMES } from '@torvin/core/look';
import type { PlannedStep } from '@torvin/core/piece';
import { formatDuration, text } from '@torvin/core/units';
import type { Piece, Schedule } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useBench } from '@/data/bench';
import { usePrograms, useProgramsComing } from '@/data/programs';
import { runHref } from '@/ui/hrefs';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import { clockAfter } from '@/ui/clock';
import { useNow } from '@/ui/useNow';
import { ACT_NAMES, nextActFor } from './nextAct';
import { NEXT_ACT_BAR } from './words';

export interface NextActBarProps {
  piece: Pick<Piece, 'id' | 'fired'>;
  /** The firing that is looked at, and its schedule once that is read. */
  firing: PlannedStep | undefined;
  schedule: Schedule | undefined;
  isNext: boolean;
  isOutdated: boolean;
  onPlan(): void;
}

export function NextActBar({ piece, firing, schedule, isNext, isOutdated, onPlan }: NextActBarProps) {
  const { colours } = useTheme();
  const router = useRouter();
  const now = useNow();
  const bench = useBench();
  const programs = usePrograms();
  const isComing = [useProgramsComing(), bench.isPending && bench.fetchStatus === 'fetching' && bench.failureCount === 0].includes(true);
  const inKiln = bench.data?.inKiln.find(({ pieceId, stepId }) => pieceId === piece.id && stepId === firing?.id);
  const total_s = schedule?.result.simulation.total_s ?? null;
  const ends = inKiln && total_s !== null ? inKiln.load.at + total_s * 1000 : Infinity;
  const act = nextActFor({
    firing,
    fired: piece.fired,
    isNext,
    isOutdated,
    isKeyed: firing?.scheduleId != null && programs.some(({ scheduleId, keyedOverAt }) => scheduleId === firing.scheduleId && keyedOverAt === null),
    isOver: inKiln !== undefined && (inKiln.load.openedAt !== null || now >= ends),
  });
  const go = (): void => {
    if (!firing || act === 'plan') return onPlan();
    if (act === 'watch') return router.push('/kiln');
    if (act === 'record') return router.push(`/notebook/${inKiln?.id}/tell`);
    router.push(runHref(piece.id, firing.id, act === 'see' ? 'run' : 'key-in'));
  };
  const isStarting = act === 'keyIn' || act === 'start';
  const hours = total_s === null ? null : text(formatDuration(total_s));
  return (
    <View
      role="region"
      aria-label={NEXT_ACT_BAR.next}
      aria-busy={isComing}
      testID="next"
      style={{
        ...{ flexDirection: 'row', alignItems: 'center', gap: space.medium, paddingHorizontal: space.large, paddingVertical: space.small },
        ...{ backgroundColor: colours.surface, borderTopWidth: 1, borderColor: colours.line },
      }}
    >
      <View style={{ flex: 1 }}>
        <Words bold testID="next-firing">
          {firing ? [LOOK_NAMES[firing.look], ...(hours === null ? [] : [hours])].join(', ') : NEXT_ACT_BAR.noFiringPlanned}
        </Words>
        {schedule && (
          <Words size="label" tone="muted" numberOfLines={1} testID="next-when">
            {[schedule.snapshot.kilnName, ...(isStarting && total_s !== null ? [NEXT_ACT_BAR.opens(clockAfter(new Date(now), total_s))] : [])].join(' · ')}
          </Words>
        )}
      </View>
      <Action title={ACT_NAMES[act]} testID="next-act" onPress={go} />
    </View>
  );
}
