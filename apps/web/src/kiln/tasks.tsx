/** The five tasks, each at a controller that counts and behaves as its profile says. */
import {
  type Controller,
  type Evaluation,
  type FigureKind,
  type Panel,
  type PanelRow,
  type Profile,
  type PurposefulSegment,
  type Run,
  PRACTICE_FIRING,
  READING_OFF,
  READS_OFF_K,
  RECIPES,
  ROLE_NAMES,
  SHORTEN,
  STILL_WARM_K,
  type TemperatureUnit,
  TYPICAL_CONTROLLERS,
  afterCutWords,
  brokenOf,
  brokenSentence,
  consequences,
  figuresKeyed,
  formatDifference,
  formatDuration,
  formatTemperature,
  hideSlip,
  hottestSegment,
  isShortened,
  joinSegments,
  keyIn,
  lengthened,
  newPanel,
  powerCut,
  profileOf,
  ranSoFar,
  ranToChange,
  readBack,
  removeSegment,
  seenAs,
  slipSentence,
  startRun,
  text,
  toEnter,
} from '@torvin/core';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/studio';
import { compute } from '@/engine/client';
import { useComputed } from '@/engine/useComputed';
import { slotsOf } from '@/keyin/slots';
import { PanelView } from '@/panel/PanelView';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Chips } from '@/ui/Chips';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { SideBySide } from '@/ui/SideBySide';
import { Words } from '@/ui/Words';
import { RunOutcome, partsOf } from './RunOutcome';
import { RunView } from './RunView';

export interface Practised {
  controller: Controller & { name: string };
  profile: Profile;
  /** The schedule that is practised on, and what it comes to. */
  segments: PurposefulSegment[];
  evaluation: Evaluation;
  /** Another figure, another controller from try to try. */
  turn: number;
  onDone(passed: boolean): void;
}

const FIGURES: readonly { value: FigureKind; title: string }[] = [
  { value: 'rate', title: 'rate' },
  { value: 'target', title: 'target' },
  { value: 'hold', title: 'hold' },
];

/** '1. rate 200 · target 560 · hold 0'. */
function Rows({ rows, controller, testID }: { rows: readonly PanelRow[]; controller: Controller; testID: string }) {
  return (
    <View role="list" testID={testID}>
      {rows.map((row, i) => (
        <View key={i} role="listitem">
          <Words>
            {`${i + 1}. ${figuresKeyed({ ...row, fullSpeed: false }, controller)
              .map(({ kind, figure }) => `${kind} ${figure}`)
              .join(' · ')}`}
          </Words>
        </View>
      ))}
    </View>
  );
}

function Verdict({ passed, children }: { passed: boolean; children: string }) {
  return (
    <Notice tone={passed ? 'plain' : 'warn'} testID={passed ? 'task-passed' : 'task-failed'}>
      {`${passed ? 'Passed.' : 'Not passed.'} ${children}`}
    </Notice>
  );
}

export function EnterTask({ controller, segments, onDone }: Practised) {
  const wanted = toEnter(keyIn(segments, controller).rows);
  const { first, last } = slotsOf(controller);
  const [panel, setPanel] = useState<Panel>(() => newPanel(controller));
  const [shown, setShown] = useState<readonly PanelRow[] | null>(null);
  const slips = shown && readBack(wanted, shown, controller);
  function pressed(next: Panel): void {
    // A program was stored by this press.
    const stored = next.programs === panel.programs ? undefined : Object.entries(next.programs).find(([slot, rows]) => rows !== panel.programs[Number(slot)]);
    setPanel(next);
    if (!stored) return;
    setShown(stored[1]);
    onDone(readBack(wanted, stored[1], controller).length === 0);
  }
  return (
    <View style={{ gap: space.medium }}>
      <Words>{`Key these ${wanted.length} segments into program ${first}${last > first ? ` or any up to ${last}` : ''}, and end the program.`}</Words>
      <Rows rows={wanted} controller={controller} testID="wanted-rows" />
      <PanelView panel={panel} onPressed={pressed} />
      {slips && (
        <Verdict passed={slips.length === 0}>
          {slips.length === 0 ? 'It holds what it should.' : slips.map((slip) => slipSentence(slip, wanted, shown ?? [], controller)).join(' ')}
        </Verdict>
      )}
    </View>
  );
}

/** The controller itself where it can do what the task needs, else one of no make that can. */
const able = (controller: Practised['controller'], can: (profile: Profile) => boolean): Practised['controller'] =>
  can(profileOf(controller)) ? controller : (TYPICAL_CONTROLLERS.find((one) => can(profileOf(one))) ?? controller);

const insteadWords = (controller: { name: string }, instead: { name: string }, cannot: string): string =>
  controller === instead ? '' : ` '${controller.name}' ${cannot}: this one counts as '${instead.name}'.`;

export function FindTask({ controller: asked, segments, turn, onDone }: Practised) {
  const controller = able(asked, ({ reviews }) => reviews);
  const { rows } = keyIn(segments, controller);
  const { first } = slotsOf(controller);
  const [hidden] = useState(() => hideSlip(rows, turn));
  const [panel, setPanel] = useState<Panel>(() => newPanel(controller, { [first]: hidden.program }));
  const [row, setRow] = useState<string | null>(null);
  const [figure, setFigure] = useState<FigureKind | null>(null);
  const [passed, setPassed] = useState<boolean | null>(null);
  const [slip] = readBack(rows, hidden.program, controller);
  return (
    <View style={{ gap: space.medium }}>
      <Words>
        {`This was to be keyed; one figure of what stands in program ${first} is another. Press Program, ${first}, then Look through, and Enter from figure to figure.${insteadWords(asked, controller, 'cannot show a program again')}`}
      </Words>
      <Rows rows={rows} controller={controller} testID="wanted-rows" />
      <PanelView panel={panel} onPressed={setPanel} />
      <Chips label="Segment" value={row} options={rows.map((_, i) => ({ value: String(i), title: `segment ${i + 1}` }))} onChange={setRow} testID="slip-row" />
      <Choice<FigureKind> label="Which figure" value={figure} options={FIGURES} onChange={setFigure} testID="slip-figure" />
      {passed === null ? (
        <Action
          title="That is the slip"
          disabled={row === null || figure === null}
          testID="say-slip"
          onPress={() => {
            const right = Number(row) === hidden.row && figure === hidden.figure;
            setPassed(right);
            onDone(right);
          }}
        />
      ) : (
        <Verdict passed={passed}>{slipSentence(slip, rows, hidden.program, controller)}</Verdict>
      )}
    </View>
  );
}

export function LookTask({ controller: asked, segments, evaluation, onDone }: Practised) {
  const controller = able(asked, ({ addTime_s }) => addTime_s !== undefined);
  const { rows, switchOff } = keyIn(segments, controller);
  const hottest = hottestSegment(segments);
  const [start] = useState(() => new Date());
  const [run, setRun] = useState<Run | null>(() => {
    let one = startRun({ rows, controller, kiln: PRACTICE_FIRING.kiln, offset_K: READS_OFF_K });
    while (one.index < hottest && one.state !== 'done') one = ranToChange(one);
    return one;
  });
  const [seen, setSeen] = useState<string | null>(null);
  const left = run !== null && run.index > hottest;
  const parts = run && partsOf(run, { segments, switchOff });
  const { value } = useComputed('evaluate', left && parts ? { firing: READING_OFF, segments: parts } : null);
  const result = left && value ? seenAs(READING_OFF, value) : null;
  useEffect(() => {
    if (result !== null) onDone(result === 'right');
    // Once for each run: its result does not change any more.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [result]);
  async function look(): Promise<void> {
    if (!run) return;
    const so = await compute('evaluate', { firing: READING_OFF, segments: ranSoFar(run) });
    setSeen(so.ok ? RECIPES.fullFuse.looksLike[seenAs(READING_OFF, so.value)] : so.problem.message);
  }
  if (!run) return null;
  return (
    <View style={{ gap: space.medium }}>
      <Words>
        {`The kiln does less than it says. Let it hold, look in, and add minutes while it still holds, until the glass is as it should be: ${RECIPES.fullFuse.looksLike.right}.${insteadWords(asked, controller, 'adds no minutes')}`}
      </Words>
      <RunView run={run} setRun={setRun} start={start} cuts={false} pace="minute" stands />
      {!left && <Action title="Look in" testID="look-in" onPress={() => void look()} />}
      {seen !== null && !left && <Words testID="look-seen">{`You see: ${seen}.`}</Words>}
      {result !== null && (
        <>
          <Verdict passed={result === 'right'}>
            {result === 'right'
              ? 'It came out as it should.'
              : result === 'early'
                ? `It fell short: ${RECIPES.fullFuse.looksLike.early}. It needed more minutes before it went on.`
                : `It went past: ${RECIPES.fullFuse.looksLike.late}.`}
          </Verdict>
          <RunOutcome run={run} start={start} planned={{ firing: READING_OFF, segments, switchOff, evaluation }} />
        </>
      )}
    </View>
  );
}

export function ShortenTask({ controller, segments: planned, evaluation, onDone }: Practised) {
  const units = useUnits();
  const [segments, setSegments] = useState(() => lengthened(planned, controller));
  const [judged, setJudged] = useState<Evaluation | null>(null);
  const { rows } = keyIn(segments, controller);
  const short = rows.length <= SHORTEN.to;
  const take = (outcome: ReturnType<typeof joinSegments>): void => {
    if (outcome.ok) setSegments(outcome.value);
  };
  async function judge(): Promise<void> {
    const outcome = await compute('evaluate', { firing: PRACTICE_FIRING, segments });
    if (!outcome.ok) return;
    setJudged(outcome.value);
    onDone(isShortened(segments, controller, outcome.value));
  }
  const passed = judged !== null && isShortened(segments, controller, judged);
  return (
    <View style={{ gap: space.medium }}>
      <Words>{`A controller that holds ${SHORTEN.to} has to run these ${SHORTEN.from}. Joined, two go straight to the second one's target at the slower of their rates.`}</Words>
      <Words bold testID="shorten-count">{`${rows.length} segments`}</Words>
      <View role="list" style={{ gap: space.hair }}>
        {rows.map((row, i) => (
          <View key={i} role="listitem" style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
            <View style={{ flex: 1 }}>
              <Words>{`${i + 1}. ${figuresKeyed(row, controller)
                .map(({ kind, figure }) => `${kind} ${figure}`)
                .join(' · ')}`}</Words>
              <Words size="note" tone="muted">
                {ROLE_NAMES[segments[row.segment].role]}
              </Words>
            </View>
            {judged === null &&
              (i < rows.length - 1 ? (
                <Action
                  kind="plain"
                  title="Join to next"
                  label={`Join to next: segment ${i + 1}`}
                  testID={`join-${i}`}
                  onPress={() => take(joinSegments(segments, row.segment))}
                />
              ) : (
                <Action
                  kind="plain"
                  title="Leave out"
                  label={`Leave out segment ${i + 1}`}
                  testID={`leave-out-${i}`}
                  onPress={() => take(removeSegment(segments, row.segment))}
                />
              ))}
          </View>
        ))}
      </View>
      {judged === null ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
          <Action title="Judge it" disabled={!short} testID="judge-short" onPress={() => void judge()} />
          <Action kind="second" title="From the beginning" testID="shorten-anew" onPress={() => setSegments(lengthened(planned, controller))} />
        </View>
      ) : (
        <>
          <Verdict passed={passed}>
            {passed
              ? 'It keeps every limit.'
              : brokenOf(judged.readings)
                  .map((reading) => brokenSentence(reading, units, PRACTICE_FIRING.look))
                  .join(' ')}
          </Verdict>
          <SideBySide
            heads={['as planned', 'with six']}
            rows={consequences({ firing: PRACTICE_FIRING, evaluation }, { firing: PRACTICE_FIRING, evaluation: judged }, units)}
            testID="shorten-changes"
          />
        </>
      )}
    </View>
  );
}

type Says = 'goesOn' | 'stops';

export function CutTask({ segments, evaluation, turn, onDone }: Practised) {
  const units = useUnits();
  const [start] = useState(() => new Date());
  const [cut] = useState(() => powerCut(segments, turn));
  const [said, setSaid] = useState<Says | null>(null);
  const right = said !== null && (said === 'goesOn') === cut.goesOn;
  const { switchOff } = keyIn(segments, cut.controller);
  return (
    <View style={{ gap: space.medium }}>
      <Words>
        {`'${cut.controller.name}' soaks at ${text(formatTemperature(cut.run.cutFrom_C, units.temperature))} on the way down when the power goes, for ${text(formatDuration(cut.cut_s))}. ${WARM} When the power is back, what does it do?`}
      </Words>
      <Words tone="muted">{`What its papers say: ${papersOf(units.temperature)[profileOf(cut.controller).afterCut]}`}</Words>
      {said === null ? (
        <View style={{ gap: space.small }}>
          {(['goesOn', 'stops'] as const).map((one) => (
            <Action
              key={one}
              kind="second"
              title={one === 'goesOn' ? 'It goes on with the soak' : 'It stops, and the glass cools by itself'}
              testID={`cut-${one}`}
              onPress={() => {
                setSaid(one);
                onDone((one === 'goesOn') === cut.goesOn);
              }}
            />
          ))}
        </View>
      ) : (
        <>
          <Verdict passed={right}>
            {`The kiln came down to ${text(formatTemperature(cut.run.past.at(-1)?.target_C ?? 0, units.temperature))}. ${afterCutWords(cut.controller)}`}
          </Verdict>
          <RunOutcome run={cut.run} start={start} planned={{ firing: PRACTICE_FIRING, segments, switchOff, evaluation }} />
        </>
      )}
    </View>
  );
}

const WARM = 'Nobody opens the kiln.';
const papersOf = (unit: TemperatureUnit) => ({
  goesOn: 'after a cut the program is taken up again.',
  goesOnIfWarm: `after a cut the program is taken up again where the kiln has lost no more than ${text(formatDifference(STILL_WARM_K, unit))}.`,
  stops: 'after a cut it waits to be started.',
});
