/** Past firings, newest first: searched by words, narrowed by result and look, a page read when it is wanted. */
import { LOOKS, PURPOSES, formatDuration, formatTemperature, text, hottestSegment } from '@torvin/core';
import type { Firing, FiringQuery } from '@torvin/schema';
import { format } from 'date-fns/format';
import { memo, useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { useFirings } from '@/data/firings';
import { useStudio } from '@/data/studio';
import { space } from '@/theme/theme';
import { Chips } from '@/ui/Chips';
import { Field } from '@/ui/Field';
import { LinkRow } from '@/ui/LinkRow';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { ListScreen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { inZone, zoneWords } from '@/ui/clock';
import { Thumbnail } from './Photos';
import { RESULT_WORDS, ResultSign, resultWords } from './results';

type Narrowed = Pick<FiringQuery, 'look' | 'result'>;

export function NotebookPane({ currentId, beside = false }: { currentId?: string; beside?: boolean }) {
  const [typed, setTyped] = useState('');
  const [narrowed, setNarrowed] = useState<Narrowed>({});
  const words = useDeferredValue(typed.trim());
  const { temperatureUnit } = useStudio();
  const firings = useFirings({ ...narrowed, ...(words === '' ? {} : { text: words }) });
  if (!firings.data) return <Waiting query={firings} title="Notebook" />;
  const rows = firings.data.pages.flatMap((page) => page.firings);
  const [{ total }] = firings.data.pages;
  const searching = words !== '' || narrowed.look !== undefined || narrowed.result !== undefined;
  return (
    <ListScreen
      title="Notebook"
      plain={beside}
      items={rows}
      keyOf={({ id }) => id}
      renderItem={(firing) => <FiringRow firing={firing} current={firing.id === currentId} unit={temperatureUnit} />}
      onNearEnd={() => void (firings.hasNextPage && !firings.isFetchingNextPage && firings.fetchNextPage())}
      before={
        <View aria-busy={firings.isPlaceholderData} style={{ paddingHorizontal: space.large, opacity: firings.isPlaceholderData ? 0.6 : 1 }}>
          <Field label="Search" value={typed} onChange={setTyped} hint="piece, note, place, kiln, glass" testID="notebook-search" />
          <Chips
            label="Came out"
            value={narrowed.result ?? null}
            options={[
              ...(['short', 'right', 'past'] as const).map((value) => ({ value, title: RESULT_WORDS[value] })),
              { value: 'open' as const, title: 'in the kiln' },
            ]}
            onChange={(result) => setNarrowed({ ...narrowed, result: result ?? undefined })}
            testID="filter-result"
          />
          <Chips
            label="Look"
            value={narrowed.look ?? null}
            options={LOOKS.map((look) => ({ value: look, title: PURPOSES[look].name }))}
            onChange={(look) => setNarrowed({ ...narrowed, look: look ?? undefined })}
            testID="filter-look"
          />
          <Words size="label" tone="muted" aria-live="polite" testID="notebook-count">
            {`${total} ${total === 1 ? 'firing' : 'firings'}${searching ? ' found' : ''}`}
          </Words>
          {total === 0 && (
            <Notice tone="plain">
              {searching
                ? 'Nothing of that kind: take a word or a mark away.'
                : 'Nothing fired yet: open a piece, compute its schedule, fire it, and record how it came out.'}
            </Notice>
          )}
        </View>
      }
    />
  );
}

/** Every row is as tall as this, so that a long list knows where its rows are. */
const FIRING_ROW_HEIGHT = 104;

const FiringRow = memo(function FiringRow({ firing, current, unit }: { firing: Firing; current: boolean; unit: 'C' | 'F' }) {
  // What really ran, where that was told.
  const work = firing.asFired ? firing.asFired[hottestSegment(firing.asFired)] : { target_C: firing.work_C, hold_s: firing.work_s };
  return (
    <LinkRow href={`/notebook/${firing.id}`} current={current} height={FIRING_ROW_HEIGHT} listed={false} testID="firing-link">
      <ResultSign result={firing.result} />
      <View style={{ flex: 1 }}>
        <Words bold numberOfLines={1}>
          {firing.pieceName}
        </Words>
        <Words size="label" tone="muted" numberOfLines={1}>
          {`${format(inZone(firing.firedAt, firing.zone), 'd MMM yyyy, HH:mm')}${zoneWords(firing.firedAt, firing.zone)} · ${firing.kilnName}${firing.place ? `, ${firing.place}` : ''}`}
        </Words>
        <Words size="label" tone="muted" numberOfLines={1}>
          {`${PURPOSES[firing.look].name}, ${text(formatTemperature(work.target_C, unit))} for ${text(formatDuration(work.hold_s))}`}
        </Words>
        <Words size="label" numberOfLines={1}>
          {firing.note}
        </Words>
      </View>
      <Words bold>{resultWords(firing.result)}</Words>
      {firing.photos.length > 0 && <Thumbnail hash={firing.photos[0]} px={64} alt={`Picture of ${firing.pieceName}`} />}
    </LinkRow>
  );
});
