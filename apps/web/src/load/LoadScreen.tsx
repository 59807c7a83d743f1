/** Several pieces, one kiln: what goes in together, one schedule for all, who sets it, and how each fares in it. */
import type { Answered } from '@torvin/core/engine';
import { LOOK_NAMES } from '@torvin/core/look';
import { ROLE_NAMES, type Reading, marginOf, readingPhrase } from '@torvin/core/schedule';
import { type Units, formatDuration, text } from '@torvin/core/units';
import type { ForKiln, Shelves, SuggestedLoad } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { useStudio } from '@/data/studio';
import { useComputed } from '@/engine/useComputed';
import { useTheme } from '@/theme/ThemeContext';
import { OnPaper } from '@/paper/OnPaper';
import { paperPages } from '@/paper/paperPages';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Fold } from '@/ui/Fold';
import { LinkRow } from '@/ui/LinkRow';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { keyInHref, loadHref } from '@/ui/hrefs';
import { WORDS } from '@/ui/said';
import { isWide, useLayout } from '@/ui/useWidth';
import { OnShelf } from './OnShelf';
import { loadPaper } from './loadPaper';
import { rowFigures, setWords } from './rowWords';
import { type LoadCase, useLoadCases } from './useLoadCases';
import { useLoadSchedule } from './useLoadSchedule';
import { WhatGoes } from './WhatGoes';
import { putBefore, useArranged } from './useArranged';
import { useAtTheirPlaces } from './useAtTheirPlaces';
import { LOAD } from './words';

type Load = Answered<'load'>;

/** Less than so much longer is not worth a word, s. */
const LONGER_FROM_S = 900;

export interface LoadScreenProps {
  waiting: readonly ForKiln[];
  suggested: readonly SuggestedLoad[];
  shelves: Shelves;
  /** Chosen before, by another page. */
  withPieces: readonly string[];
}

export function LoadScreen({ waiting, suggested, shelves, withPieces }: LoadScreenProps) {
  const units = useUnits();
  const { mixedLoads = false } = useStudio();
  const router = useRouter();
  const wide = isWide(useLayout());
  const kilns = shelves.kilns.filter(({ id }) => waiting.some(({ kilnId }) => kilnId === id));
  const named = waiting.find(({ pieceId }) => withPieces.includes(pieceId));
  const [kilnId, setKilnId] = useState(named?.kilnId ?? mostWaited(waiting));
  const [ids, setIds] = useState<readonly string[]>(withPieces);
  const here = waiting.filter((one) => one.kilnId === kilnId);
  const chosen = here.filter(({ pieceId }) => ids.includes(pieceId));
  const { cases, problem } = useLoadCases(chosen, shelves);
  const asked = useMemo(
    () =>
      cases && cases.length > 1
        ? {
            entries: cases.map(({ waits, snapshot, contents }) => ({ name: waits.pieceName, firing: snapshot.firing, contents })),
            allows: { mixed: mixedLoads },
            units,
          }
        : null,
    [cases, units, mixedLoads],
  );
  const computed = useComputed('load', asked);
  const keeping = useLoadSchedule();
  // Of what is chosen by then: a second touch may come before the first is drawn.
  const toggle = ({ pieceId }: ForKiln): void => setIds((now) => (now.includes(pieceId) ? now.filter((id) => id !== pieceId) : [...now, pieceId]));
  const kiln = kilns.find(({ id }) => id === kilnId);
  const key = chosen.map(({ pieceId }) => pieceId).join(',');
  const chosenIds = useMemo(() => key.split(','), [key]);
  const answeredFor = useRef('');
  if (computed.value && !computed.stale) answeredFor.current = key;
  // What was answered of another choice is not shown as of this one; of the same pieces it stands until it is calculated anew.
  const inMiddle = asked && computed.value && answeredFor.current === key ? computed.value : null;
  const arranged = useArranged(
    inMiddle,
    chosenIds,
    kiln,
    useMemo(() => putBefore(cases, kilnId), [cases, kilnId]),
  );
  const there = useAtTheirPlaces(inMiddle, asked, arranged, kiln);
  const { load, hotter_K, problem: problemThere } = there;
  const isFresh = there.isFresh && !computed.stale;
  const wrong = problem ?? (asked && !computed.stale ? computed.problem : null) ?? problemThere ?? keeping.problem;
  const outOfPlace = wrong === null ? undefined : chosen[Number(/^entries\.(\d+)/.exec(wrong.path)?.[1] ?? NaN)];
  const noRoom = (arranged.places?.left ?? []).map((i) => chosen[i]?.pieceName ?? '');
  const take = (some: readonly number[]): void => setIds(some.map((i) => chosen[i].pieceId));

  async function use(): Promise<void> {
    if (!load || !isFresh || !cases || !(await keeping.keep(cases, load, arranged.places, shelves))) return;
    const [first, ...others] = cases;
    const together = others.map(({ piece }) => piece.id).join(',');
    router.push(keyInHref(first.piece.id, first.step.id, together));
  }

  const shelf = load && (
    <Fold
      title={LOAD.onShelf}
      about={noRoom.length > 0 ? LOAD.noRoom(LOAD.list(noRoom), arranged.shelves) : arranged.clashes.length > 0 ? LOAD.someTooNear : LOAD.onShelfAbout}
      warns={noRoom.length > 0 || arranged.clashes.length > 0}
      testID="load-on-shelf"
    >
      {() => <OnShelf load={load} names={chosen.map(({ pieceName }) => pieceName)} ids={chosenIds} arranged={arranged} kiln={kiln} hotter_K={hotter_K} />}
    </Fold>
  );
  return (
    <Screen title={LOAD.title} subtitle={kiln?.name} back={{ title: LOAD.bench, href: '/bench' }}>
      <OnPaper
        pages={
          load && isFresh
            ? () =>
                paperPages(
                  loadPaper(
                    { load, pieces: chosen, places: arranged.places, room: arranged.room, clear: arranged.clear, kilnName: kiln?.name ?? '', units },
                    Date.now(),
                  ),
                  LOAD.title,
                )
            : undefined
        }
      />
      {waiting.length === 0 && (
        <Notice tone="plain" actions={<Action title={LOAD.planFirst} testID="load-new-piece" onPress={() => router.push('/pieces/new')} />}>
          {LOAD.nothingWaits}
        </Notice>
      )}
      <View style={wide ? { flexDirection: 'row', gap: space.huge } : { gap: space.large }}>
        <View style={wide ? { flex: 1, minWidth: 0 } : undefined}>
          {kilns.length > 1 && (
            <Choice
              label={LOAD.kiln}
              value={kilnId}
              options={kilns.map(({ id, name }) => ({ value: id, title: name }))}
              onChange={setKilnId}
              testID="load-kiln"
            />
          )}
          {here.length > 0 && (
            <WhatGoes
              key={kilnId}
              waiting={here}
              ids={ids}
              alone_s={(one) => {
                const at = chosen.indexOf(one);
                return at >= 0 && load ? load.entries[at].alone.total_s : one.total_s;
              }}
              onToggle={toggle}
            />
          )}
          {wide && shelf && <View style={{ marginTop: space.large }}>{shelf}</View>}
        </View>
        <View style={{ gap: space.medium, ...(wide ? { flex: 1, minWidth: 0 } : {}) }} testID="load-result">
          {here.length > 0 && chosen.length < 2 && <Words tone="muted">{LOAD.chooseTwo}</Words>}
          {chosen.length === 0 && <Suggestions loads={suggested.filter((one) => one.kilnId === kilnId)} />}
          {wrong && (
            <Notice
              tone="warn"
              testID="load-refused"
              actions={
                <>
                  {outOfPlace && <Action kind="second" title={LOAD.takeOut(outOfPlace.pieceName)} testID="load-take-out" onPress={() => toggle(outOfPlace)} />}
                  {wrong.code === 'other-heat-range' && (
                    <Action kind="second" title={LOAD.mayShare} testID="load-may-share" onPress={() => router.push('/settings?open=limits')} />
                  )}
                </>
              }
            >
              {wrong.message}
            </Notice>
          )}
          {chosen.length > 1 && !load && !wrong && <Words tone="muted">{WORDS.calculating}</Words>}
          {load && (
            <>
              {noRoom.length > 0 && (
                <Notice tone="warn" testID="load-no-room">
                  {LOAD.noRoom(LOAD.list(noRoom), arranged.shelves)}
                </Notice>
              )}
              <Verdict load={load} isFresh={isFresh} names={chosen.map(({ pieceName }) => pieceName)} onTake={take} />
              <Fares load={load} cases={cases ?? []} />
              <Rows load={load} names={chosen.map(({ pieceName }) => pieceName)} units={units} />
              <Action
                kind={load.converged ? 'main' : 'second'}
                title={
                  keeping.saving ? LOAD.using : !isFresh ? WORDS.calculating : load.converged ? LOAD.forEach(chosen.length) : LOAD.allTheSame(chosen.length)
                }
                disabled={keeping.saving || !isFresh}
                testID="load-use"
                onPress={() => void use()}
              />
            </>
          )}
          {!wide && shelf}
          {load && (
            <Fold title={LOAD.needs} about={LOAD.needsAbout} testID="load-needs">
              {() => <Needs load={load} units={units} />}
            </Fold>
          )}
        </View>
      </View>
    </Screen>
  );
}

function Suggestions({ loads }: { loads: readonly SuggestedLoad[] }) {
  const hours = (seconds: number): string => text(formatDuration(seconds));
  if (loads.length === 0) return null;
  return (
    <View>
      <Words size="title" bold role="heading" aria-level={2}>
        {LOAD.suggested}
      </Words>
      <View role="list" style={{ marginTop: space.small }}>
        {loads.map(({ look, pieces, onOneShelf, atLeast_s, apart_s }, i) => {
          const names = pieces.map(({ name }) => name).join(', ');
          return (
            <LinkRow key={i} href={loadHref(pieces.map(({ id }) => id))} replace inset={0} testID={`load-suggested-${i}`}>
              <View style={{ flex: 1 }}>
                <Words bold tone="touch">
                  {names}
                </Words>
                <Words size="label" tone="muted">
                  {LOAD.suggestion(LOOK_NAMES[look], hours(atLeast_s), hours(apart_s), onOneShelf)}
                </Words>
              </View>
            </LinkRow>
          );
        })}
      </View>
    </View>
  );
}

/** The kiln that the most of them wait for. */
function mostWaited(waiting: readonly ForKiln[]): string {
  const counts = new Map<string, number>();
  for (const { kilnId } of waiting) counts.set(kilnId, (counts.get(kilnId) ?? 0) + 1);
  return [...counts].reduce((most, one) => (one[1] > most[1] ? one : most), ['', 0])[0];
}

/** How each of them fares in it, what it may do to the others, and what was found at the piece whatever rows are fired. */
function Fares({ load, cases }: { load: Load; cases: readonly LoadCase[] }) {
  return (
    <View role="list" aria-label={LOAD.fares}>
      {load.entries.map(({ name, evaluation, longer_s, says, cautions }, i) => {
        const isRight = evaluation.readings.every(({ ok }) => ok);
        const longer = longer_s >= LONGER_FROM_S ? text(formatDuration(longer_s)) : null;
        const standing = [...cautions, ...(cases[i]?.standing ?? [])];
        return (
          <View key={i} role="listitem">
            <Words size="label" tone={isRight ? 'muted' : 'warn'} testID={`load-fares-${cases[i]?.piece.id}`}>
              <Words size="label" bold>
                {`${name}. `}
              </Words>
              {[...(isRight ? [LOAD.right(longer)] : []), ...says].join(' ')}
            </Words>
            {standing.length > 0 && (
              <Words size="label" tone="warn">
                {standing.join(' ')}
              </Words>
            )}
          </View>
        );
      })}
    </View>
  );
}

function Verdict({ load, isFresh, names, onTake }: { load: Load; isFresh: boolean; names: readonly string[]; onTake(some: readonly number[]): void }) {
  const { converged, split, total_s, entries } = load;
  const hours = (seconds: number): string => text(formatDuration(seconds));
  const sum_s = entries.reduce((sum, { alone }) => sum + alone.total_s, 0);
  const called = (some: readonly number[]): string => some.map((i) => names[i]).join(', ');
  return (
    <View style={{ gap: space.small }}>
      <View>
        <Words size="title" bold testID="load-hours">
          {LOAD.forAll(hours(total_s))}
        </Words>
        <Words size="label" tone="muted">
          {LOAD.insteadOf(hours(sum_s))}
        </Words>
      </View>
      {converged && <Words testID="load-keeps">{isFresh ? LOAD.keepsAll : WORDS.calculating}</Words>}
      {(!converged || split) && (
        <Notice
          tone={converged ? 'plain' : 'warn'}
          testID="load-split"
          actions={
            split && (
              <>
                <Action kind="second" title={LOAD.takeFirst} testID="load-take-first" onPress={() => onTake(split.first)} />
                <Action kind="second" title={LOAD.takeSecond} testID="load-take-second" onPress={() => onTake(split.second)} />
              </>
            )
          }
        >
          {[
            converged ? LOAD.shorterInTwo : LOAD.notAll,
            split ? LOAD.inTwo(called(split.first), called(split.second), hours(Math.round(split.total_s / 1800) * 1800)) : LOAD.notInTwo,
          ].join(' ')}
        </Notice>
      )}
      {load.remarks.length > 0 && <Words tone="muted">{load.remarks.join(' ')}</Words>}
    </View>
  );
}

/** As it would be fired by itself, and what of its limits it comes nearest to in this load. */
function Needs({ load: { entries }, units }: { load: Load; units: Units }) {
  return (
    <View style={{ gap: space.medium }}>
      {entries.map(({ name, alone, evaluation }, i) => {
        const nearest = nearestReading(evaluation);
        return (
          <View key={i} testID={`load-alone-${i}`}>
            <Words bold>{name}</Words>
            {alone.segments.map((segment, at) => (
              <Words key={at} size="label">
                {LOAD.row(ROLE_NAMES[segment.role], rowFigures(segment, units))}
              </Words>
            ))}
            {nearest && (
              <Words size="label" tone="muted">
                {LOAD.nearest(readingPhrase(nearest, units))}
              </Words>
            )}
          </View>
        );
      })}
    </View>
  );
}

/** Of all its readings the one that leaves it the least room. */
function nearestReading({ readings }: Load['entries'][number]['evaluation']): Reading | null {
  const judging = readings.filter(({ note, limit }) => !note && limit !== 'kilnPace');
  return judging.length === 0 ? null : judging.reduce((least, one) => (marginOf(one) < marginOf(least) ? one : least));
}

function Rows({ load, names, units }: { load: Load; names: readonly string[]; units: Units }) {
  const { colours } = useTheme();
  return (
    <View>
      <Words size="title" bold role="heading" aria-level={2}>
        {LOAD.schedule}
      </Words>
      <View role="list" style={{ marginTop: space.small }}>
        {load.segments.map((segment, i) => {
          const set = setWords(segment.setBy, names);
          return (
            <View key={i} role="listitem" testID={`load-row-${i}`} style={{ borderTopWidth: 1, borderColor: colours.line, paddingVertical: space.small }}>
              <View style={{ flexDirection: 'row', gap: space.medium }}>
                <View style={{ width: ROLE_WIDTH }}>
                  <Words bold>{ROLE_NAMES[segment.role]}</Words>
                </View>
                <View style={{ flex: 1 }}>
                  <Words>{rowFigures(segment, units)}</Words>
                  {set !== '' && (
                    <Words size="label" tone="muted">
                      {set}
                    </Words>
                  )}
                </View>
              </View>
            </View>
          );
        })}
      </View>
    </View>
  );
}
const ROLE_WIDTH = 104;
