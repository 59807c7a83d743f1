/** The key-in sheet: each segment as the controller wants it, large, to be ticked off while standing at the kiln. */
import { type PanelRow, countsWords, figuresKeyed, keyIn } from '@torvin/core/controller';
import { ROLE_NAMES, brokenOf, brokenSentence } from '@torvin/core/schedule';
import type { Piece } from '@torvin/schema';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { firingName } from '@/layup/describe';
import { runHref } from '@/ui/hrefs';
import { OutdatedChoice } from '@/planner/OutdatedChoice';
import { QueueNotice } from '@/pieces/QueueNotice';
import { useDraft } from '@/data/useDraft';
import { pieceQueue } from '@/outbox/kinds';
import { useShownQueue } from '@/outbox/useOutbox';
import { WORK_CAUTIONS } from '@/layup/cautions';
import type { StepPageParts } from '@/planner/useStepPage';
import { OnPaper } from '@/paper/OnPaper';
import { keyInSvg } from '@/files/keyInSvg';
import { useTheme } from '@/theme/ThemeContext';
import { scaled, space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Caution } from '@/ui/Caution';
import { DraftOffer } from '@/ui/DraftOffer';
import { Fold } from '@/ui/Fold';
import { FigureText } from '@/ui/FigureText';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { BeforeStart } from './BeforeStart';
import { controllerNow } from './controllerNow';
import { InProgram } from './InProgram';
import { KeyInDeck } from './KeyInDeck';
import { OtherKiln } from './OtherKiln';
import { ReadBack } from './ReadBack';
import { Rounded } from './Rounded';
import { StartFiring } from './StartFiring';
import { useProgram } from './useProgram';
import { KEY_IN_SCREEN } from './words';
import { WORDS } from '@/ui/said';

const NONE: ReadonlySet<number> = new Set();

export function KeyInScreen({ piece, step, schedule, shelves, outdated, standing }: StepPageParts) {
  const { colours } = useTheme();
  const router = useRouter();
  const { together } = useLocalSearchParams<{ together?: string }>();
  const queue = useShownQueue<Piece>(pieceQueue(piece.id));
  const { keyed, setKeyed, toggle, draft } = useTicks(schedule.id);
  /** Slips that were found on reading back; null before that. */
  const [found, setFound] = useState<{ of: string; slips: number | null }>({ of: schedule.id, slips: null });
  const slips = found.of === schedule.id ? found.slips : null;
  const [deck, setDeck] = useState(false);
  /** How often it was keyed through figure by figure: each time it is read back next. */
  const [decks, setDecks] = useState(0);
  // Nothing is shown to be keyed in before the person has decided what is fired.
  const [asItIs, setAsItIs] = useState<readonly string[] | null>(null);
  const decided = outdated.length === 0 || (asItIs !== null && outdated.every((difference) => asItIs.includes(difference)));
  const { kilnName } = schedule.snapshot;
  const controller = controllerNow(schedule, shelves);
  const { rows, switchOff, remarks } = keyIn(schedule.segments, controller);
  const broken = brokenOf(schedule.result.readings);
  const figures = rows.map(({ rate, target, hold_min }): PanelRow => ({ rate, target, hold_min }));
  const onShelf = shelves.controllers.some(({ id }) => id === controller.id);
  const of = { pieceId: piece.id, pieceName: piece.name, stepId: step.id };
  const program = useProgram({ scheduleId: schedule.id, of, controller, rows: figures, onShelf });
  const { slot, older } = program;
  return (
    <Screen
      title={WORDS.keyIn}
      of={piece.name}
      subtitle={KEY_IN_SCREEN.countsHoldsSegments(piece.name, controller.name, kilnName, controller.unit, controller.mostSegments)}
      back={{ title: firingName(step), href: runHref(piece.id, step.id) }}
      padded={false}
      actions={decided && <Action kind="second" title={WORDS.print} label={KEY_IN_SCREEN.printKeySheet} testID="print-key-in" onPress={() => window.print()} />}
    >
      <View style={{ paddingHorizontal: space.large }}>
        <QueueNotice queue={queue} mine={KEY_IN_SCREEN.scheduleYouSee} />
        <OutdatedChoice
          piece={piece}
          step={step}
          shelves={shelves}
          differences={outdated}
          asItIs={decided ? undefined : { title: KEY_IN_SCREEN.fireItAs, onPress: () => setAsItIs(outdated) }}
        />
      </View>
      {decided && (
        <>
          <View style={{ paddingHorizontal: space.large }}>
            <Words>{KEY_IN_SCREEN.segmentsTouchRow(rows.length, countsWords(controller))}</Words>
            <Doubts {...{ schedule, controller, broken, standing, remarks }} />
          </View>
          <View style={{ paddingHorizontal: space.large }}>
            <DraftOffer
              draft={draft}
              onTake={(left) => setKeyed(new Set(left))}
              what={(left) => KEY_IN_SCREEN.rowsWereTicked(left.length, rows.length)}
              titles={{ take: KEY_IN_SCREEN.goOnFrom, leave: KEY_IN_SCREEN.startOver }}
            />
          </View>
          <View style={{ paddingHorizontal: space.large, paddingTop: space.small, gap: space.small }}>
            <InProgram
              {...{ controller, slot }}
              programs={program.programs}
              coming={program.coming}
              scheduleId={schedule.id}
              rows={figures}
              onSlot={program.choose}
              onAsItStands={
                keyed.size === rows.length
                  ? undefined
                  : (standing) => {
                      program.choose(standing.slot);
                      setKeyed(new Set(rows.keys()));
                      setFound({ of: schedule.id, slips: standing.slips });
                    }
              }
            />
            <Action title={KEY_IN_SCREEN.oneFigureTime} testID="open-deck" onPress={() => setDeck(true)} />
            <Action
              kind="second"
              title={KEY_IN_SCREEN.rehearseItFirst}
              testID="open-rehearsal"
              onPress={() => router.push(`/kiln/rehearsal?id=${piece.id}&step=${step.id}${together ? `&together=${together}` : ''}`)}
            />
          </View>
          {deck && (
            <KeyInDeck
              {...{ rows, controller, slot, older }}
              roles={rows.map(({ segment }) => schedule.segments[segment].role)}
              onClose={() => setDeck(false)}
              keyed={keyed}
              onKeyed={(row) => setKeyed(new Set([...keyed, row]))}
              onDone={() => {
                setDecks(decks + 1);
                setDeck(false);
              }}
            />
          )}
          <OnPaper page={() => keyInSvg({ piece, schedule, controller, differences: outdated, standing })} />
          <KeyRows {...{ rows, schedule, controller, keyed }} onToggle={toggle} />
          <Fold title={KEY_IN_SCREEN.sameAnotherKiln} about={KEY_IN_SCREEN.anotherControllerCounts} testID="other-kiln">
            {() => <OtherKiln {...{ piece, step, schedule, shelves }} />}
          </Fold>
          <View style={{ padding: space.large, gap: space.small, borderTopWidth: 1, borderColor: colours.line }}>
            {switchOff && <Words>{KEY_IN_SCREEN.thenNothingAfter(rows.length)}</Words>}
            <Words bold testID="key-in-count">
              {keyed.size === rows.length ? KEY_IN_SCREEN.allKeyedNow : KEY_IN_SCREEN.ofKeyed(keyed.size, rows.length)}
            </Words>
            <Caution about={step.look} starts>
              {WORK_CAUTIONS.keyIn}
            </Caution>
            <ReadBack
              key={`${schedule.id} ${decks}`}
              {...{ schedule, controller }}
              begins={decks > 0}
              program={program.single ? null : slot}
              older={older?.rows ?? []}
              onRead={(read) => {
                setFound({ of: schedule.id, slips: read?.slips ?? null });
                if (read) program.stands(read);
              }}
            />
            <BeforeStart schedule={schedule} />
            <StartFiring
              piece={piece}
              step={step}
              schedule={schedule}
              shelves={shelves}
              unticked={slips === 0 ? 0 : rows.length - keyed.size}
              broken={broken.length}
              standing={standing}
              slips={slips}
              mostDelay_s={controller.mostDelay_s}
              asItIs={outdated.length > 0}
              onStarted={() => {
                draft.done();
                // Only where it was said or shown into which program it goes.
                if (keyed.size === rows.length && !program.already && slips === null && (decks > 0 || program.isChosen)) program.stands(null);
              }}
            />
          </View>
        </>
      )}
    </Screen>
  );
}

/** Which rows are ticked, kept until the firing is started. */
function useTicks(scheduleId: string) {
  // Ticks are of one schedule: another one is keyed in from its first row.
  const [ticked, setTicked] = useState({ of: scheduleId, rows: NONE });
  const keyed = ticked.of === scheduleId ? ticked.rows : NONE;
  const setKeyed = (rows: ReadonlySet<number>): void => setTicked({ of: scheduleId, rows });
  const draft = useDraft<number[]>(`key-in ${scheduleId}`);
  useEffect(() => draft.keep([...keyed], []), [draft, keyed]);
  const toggle = (index: number): void => {
    const next = new Set(keyed);
    if (!next.delete(index)) next.add(index);
    setKeyed(next);
  };
  return { keyed, setKeyed, toggle, draft };
}

type Keyed = ReturnType<typeof keyIn>;

interface DoubtsProps extends Pick<StepPageParts, 'schedule' | 'standing'> {
  controller: ReturnType<typeof controllerNow>;
  broken: ReturnType<typeof brokenOf>;
  remarks: Keyed['remarks'];
}

/** What speaks against it before it is keyed: limits, what was found at the piece, and what this controller counts otherwise or cannot. */
function Doubts({ schedule, controller, broken, standing, remarks }: DoubtsProps) {
  const units = useUnits();
  return (
    <>
      {broken.length > 0 && (
        <Notice tone="warn" testID="key-in-broken">
          {KEY_IN_SCREEN.thisScheduleBreaks(
            broken.length,
            ROLE_NAMES[schedule.segments[broken[0].segment].role],
            brokenSentence(broken[0], { ...units, temperature: controller.unit }, schedule.snapshot.firing.look),
          )}
        </Notice>
      )}
      {standing.map((sentence) => (
        <Notice key={sentence} tone="warn" testID="key-in-warning">
          {sentence}
        </Notice>
      ))}
      <Rounded {...{ schedule, controller }} />
      {remarks.flatMap(({ kind, message }) =>
        kind === 'rounded'
          ? []
          : [
              <Notice key={message} tone={kind === 'cannot' ? 'warn' : 'plain'}>
                {message}
              </Notice>,
            ],
      )}
    </>
  );
}

interface KeyRowsProps extends Pick<StepPageParts, 'schedule'> {
  rows: Keyed['rows'];
  controller: ReturnType<typeof controllerNow>;
  keyed: ReadonlySet<number>;
  onToggle(index: number): void;
}

/** A figure with its unit has so much room; where the letters are large they stand in two rows. */
const KEYED_PX = 64;

/** One row a segment, large enough to be read and ticked while standing at the kiln. */
function KeyRows({ rows, schedule, controller, keyed, onToggle }: KeyRowsProps) {
  const { colours } = useTheme();
  return (
    <View role="group" aria-label={KEY_IN_SCREEN.segmentsKey} style={{ paddingTop: space.medium }} testID="key-in-rows">
      {rows.map((row, index) => (
        <Tick
          key={index}
          on={keyed.has(index)}
          onPress={() => onToggle(index)}
          behind
          testID={`key-in-${index}`}
          style={{
            minHeight: 76,
            justifyContent: 'center',
            paddingHorizontal: space.large,
            borderTopWidth: 1,
            borderColor: colours.line,
            backgroundColor: keyed.has(index) ? colours.surface : 'transparent',
          }}
          title={
            <View style={{ flex: 1, flexDirection: 'row', alignItems: 'center', gap: space.medium }}>
              <View style={{ width: 64 }}>
                <Words bold size="title">
                  {index + 1}
                </Words>
                <Words size="note" tone="muted">
                  {row.ends ? KEY_IN_SCREEN.endsIt : ROLE_NAMES[schedule.segments[row.segment].role]}
                </Words>
              </View>
              <View style={{ flex: 1, flexDirection: 'row', flexWrap: 'wrap', columnGap: space.medium }}>
                {figuresKeyed(row, controller).map(({ kind, figure, unit }) => (
                  <View key={kind} style={{ flexGrow: 1, flexShrink: 0, flexBasis: scaled(KEYED_PX) }}>
                    <Words size="note" tone="muted">
                      {kind}
                    </Words>
                    <FigureText value={{ figure, unit }} size="medium" />
                  </View>
                ))}
              </View>
            </View>
          }
        />
      ))}
    </View>
  );
}
