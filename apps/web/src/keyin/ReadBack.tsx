/**
 * What the controller shows, read back segment by segment: of three that it might show one is touched, or what it shows is typed. Slips
 * are told with how they came about and what each would have done to this piece, the worst first.
 */
import {
  type Controller,
  type FigureKind,
  type PanelRow,
  figuresOf,
  holdMeant,
  keyIn,
  mightShow,
  profileOf,
  rowWords,
  shownHold,
} from '@torvin/core/controller';
import { formatDuration, text } from '@torvin/core/units';
import type { Answered } from '@torvin/core/engine';
import type { Schedule } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { compute } from '@/engine/client';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { Slips } from './Slips';
import type { ReadRows } from './useProgram';

export interface ReadBackProps {
  schedule: Schedule;
  controller: Controller;
  /** Where it stands; null on a controller that has but one. */
  program: number | null;
  /** It was keyed just now: the first segment is asked for at once. */
  begins: boolean;
  /** What stood in that program before. */
  older: readonly PanelRow[];
  /** What it shows and how many slips that has; null while it is read. */
  onRead(read: ReadRows | null): void;
}

/** null: the controller does not show that segment. */
type Read = PanelRow | null;
type Typed = Record<FigureKind, string>;
const EMPTY: Typed = { rate: '', target: '', hold: '' };

export function ReadBack({ schedule, controller, program, begins, older, onRead }: ReadBackProps) {
  const { firing } = schedule.snapshot;
  const profile = profileOf(controller);
  const { rows } = keyIn(schedule.segments, controller);
  const [read, setRead] = useState<readonly Read[] | null>(begins ? [] : null);
  const [typed, setTyped] = useState<Typed | null>(null);
  const [fault, setFault] = useState<{ at: FigureKind; message: string } | null>(null);
  const [told, setTold] = useState<Answered<'readBack'> | null>(null);
  const [failed, setFailed] = useState('');

  const begin = (): void => {
    setRead([]);
    setTyped(null);
    setTold(null);
    setFailed('');
    onRead(null);
  };

  async function judge(all: readonly Read[]): Promise<void> {
    const shown = all.filter((row) => row !== null);
    if (shown.length === 0) return setFailed('The controller shows no segment of it: key it in again.');
    try {
      const outcome = await compute('readBack', { firing, segments: schedule.segments, controller, shown, older: [...older] });
      if (!outcome.ok) return setFailed(outcome.problem.message);
      setTold(outcome.value);
      onRead({ read: shown, slips: outcome.value.slips.length });
    } catch (error) {
      setFailed(error instanceof Error ? error.message : String(error));
    }
  }

  const take = (row: Read): void => {
    // Its figures alone, whatever else is known of the segment that should stand there.
    const next = [...(read ?? []), row && { rate: row.rate, target: row.target, hold_min: row.hold_min }];
    setTyped(null);
    setFault(null);
    setRead(next);
    if (next.length === rows.length) void judge(next);
  };

  const takeTyped = (): void => {
    if (typed === null) return;
    const [rate, target] = [typed.rate, typed.target].map((one) => (/^\d+([.,]\d+)?$/.test(one.trim()) ? Number(one.trim().replace(',', '.')) : null));
    const hold_min = holdMeant(typed.hold, profile.holdAs);
    if (rate === null) return setFault({ at: 'rate', message: 'Write the figure that stands there.' });
    if (target === null) return setFault({ at: 'target', message: 'Write the figure that stands there.' });
    if (hold_min === null) return setFault({ at: 'hold', message: `Write it as it stands there, such as ${shownHold(150, profile.holdAs)}.` });
    take({ rate, target, hold_min });
  };

  if (read === null) {
    return (
      <View style={{ gap: space.small }}>
        <Words>{`Let the controller show ${program === null ? 'the program' : `program ${program}`} again and say what stands there: a slip is found here, not in the kiln.`}</Words>
        <Action kind="second" title="Read it back" testID="read-back" onPress={begin} />
      </View>
    );
  }
  if (read.length < rows.length) {
    const index = read.length;
    return (
      <View style={{ gap: space.small }} role="group" aria-label="Reading back" testID="reading-back">
        <Words bold testID="read-back-asks">{`Segment ${index + 1} of ${rows.length}: what does the controller show?`}</Words>
        {turned(mightShow(rows, index), schedule.id, index).map((row, k) => {
          const words = rowWords(row, controller);
          return <Action key={words} kind="second" title={words} onPress={() => take(row)} testID={`shows-${k}`} />;
        })}
        {typed && (
          <View style={{ flexDirection: 'row', gap: space.medium, alignItems: 'flex-end' }}>
            {figuresOf(profile).map((kind) => (
              <Field
                key={kind}
                label={NAMES[kind]}
                value={typed[kind]}
                error={fault?.at === kind ? fault.message : undefined}
                onChange={(value) => setTyped({ ...typed, [kind]: value })}
                onSubmit={takeTyped}
                testID={`shown-${kind}`}
              />
            ))}
          </View>
        )}
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
          {typed ? (
            <Action title="It shows that" testID="take-shown" onPress={takeTyped} />
          ) : (
            <Action kind="second" title="Something else" testID="shows-else" onPress={() => setTyped(EMPTY)} />
          )}
          <Action kind="second" title="It is not there" testID="shows-none" onPress={() => take(null)} />
          {index > 0 && (
            <Action
              kind="plain"
              title="Back one"
              testID="read-back-one"
              onPress={() => {
                setTyped(null);
                setRead(read.slice(0, -1));
              }}
            />
          )}
        </View>
      </View>
    );
  }
  const again = <Action kind="second" title="Read it back again" testID="read-back-again" onPress={begin} />;
  if (failed !== '') {
    return (
      <Notice tone="warn" actions={again} testID="read-back-failed">
        {failed}
      </Notice>
    );
  }
  if (told === null) return <Words tone="muted">Judging what it shows …</Words>;
  if (told.slips.length === 0) {
    return (
      <Notice tone="plain" actions={again} testID="read-back-good">
        {`It shows all ${rows.length} segments as they should be: ${text(formatDuration(told.asPlanned.simulation.total_s))} in all.`}
      </Notice>
    );
  }
  const shown = read.filter((row) => row !== null);
  return (
    <View style={{ gap: space.small }} testID="read-back-slips">
      <Notice tone="warn" actions={again}>
        {told.slips.length === 1
          ? 'It shows one slip. Mend it in the controller, then read it back again.'
          : `It shows ${told.slips.length} slips, the worst first. Mend them in the controller, then read it back again.`}
      </Notice>
      <Slips slips={told.slips} wanted={rows} {...{ shown, controller }} look={firing.look} />
    </View>
  );
}

const NAMES: Record<FigureKind, string> = { rate: 'rate', target: 'target', hold: 'hold' };

/** In an order that nobody learns: by the schedule and the segment. */
function turned<T>(choices: readonly T[], id: string, index: number): T[] {
  const turn = [...id].reduce((sum, letter) => sum + letter.charCodeAt(0), index * index + index) % choices.length;
  return [...choices.slice(turn), ...choices.slice(0, turn)];
}
