/** Today's work: each kiln in short, what is next to key in, what needs a decision, what is due. */
import type { Bench, Shelves, WaitingPiece } from '@torvin/schema';
import { type Href, useRouter } from 'expo-router';
import type { ComponentType } from 'react';
import { View } from 'react-native';
import { useBench } from '@/data/bench';
import { useStudio } from '@/data/studio';
import { useShelves } from '@/data/pieces';
import { OnPaper } from '@/paper/OnPaper';
import { paperPages } from '@/paper/paperPages';
import { loadHref, recoatHref, planHref, runHref } from '@/ui/hrefs';
import type { PieceMarkProps } from '@/pieces/PieceMark';
import { dayWords, fromWhen } from '@/ui/clock';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { LinkRow } from '@/ui/LinkRow';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { isWide, useLayout } from '@/ui/useWidth';
import { useNow } from '@/ui/useNow';
import { Fold } from '@/ui/Fold';
import { KilnNow, type KilnNowProps } from './KilnNow';
import type { LearnedOfProps } from './LearnedOf';
import { benchPaper } from './benchPaper';
import { UsedTwice } from './UsedTwice';
import { byLoad } from './byLoad';
import { BENCH } from './words';
import { decisionFor, dueFirst, firingWords, isReady } from './waiting';

const FACE = { width: 84, height: 48 };

/** What of it is read a moment after it stands. */
export interface BenchParts {
  PieceMark: ComponentType<PieceMarkProps>;
  RunningSection: KilnNowProps['RunningSection'];
  LearnedOf: ComponentType<LearnedOfProps>;
}

export function BenchScreen({ PieceMark, RunningSection, LearnedOf }: BenchParts) {
  const router = useRouter();
  const wide = isWide(useLayout());
  const bench = useBench();
  const { firstDay } = useStudio();
  const { data: shelves } = useShelves();
  const now = useNow();
  if (!bench.data) return <Waiting query={bench} title={BENCH.title} />;
  const loads = byLoad(bench.data.inKiln);
  const { waiting, waitingInAll, pieces, recoat, making, together } = bench.data;
  const decisions = waiting.flatMap((waits) => {
    const decision = decisionFor(waits);
    return decision ? [{ waits, ...decision }] : [];
  });
  const next = dueFirst(waiting.filter((waits) => decisionFor(waits) === null));
  const more = waitingInAll - waiting.length;
  return (
    <Screen title={BENCH.title} padded={false}>
      <OnPaper pages={() => paperPages(benchPaper(bench.data, Date.now()), BENCH.title)} />
      <View style={wide ? { flexDirection: 'row' } : undefined}>
        <Part title={BENCH.now} testID="bench-kiln" share={wide ? WIDE_SHARES.now : undefined}>
          <UsedTwice loads={loads} />
          {loads.length === 0 ? (
            <Words tone="muted">{BENCH.noFiring}</Words>
          ) : (
            loads.map(([first, ...others]) => <KilnNow key={first.load.id} firing={first} others={others} RunningSection={RunningSection} />)
          )}
        </Part>
        <View style={wide ? { flex: WIDE_SHARES.next } : undefined}>
          <Part title={BENCH.next} testID="bench-next">
            {pieces === 0 && (
              <Notice
                tone="plain"
                actions={
                  firstDay?.done === false ? (
                    <Action title={BENCH.goOn} testID="go-on" onPress={() => router.push('/start')} />
                  ) : (
                    <Action title={BENCH.newPiece} testID="first-piece" onPress={() => router.push('/pieces/new')} />
                  )
                }
              >
                {firstDay?.done === false ? BENCH.notSetUp : BENCH.noPiece}
              </Notice>
            )}
            {pieces > 0 && next.length === 0 && <Words tone="muted">{BENCH.nothingToKey}</Words>}
            <View role="list">
              {next.map((waits) => (
                <NextRow key={waits.piece.id} waits={waits} shelves={shelves} PieceMark={PieceMark} />
              ))}
            </View>
            {together && (
              <LinkRow href={loadHref(together.pieces.map(({ id }) => id))} inset={0} listed={false} testID="bench-together">
                <Words bold tone="touch">
                  {BENCH.together(together.pieces.length)}
                </Words>
              </LinkRow>
            )}
            {more > 0 && <Action kind="second" title={BENCH.allWaiting(waitingInAll)} testID="all-waiting" onPress={() => router.push('/pieces?waits=yes')} />}
          </Part>
          {decisions.length > 0 && (
            <Part title={BENCH.decisions} testID="bench-decisions">
              <View role="list">
                {decisions.map(({ waits, why, act }) => (
                  <PieceRow
                    key={waits.piece.id}
                    waits={waits}
                    shelves={shelves}
                    PieceMark={PieceMark}
                    about={why}
                    act={act}
                    href={decisionHref(waits)}
                    testID="decision"
                  />
                ))}
              </View>
            </Part>
          )}
        </View>
        <View style={wide ? { flex: WIDE_SHARES.due } : undefined}>
          {recoat.length + making.length > 0 && (
            <Part title={BENCH.due} testID="bench-due">
              <View role="list">
                {recoat.map(({ formId, formName, zone, coatId, releaseId, why }) => (
                  <LinkRow key={coatId} href={recoatHref(formId, { zone, releaseId })} inset={0} testID={`recoat-${formId}`}>
                    <View style={{ flex: 1 }}>
                      <Words bold tone="touch">
                        {BENCH.recoat([formName, zone].filter(Boolean).join(', '))}
                      </Words>
                      <Words size="label" tone="muted">
                        {why}
                      </Words>
                    </View>
                  </LinkRow>
                ))}
                {making.map(({ id, formName, title, from, why }) => (
                  <LinkRow key={id} href={`/shelves/makings/${id}`} inset={0} testID={`making-${id}`}>
                    <View style={{ flex: 1 }}>
                      <Words bold tone="touch">
                        {BENCH.making(formName, title)}
                      </Words>
                      <Words size="label" tone="muted">
                        {[fromWhen(from, now), why].filter(Boolean).join('. ')}
                      </Words>
                    </View>
                  </LinkRow>
                ))}
              </View>
            </Part>
          )}
          <View style={{ paddingTop: space.large }} testID="bench-learned">
            <Fold title={BENCH.taught} about={taughtWords(bench.data.learned)} testID="learned">
              {() => <LearnedOf bench={bench.data} kilns={shelves?.kilns} />}
            </Fold>
          </View>
        </View>
      </View>
    </Screen>
  );
}

/** Of the width of a wide page. */
const WIDE_SHARES = { now: 5, next: 4, due: 3 } as const;

/** From how many firings, closed. */
const taughtWords = (learned: Bench['learned']): string => (learned === null ? BENCH.noResults : BENCH.taughtBy(learned.kilnName, learned.firings));

/** To its plan where none is made yet, else to the piece with that firing. */
const decisionHref = ({ piece, for: what, stepId, firingId, outdated }: WaitingPiece) =>
  (what === 'again' || what === 'decision') && firingId !== null && outdated.length === 0
    ? (`/notebook/${firingId}/next` as const)
    : what === 'choice'
      ? planHref(piece.id)
      : what === 'schedule' && stepId !== null
        ? planHref(piece.id, { step: stepId })
        : (`/pieces/${piece.id}${stepId === null ? '' : `?at=${stepId}`}` as const);

function Part({ title, testID, share, children }: { title: string; testID: string; share?: number; children: React.ReactNode }) {
  return (
    <View
      style={{ ...(share === undefined ? {} : { flex: share }), minWidth: 0, paddingHorizontal: space.large, paddingTop: space.large, gap: space.small }}
      testID={testID}
    >
      <Words size="title" bold role="heading" aria-level={2}>
        {title}
      </Words>
      {children}
    </View>
  );
}

interface PieceRowProps extends Pick<BenchParts, 'PieceMark'> {
  waits: WaitingPiece;
  shelves: Shelves | undefined;
  about: string;
  act: string;
  href: Href;
  testID: string;
}

function PieceRow({ waits: { piece }, shelves, PieceMark, about, act, href, testID }: PieceRowProps) {
  return (
    <LinkRow href={href} inset={0} testID={testID}>
      <PieceMark piece={piece} shelves={shelves} {...FACE} />
      <View style={{ flex: 1 }}>
        <Words bold>{piece.name}</Words>
        <Words size="label" tone="muted">
          {about}
        </Words>
      </View>
      <Words size="label" bold tone="touch">
        {act}
      </Words>
    </LinkRow>
  );
}

/** To key in, or a step of the hands. */
function NextRow({ waits, shelves, PieceMark }: Pick<PieceRowProps, 'waits' | 'shelves' | 'PieceMark'>) {
  const { piece, look, step } = waits;
  const isKeyed = isReady(waits);
  const due = piece.dueOn ? ` · ${BENCH.dueOn(dayWords(piece.dueOn))}` : '';
  const about = `${look === null ? (step ?? BENCH.step).toLowerCase() : firingWords(waits)}${due}`;
  return (
    <PieceRow
      {...{ waits, shelves, about, PieceMark }}
      act={isKeyed ? BENCH.keyIn : BENCH.open}
      href={isKeyed ? runHref(piece.id, waits.stepId, 'key-in') : `/pieces/${piece.id}`}
      testID="waiting-piece"
    />
  );
}
