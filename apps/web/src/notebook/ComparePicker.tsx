/** Which firing to compare with: those of the same piece first, then those most like it, then all others, newest first. */
import type { Firing, FiringRow } from '@torvin/schema';
import { format } from 'date-fns/format';
import { View } from 'react-native';
import { useFirings, useNearest } from '@/data/firings';
import { readOn } from '@/data/longList';
import { LinkRow } from '@/ui/LinkRow';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { ListScreen } from '@/ui/ListScreen';
import { type Back } from '@/ui/Screen';
import { scaled } from '@/theme/theme';
import { Words } from '@/ui/Words';
import { inZone } from '@/ui/clock';
import { useSoon } from '@/ui/useSoon';
import { ResultSign, resultWords } from '@/ui/results';
import { COMPARE_PICKER } from './words';

const ROW_HEIGHT = scaled(64);

/** chosen: those that are beside it already; to: which page they are chosen for. */
export function ComparePicker({ firing, chosen = [], to = 'compare' }: { firing: Firing; chosen?: readonly string[]; to?: 'compare' | 'series' }) {
  const own = useFirings({ piece: firing.pieceId });
  const all = useFirings({});
  const nearest = useNearest(firing.id);
  const soon = useSoon();
  const back: Back = { title: firing.pieceName, href: `/notebook/${firing.id}` };
  if (!own.data || !all.data) return <Waiting query={all} title={COMPARE_PICKER.compareWith} back={back} />;
  const others = (pages: typeof all.data.pages): FiringRow[] =>
    pages.flatMap(({ firings }) => firings).filter(({ id }) => id !== firing.id && !chosen.includes(id));
  const mine = others(own.data.pages);
  const like = (nearest ?? []).filter(({ id, pieceId }) => pieceId !== firing.pieceId && !chosen.includes(id));
  const alike = new Set(like.map(({ id }) => id));
  const rows = [...mine, ...like, ...others(all.data.pages).filter(({ id, pieceId }) => pieceId !== firing.pieceId && !alike.has(id))];
  return (
    <ListScreen
      title={COMPARE_PICKER.compareWith}
      back={back}
      items={soon ? rows : []}
      keyOf={({ id }) => id}
      rowHeight={ROW_HEIGHT}
      onNearEnd={() => readOn(all)}
      before={rows.length === 0 && <Notice tone="plain">{COMPARE_PICKER.noOtherFiring}</Notice>}
      renderItem={(other) => (
        <LinkRow href={`/notebook/${firing.id}/${to}?with=${[...chosen, other.id].join(',')}`} replace height={ROW_HEIGHT} listed={false} testID="compare-with">
          <ResultSign result={other.result} />
          <View style={{ flex: 1 }}>
            <Words bold numberOfLines={1}>
              {other.pieceName}
            </Words>
            <Words size="label" tone="muted" numberOfLines={1}>
              {`${format(inZone(other.firedAt, other.zone), 'd MMM yyyy')} · ${resultWords(other.result)}${alike.has(other.id) ? COMPARE_PICKER.like : ''}`}
            </Words>
          </View>
        </LinkRow>
      )}
    />
  );
}
