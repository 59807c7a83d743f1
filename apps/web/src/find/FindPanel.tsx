/** Find: whatever there is, by words, over whatever page is open; by thumb, or with arrows and Enter. */
import { findAmong } from '@torvin/core/find';
import { LOOK_NAMES } from '@torvin/core/look';
import { formatDuration, formatTemperature, text } from '@torvin/core/units';
import { KINDS, titleOf } from '@torvin/schema';
import { format } from 'date-fns/format';
import { type Href, useRouter } from 'expo-router';
import { type ReactNode, useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { useShelves } from '@/data/pieces';
import { useAllDocs } from '@/help/docs';
import { DOCS, sectionsOf } from '@/help/papers';
import type { ShelfRecord } from '@/outside/records';
import { aboutShelves } from '@/shelves/words';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, space } from '@/theme/theme';
import { Search } from '@/ui/Search';
import { Spoken } from '@/ui/Spoken';
import { SharedPanel } from '@/ui/SharedPanel';
import { Words } from '@/ui/Words';
import { closeShared } from '@/ui/shared';
import { ALL_ACTS, FIRST_ACTS } from './acts';
import { useFound } from './useFound';
import { FIND_WORDS } from './words';

interface Hit {
  id: string;
  title: string;
  about?: string;
  go: Href | (() => void);
}

interface Group {
  title: string;
  hits: Hit[];
  /** How many there are beyond those shown, and where they all stand. */
  more: number;
  all?: Href;
}

const HELP_AT_MOST = 5;

const day = (at: number): string => format(at, 'd MMM yyyy');

/** What ships with the app and needs no server. */
function useOwn(typed: string): { acts: Hit[]; help: Hit[] } {
  const { data: docs } = useAllDocs(typed !== '');
  const sections = useMemo(
    () =>
      (docs ?? []).flatMap((source, i) =>
        sectionsOf(DOCS[i].name, source).map((section) => ({ ...section, title: section.heading, paper: DOCS[i].title, text: section.text })),
      ),
    [docs],
  );
  return useMemo(() => {
    if (typed === '') return { acts: [...FIRST_ACTS], help: [] };
    const found = findAmong(typed, sections);
    // A heading that says it comes before a paragraph that mentions it.
    const named = new Set(
      findAmong(
        typed,
        found.map((one) => ({ ...one, text: one.heading })),
      ).map(({ doc, heading }) => `${doc} ${heading}`),
    );
    const help = [
      ...found.filter(({ doc, heading }) => named.has(`${doc} ${heading}`)),
      ...found.filter(({ doc, heading }) => !named.has(`${doc} ${heading}`)),
    ];
    return {
      acts: findAmong(typed, ALL_ACTS),
      help: help.slice(0, HELP_AT_MOST).map(({ doc, heading, paper }) => ({
        id: `${doc}-${heading}`,
        title: heading,
        about: FIND_WORDS.of(paper),
        go: { pathname: '/help/[doc]', params: { doc, at: heading } } as const,
      })),
    };
  }, [typed, sections]);
}

function useGroups(typed: string): { groups: Group[]; offline: boolean; waiting: boolean } {
  const units = useUnits();
  const { data: shelves } = useShelves();
  const { data: found, isPlaceholderData, isPending } = useFound(typed, units);
  const own = useOwn(typed);
  const groups = useMemo(() => {
    const { groups: names } = FIND_WORDS;
    const acts: Group = { title: names.acts, hits: own.acts, more: 0 };
    if (typed === '' || !found) return [acts, { title: names.help, hits: own.help, more: 0 }];
    const about = shelves && aboutShelves(shelves, units);
    const { pieces, firings, records, reckonings, total } = found;
    const asked = encodeURIComponent(typed);
    return [
      acts,
      {
        title: names.pieces,
        hits: pieces.map(({ id, name, updatedAt, finishedAt, awayAt }) => ({
          ...{ id, title: name, go: `/pieces/${id}` as const },
          about: [awayAt !== null ? FIND_WORDS.archived : finishedAt !== null ? FIND_WORDS.finished : '', FIND_WORDS.piece(day(updatedAt))]
            .filter(Boolean)
            .join(', '),
        })),
        more: total.pieces - pieces.length,
        all: `/pieces?q=${asked}` as Href,
      },
      {
        title: names.firings,
        hits: firings.map(({ id, pieceName, look, ran_C, ran_s, firedAt, note }) => ({
          ...{ id, title: pieceName, go: `/notebook/${id}` as const },
          about: [FIND_WORDS.firing(LOOK_NAMES[look], text(formatTemperature(ran_C, units.temperature)), text(formatDuration(ran_s)), day(firedAt)), note]
            .filter(Boolean)
            .join('. '),
        })),
        more: total.firings - firings.length,
        all: `/notebook?q=${asked}` as Href,
      },
      {
        title: names.records,
        hits: records.flatMap(({ kind, id }) => {
          const record = (shelves?.[kind] as readonly ShelfRecord[] | undefined)?.find((one) => one.id === id);
          if (!record || !about) return [];
          return [
            {
              id,
              title: titleOf(kind, record as never, about),
              about: KINDS[kind].one,
              go: { pathname: '/shelves/[kind]/[id]', params: { kind, id } } as const,
            },
          ];
        }),
        more: total.records - records.length,
      },
      {
        title: names.reckonings,
        hits: reckonings.map(({ id, told, pieceId, pieceName, keptAt }) => ({
          ...{ id, title: told, about: [pieceName, day(keptAt)].filter(Boolean).join(', ') },
          go: pieceId === null ? ALL_ACTS.find((act) => act.id === 'calculate')!.go : (`/pieces/${pieceId}` as const),
        })),
        more: total.reckonings - reckonings.length,
      },
      { title: names.help, hits: own.help, more: 0 },
    ] satisfies Group[];
  }, [typed, found, own, shelves, units]);
  return {
    groups: groups.filter(({ hits }) => hits.length > 0),
    offline: found?.offline ?? false,
    waiting: typed !== '' && (isPending || isPlaceholderData),
  };
}

export function FindPanel() {
  const router = useRouter();
  const [typed, setTyped] = useState('');
  const sought = useDeferredValue(typed.trim());
  const { groups, offline, waiting } = useGroups(sought);
  const list = useRef<View & HTMLElement>(null);
  const field = useRef<View & HTMLElement>(null);
  /** Acts are found here, at once; what the server finds stands behind them. */
  const isFirstHere = !waiting || groups[0]?.title === FIND_WORDS.groups.acts;
  const [entered, setEntered] = useState(false);
  const count = groups.reduce((sum, { hits, more }) => sum + hits.length + more, 0);
  useEffect(() => {
    field.current?.querySelector('input')?.focus();
  }, []);
  const typeOn = (next: string): void => {
    setEntered(false);
    setTyped(next);
  };
  const go = (to: Hit['go']): void => {
    closeShared();
    if (typeof to === 'function') to();
    else router.push(to);
  };
  /** Arrows go from the field through the rows and back; Enter in the field takes the first. */
  const onKey = useCallback((key: string): boolean => {
    const all = [...(list.current?.querySelectorAll<HTMLElement>('[role="link"]') ?? [])];
    const at = all.indexOf(document.activeElement as HTMLElement);
    const input = field.current?.querySelector('input');
    if (key === 'ArrowDown') all[Math.min(at + 1, all.length - 1)]?.focus();
    else if (key === 'ArrowUp' && at >= 0) (at === 0 ? input : all[at - 1])?.focus();
    else if (key === 'Enter' && at >= 0) all[at].click();
    else if (key === 'Enter' && document.activeElement === input) setEntered(true);
    else return false;
    return true;
  }, []);
  // Who is faster than the list means what is found for all that was typed.
  useEffect(() => {
    if (!entered || sought !== typed.trim() || !isFirstHere) return;
    setEntered(false);
    list.current?.querySelector<HTMLElement>('[role="link"]')?.click();
  }, [entered, sought, typed, isFirstHere]);
  return (
    <SharedPanel title={FIND_WORDS.title} closeLabel={FIND_WORDS.close} testID="find" onKey={onKey}>
      <View style={{ flex: 1 }}>
        <View ref={field} style={{ paddingHorizontal: space.large, paddingBottom: space.small }}>
          <Search label={FIND_WORDS.label} value={typed} onChange={typeOn} hint={FIND_WORDS.hint} testID="find-field" />
        </View>
        <ScrollView
          style={{ flex: 1 }}
          contentContainerStyle={{ paddingHorizontal: space.large, paddingBottom: space.huge }}
          keyboardShouldPersistTaps="handled"
        >
          {offline && (
            <Words size="label" tone="muted" testID="find-offline">
              {FIND_WORDS.offline}
            </Words>
          )}
          <Spoken text={sought !== '' && !waiting ? FIND_WORDS.found(count) : ''} />
          {sought !== '' && !waiting && groups.length === 0 && <Words testID="find-nothing">{FIND_WORDS.nothing(sought)}</Words>}
          <View ref={list} style={{ opacity: waiting ? 0.6 : 1 }}>
            {groups.map(({ title, hits, more, all }) => (
              <Part key={title} title={title}>
                {hits.map((hit) => (
                  <Row key={hit.id} {...hit} onPress={() => go(hit.go)} />
                ))}
                {more > 0 && all && <Row id={`all-${title.toLowerCase()}`} title={FIND_WORDS.more(more)} go={all} onPress={() => go(all)} />}
              </Part>
            ))}
          </View>
        </ScrollView>
      </View>
    </SharedPanel>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <View role="group" aria-label={title} style={{ paddingTop: space.medium }}>
      <Words size="label" tone="muted" bold role="heading" aria-level={3}>
        {title}
      </Words>
      {children}
    </View>
  );
}

function Row({ id, title, about, onPress }: Hit & { onPress(): void }) {
  const { colours } = useTheme();
  return (
    <Pressable
      role="link"
      onPress={onPress}
      testID={`found-${id}`}
      style={{ minHeight: TARGET, justifyContent: 'center', borderTopWidth: 1, borderColor: colours.line, paddingVertical: space.small }}
    >
      <Words bold tone="touch">
        {title}
      </Words>
      {about !== undefined && about !== '' && (
        <Words size="label" tone="muted" numberOfLines={2}>
          {about}
        </Words>
      )}
    </Pressable>
  );
}
