/** Past firings, newest first. */
import { formatDuration, formatTemperature, text } from '@torvin/core';
import type { Firing } from '@torvin/schema';
import { format } from 'date-fns/format';
import { Link } from 'expo-router';
import { View } from 'react-native';
import { useFirings } from '@/data/firings';
import { useStudio } from '@/data/studio';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { ListScreen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { RESULT_WORDS, ResultSign } from './results';

export function NotebookPane({ currentId, beside = false }: { currentId?: string; beside?: boolean }) {
  const firings = useFirings();
  if (!firings.data) return <Waiting query={firings} title="Notebook" />;
  return (
    <ListScreen
      title="Notebook"
      plain={beside}
      items={firings.data}
      keyOf={({ id }) => id}
      renderItem={(firing) => <FiringRow firing={firing} current={firing.id === currentId} />}
      before={
        firings.data.length === 0 && <Notice tone="plain">Nothing fired yet: open a piece, compute its schedule, fire it, and record how it came out.</Notice>
      }
    />
  );
}

function FiringRow({ firing, current }: { firing: Firing; current: boolean }) {
  const { colours } = useTheme();
  const { temperatureUnit } = useStudio();
  return (
    <View style={{ borderTopWidth: 1, borderColor: colours.line }}>
      <Link
        href={`/notebook/${firing.id}`}
        aria-current={current ? 'page' : undefined}
        style={{ display: 'flex', textDecorationLine: 'none' }}
        testID="firing-link"
      >
        <View
          style={{
            flex: 1,
            flexDirection: 'row',
            alignItems: 'center',
            gap: space.medium,
            paddingVertical: space.medium,
            paddingHorizontal: space.large,
            minHeight: 72,
            backgroundColor: current ? colours.surface : 'transparent',
          }}
        >
          <ResultSign result={firing.result} />
          <View style={{ flex: 1 }}>
            <Words bold>{firing.pieceName}</Words>
            <Words size="label" tone="muted">
              {`${format(firing.firedAt, 'd MMM yyyy, HH:mm')} · ${firing.kilnName}`}
            </Words>
            <Words size="label" tone="muted">
              {`Full fuse, ${text(formatTemperature(firing.work_C, temperatureUnit))} for ${text(formatDuration(firing.work_s))}, ${text(formatDuration(firing.total_s))} in all`}
            </Words>
            {firing.note !== '' && (
              <Words size="label" numberOfLines={1}>
                {firing.note}
              </Words>
            )}
          </View>
          <Words bold>{RESULT_WORDS[firing.result]}</Words>
        </View>
      </Link>
    </View>
  );
}
