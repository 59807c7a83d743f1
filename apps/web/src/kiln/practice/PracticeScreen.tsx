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

const ASKED: Record<Task, { title: string; about: string }> = {
  enter: { title: 'Enter this', about: 'three segments, figure by figure; one minute' },
  find: { title: 'Find the slip', about: 'look through a program and say which figure is wrong; one minute' },
  look: { title: 'Check and add minutes', about: 'this kiln does less than it says: check, and hold for longer; three minutes' },
  shorten: { title: 'Shorten to six', about: 'join eight segments to six without harm to the glass; two minutes' },
  cut: { title: 'After a power cut', about: 'say what the controller does, and see what that does to the glass; one minute' },
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
    <Screen title="Practice" subtitle="At a controller of no make; nothing here starts a kiln" back={{ title: 'Kiln', href: '/kiln' }}>
      <View style={{ gap: space.medium }}>
        {composed.problem && <Notice tone="warn">{composed.problem.message}</Notice>}
        {open === null && (
          <>
            <Words>{`Five tasks, ten minutes in all, on a round tile of two sheets. It counts and behaves as '${controller.name}' does.`}</Words>
            <Chips
              label="As which controller"
              value={controller.id}
              options={all.map(({ id, name }) => ({ value: id, title: name }))}
              onChange={(id) => id && setChosen(id)}
              testID="practise-as"
            />
            <Words bold testID="score">{`${passedOf(score)} of ${TASKS.length} passed`}</Words>
            {!kept && <Words tone="muted">This browser keeps nothing: the score is gone when the page is.</Words>}
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
                        title={passed > 0 ? 'Once more' : 'Begin'}
                        label={`${ASKED[task].title}: ${passed > 0 ? 'once more' : 'begin'}`}
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
                title="Another try"
                testID="another-try"
                onPress={() => setOpen({ task: open.task, turn: Math.max(score[open.task].tries, open.turn + 1) })}
              />
              <Action kind="plain" title="All tasks" testID="all-tasks" onPress={() => setOpen(null)} />
            </View>
          </View>
        )}
      </View>
    </Screen>
  );
}

const times = (count: number): string => (count === 1 ? 'once' : `${count} times`);

function triesWords({ tries, passed, passedAt }: Scored): string {
  if (tries === 0) return 'Not tried yet.';
  if (passedAt === null) return `Tried ${times(tries)}, not passed yet.`;
  return `Tried ${times(tries)}, passed ${times(passed)}, last on ${format(passedAt, 'd MMM')}.`;
}
