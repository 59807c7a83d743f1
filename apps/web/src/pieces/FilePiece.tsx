/** How a piece is filed: its tags, whether it is finished, a pattern, or archived out of the lists. */
import { type Filing, type Piece, TAGS_AT_MOST, TAG_LETTERS_AT_MOST } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { useOutbox } from '@/outbox/useOutbox';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Tick } from '@/ui/Tick';
import { DayInput } from '@/ui/TimeInput';
import { FILE_PIECE } from './words';
import { WORDS } from '@/ui/said';

/** Words between commas, each once. */
export const tagsOf = (typed: string): string[] => [
  ...new Set(
    typed
      .split(',')
      .map((tag) => tag.trim().replace(/\s+/g, ' '))
      .filter(Boolean),
  ),
];

export function faultOf(tags: readonly string[]): string | undefined {
  if (tags.length > TAGS_AT_MOST) return FILE_PIECE.fewerTags(TAGS_AT_MOST, tags.length);
  const long = tags.find((tag) => tag.length > TAG_LETTERS_AT_MOST);
  return long && FILE_PIECE.fewerLetters(TAG_LETTERS_AT_MOST, long.slice(0, 12), long.length);
}

const FIRST_DAY = '2000';

export function FilePiece({ piece }: { piece: Piece }) {
  const outbox = useOutbox();
  const { id, name, tags, finishedAt, awayAt, patternAt, dueOn } = piece;
  const [typed, setTyped] = useState(tags.join(', '));
  const [day, setDay] = useState(dueOn ?? '');
  const fault = faultOf(tagsOf(typed));
  const put = (part: Partial<Filing>): void => void outbox.put('filePiece', { id, name, filing: { tags, finishedAt, awayAt, patternAt, dueOn, ...part } });
  const keep = (): void => {
    const next = tagsOf(typed);
    if (!faultOf(next) && next.join() !== tags.join()) put({ tags: next });
  };
  // A year that is still being typed is no day yet.
  const keepDay = (next: string): void => {
    setDay(next);
    if (next === '' || next >= FIRST_DAY) put({ dueOn: next === '' ? null : next });
  };
  return (
    <View style={{ gap: space.small }} testID="filing">
      <Field label={FILE_PIECE.tagsCommasBetween} value={typed} onChange={setTyped} onBlur={keep} onSubmit={keep} error={fault} testID="tags" />
      <DayInput label={FILE_PIECE.due} value={day} onChange={keepDay} testID="due" />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space.small }}>
        <Tick
          on={finishedAt !== null}
          title={FILE_PIECE.finished}
          testID="finished"
          onPress={() => put({ finishedAt: finishedAt === null ? Date.now() : null })}
        />
        <Tick
          on={patternAt !== null}
          title={FILE_PIECE.patternStartOthers}
          testID="pattern"
          onPress={() => put({ patternAt: patternAt === null ? Date.now() : null })}
        />
        <Action
          kind="second"
          title={awayAt === null ? FILE_PIECE.archive : WORDS.restore}
          label={awayAt === null ? FILE_PIECE.archiveOutLists(name) : FILE_PIECE.restore(name)}
          testID="put-away"
          onPress={() => put({ awayAt: awayAt === null ? Date.now() : null })}
        />
      </View>
    </View>
  );
}
