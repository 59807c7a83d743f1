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
import type { Look } from '@torvin/core/look';
import { formatDuration, text } from '@torvin/core/units';
import type { Answered } from '@torvin/core/engine';
import type { Schedule } from '@torvin/schema';
import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import { compute } from '@/engine/client';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { Slips } from './Slips';
import type { ReadRows } from './useProgram';
import { READ_BACK } from './words';

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
  const { rows } = keyIn(schedule.segments, controller);
  const [read, setRead] = useState<readonly Read[] | null>(begins ? [] : null);
  const [told, setTold] = useState<Answered<'readBack'> | null>(null);
  const [failed, setFailed] = useState('');

  const begin = (): void => {
    setRead([]);
    setTold(null);
    setFailed('');
    onRead(null);
  };

  async function judge(all: readonly Read[]): Promise<void> {
    const shown = all.filter((row) => row !== null);
    if (shown.length === 0) return setFailed(READ_BACK.controllerShowsNo);
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
    setRead(next);
    if (next.length === rows.length) void judge(next);
  };

  if (read === null) {
    return (
      <View style={{ gap: space.small }}>
        <Words>{READ_BACK.letControllerShow(program)}</Words>
        <Action kind="second" title={READ_BACK.readItBack} testID="read-back" onPress={begin} />
      </View>
    );
  }
  if (read.length < rows.length)
    return (
      <Asked
        key={read.length}
        {...{ rows, controller }}
        index={read.length}
        seed={schedule.id}
        onTake={take}
        onBack={read.length > 0 ? () => setRead(read.slice(0, -1)) : undefined}
      />
    );
  const again = <Action kind="second" title={READ_BACK.readBackAgain} testID="read-back-again" onPress={begin} />;
  if (failed !== '') {
    return (
      <Notice tone="warn" actions={again} testID="read-back-failed">
        {failed}
      </Notice>
    );
  }
  if (told === null) return <Words tone="muted">{READ_BACK.judgingWhatShows}</Words>;
  return <Judged {...{ told, again, rows, controller }} shown={read.filter((row) => row !== null)} look={firing.look} />;
}

interface AskedProps {
  rows: readonly PanelRow[];
  index: number;
  controller: Controller;
  /** Orders what is offered. */
  seed: string;
  onTake(row: Read): void;
  onBack?(): void;
}

/** What the controller shows of one segment: one of what is likely, something else, or nothing. */
function Asked({ rows, index, controller, seed, onTake, onBack }: AskedProps) {
  const profile = profileOf(controller);
  const [typed, setTyped] = useState<Typed | null>(null);
  const [fault, setFault] = useState<{ at: FigureKind; message: string } | null>(null);
  const takeTyped = (): void => {
    if (typed === null) return;
    const read = rowOf(typed, profile.holdAs);
    if ('at' in read) setFault(read);
    else onTake(read);
  };
  return (
    <View style={{ gap: space.small }} role="group" aria-label={READ_BACK.readingBack} testID="reading-back">
      <Words bold testID="read-back-asks">
        {READ_BACK.segmentWhatDoes(index + 1, rows.length)}
      </Words>
      {turned(mightShow(rows, index), seed, index).map((row, k) => {
        const words = rowWords(row, controller);
        return <Action key={words} kind="second" title={words} onPress={() => onTake(row)} testID={`shows-${k}`} />;
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
          <Action title={READ_BACK.itShowsThat} testID="take-shown" onPress={takeTyped} />
        ) : (
          <Action kind="second" title={READ_BACK.somethingElse} testID="shows-else" onPress={() => setTyped(EMPTY)} />
        )}
        <Action kind="second" title={READ_BACK.itIsNot} testID="shows-none" onPress={() => onTake(null)} />
        {onBack && <Action kind="plain" title={READ_BACK.backOne} testID="read-back-one" onPress={onBack} />}
      </View>
    </View>
  );
}

/** Figures as they stand on the panel. */
function rowOf(
  { rate: typedRate, target: typedTarget, hold }: Typed,
  holdAs: ReturnType<typeof profileOf>['holdAs'],
): PanelRow | { at: FigureKind; message: string } {
  const [rate, target] = [typedRate, typedTarget].map((one) => (/^\d+([.,]\d+)?$/.test(one.trim()) ? Number(one.trim().replace(',', '.')) : null));
  const hold_min = holdMeant(hold, holdAs);
  if (rate === null) return { at: 'rate', message: READ_BACK.enterFigureShows };
  if (target === null) return { at: 'target', message: READ_BACK.enterFigureShows };
  if (hold_min === null) return { at: 'hold', message: READ_BACK.enterHoldShows(shownHold(150, holdAs)) };
  return { rate, target, hold_min };
}

interface JudgedProps {
  told: Answered<'readBack'>;
  again: ReactNode;
  rows: readonly PanelRow[];
  shown: readonly PanelRow[];
  controller: Controller;
  look: Look;
}

function Judged({ told, again, rows, shown, controller, look }: JudgedProps) {
  if (told.slips.length === 0) {
    return (
      <Notice tone="plain" actions={again} testID="read-back-good">
        {READ_BACK.showsAllSegments(rows.length, text(formatDuration(told.asPlanned.simulation.total_s)))}
      </Notice>
    );
  }
  return (
    <View style={{ gap: space.small }} testID="read-back-slips">
      <Notice tone="warn" actions={again}>
        {told.slips.length === 1 ? READ_BACK.showsOneSlip : READ_BACK.showsSlipsWorst(told.slips.length)}
      </Notice>
      <Slips slips={told.slips} wanted={rows} {...{ shown, controller }} look={look} />
    </View>
  );
}

const NAMES: Record<FigureKind, string> = { rate: 'rate', target: 'target', hold: 'hold' };

/** In an order that nobody learns: by the schedule and the segment. */
function turned<T>(choices: readonly T[], id: string, index: number): T[] {
  const turn = [...id].reduce((sum, letter) => sum + letter.charCodeAt(0), index * index + index) % choices.length;
  return [...choices.slice(turn), ...choices.slice(0, turn)];
}
