/** Five tasks of a minute or two each at a controller of no make, passed by what they do to the glass; one's own score is kept. */
import { TYPICAL_CONTROLLERS } from '@torvin/core/controller';
import { PRACTICE_FIRING, TASKS, type Task } from '@torvin/core/practice';
import type { RecordOf } from '@torvin/schema';
import { format } from 'date-fns/format';
import { useState } from 'react';
import { View } from 'react-native';
import { useShelves } from '@/data/pieces';
import { useUnits } from '@/data/FormUnits';
import { useComputed } from '@/engine/useComputed';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Chips } from '@/ui/Chips';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { CutTask } from './CutTask';
import { EnterTask } from './EnterTask';
import { FindTask } from './FindTask';
import { LookTask } from './LookTask';
import { ShortenTask } from './ShortenTask';
import type { Practised } from './shared';
import { type Score, type Scored, keepScore, passedOf, readScore, scored } from './score';
import { PRACTICE_SCREEN } from '../words';
import { WORDS } from '@/ui/said';

const ASKED: Record<Task, { title: string; about: string }> = {
  enter: { title: PRACTICE_SCREEN.enterThis, about: PRACTICE_SCREEN.threeSegmentsFigure },
  find: { title: PRACTICE_SCREEN.findTheSlip, about: PRACTICE_SCREEN.lookThroughProgram },
  look: { title: PRACTICE_SCREEN.checkAddMinutes, about: PRACTICE_SCREEN.kilnDoesLess },
  shorten: { title: PRACTICE_SCREEN.shortenToSix, about: PRACTICE_SCREEN.joinEightSegments },
  cut: { title: PRACTICE_SCREEN.afterPowerCut, about: PRACTICE_SCREEN.sayWhatController },
};
const VIEWS: Record<Task, (props: Practised) => React.ReactNode> = { enter: EnterTask, find: FindTask, look: LookTask, shorten: ShortenTask, cut: CutTask };

type Counting = Omit<RecordOf<'controllers'>, 'version' | 'source'>;

export function PracticeScreen() {
  const units = useUnits();
  const shelves = useShelves().data;
  const [chosen, setChosen] = useState<string | null>(null);
  const [score, setScore] = useState<Score>(readScore);
  const [kept, setKept] = useState(true);
  const [open, setOpen] = useState<{ task: Task; turn: number } | null>(null);
  const own = shelves?.controllers.filter(({ id }) => !shelves.archived.includes(id)) ?? [];
  const all: Counting[] = [...own, ...TYPICAL_CONTROLLERS.filter(({ id }) => !own.some((one) => one.id === id))];
  const controller = all.find(({ id }) => id === chosen) ?? all[0];
  const { id: _id, name: _name, ...counting } = controller;
  const composed = useComputed('compose', { ...PRACTICE_FIRING, controller: counting, units });
  const done = (task: Task, passed: boolean): void => {
    const next = scored(score, task, passed, Date.now());
    setScore(next);
    setKept(keepScore(next));
  };
  const TaskView = open && VIEWS[open.task];
  return (
    <Screen title={PRACTICE_SCREEN.practice} subtitle={PRACTICE_SCREEN.controllerNoMake} back={{ title: WORDS.kiln, href: '/kiln' }}>
      <View style={{ gap: space.medium }}>
        {composed.problem && <Notice tone="warn">{composed.problem.message}</Notice>}
        {open === null && (
          <>
            <Words>{PRACTICE_SCREEN.fiveTasksTen(controller.name)}</Words>
            <Chips
              label={PRACTICE_SCREEN.asWhichController}
              value={controller.id}
              options={all.map(({ id, name }) => ({ value: id, title: name }))}
              onChange={(id) => id && setChosen(id)}
              testID="practise-as"
            />
            <Words bold testID="score">
              {PRACTICE_SCREEN.ofPassed(passedOf(score), TASKS.length)}
            </Words>
            {!kept && <Words tone="muted">{PRACTICE_SCREEN.browserKeepsNothing}</Words>}
            <View role="list" style={{ gap: space.medium }}>
              {TASKS.map((task) => {
                const { passed } = score[task];
                return (
                  <View key={task} role="listitem" style={{ gap: space.hair }} testID={`task-${task}`}>
                    <Words bold>{ASKED[task].title}</Words>
                    <Words size="label" tone="muted">{`${ASKED[task].about}. ${triesWords(score[task])}`}</Words>
                    <View style={{ alignItems: 'flex-start' }}>
                      <Action
                        kind="second"
                        title={passed > 0 ? PRACTICE_SCREEN.onceMore : PRACTICE_SCREEN.begin}
                        label={`${ASKED[task].title}: ${passed > 0 ? PRACTICE_SCREEN.onceMore2 : 'begin'}`}
                        disabled={!composed.value || composed.stale}
                        testID={`begin-${task}`}
                        onPress={() => setOpen({ task, turn: score[task].tries })}
                      />
                    </View>
                  </View>
                );
              })}
            </View>
          </>
        )}
        {open && TaskView && composed.value && (
          <View style={{ gap: space.medium }} key={`${open.task} ${open.turn}`}>
            <Words size="title" bold role="heading" aria-level={2}>
              {ASKED[open.task].title}
            </Words>
            <TaskView
              controller={controller}
              segments={composed.value.segments}
              evaluation={composed.value}
              turn={open.turn}
              onDone={(passed) => done(open.task, passed)}
            />
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
              <Action
                kind="second"
                title={PRACTICE_SCREEN.anotherTry}
                testID="another-try"
                onPress={() => setOpen({ task: open.task, turn: Math.max(score[open.task].tries, open.turn + 1) })}
              />
              <Action kind="plain" title={PRACTICE_SCREEN.allTasks} testID="all-tasks" onPress={() => setOpen(null)} />
            </View>
          </View>
        )}
      </View>
    </Screen>
  );
}

const times = (count: number): string => (count === 1 ? 'once' : PRACTICE_SCREEN.times(count));

function triesWords({ tries, passed, passedAt }: Scored): string {
  if (tries === 0) return PRACTICE_SCREEN.notTriedYet;
  if (passedAt === null) return PRACTICE_SCREEN.triedNotPassed(times(tries));
  return PRACTICE_SCREEN.triedPassedLast(times(tries), times(passed), format(passedAt, 'd MMM'));
}
