/** Another piece like this one, or several: the lay-up again, with its firings and their schedules where they are wanted. */
import { anotherLike, nextName, firingOf, firingsOf } from '@torvin/core/piece';
import type { Piece, Schedule } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { scheduleReading } from '@/data/pieces';
import { useOutbox } from '@/outbox/useOutbox';
import { problemOfError } from '@/outside/client';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Tick } from '@/ui/Tick';
import { putSchedule } from '@/planner/putSchedule';
import { ANOTHER_LIKE } from './words';
import { WORDS } from '@/ui/said';

const AT_MOST = 24;

export interface AnotherLikeProps {
  piece: Pick<Piece, 'id' | 'name' | 'doc'>;
  /** Open from the beginning, where one came to start a piece; called when that is not wanted any more. */
  onNot?: () => void;
}

export function AnotherLike({ piece, onNot }: AnotherLikeProps) {
  const router = useRouter();
  const client = useQueryClient();
  const outbox = useOutbox();
  const [open, setOpen] = useState(onNot !== undefined);
  const [name, setName] = useState(() => nextName(piece.name));
  const [typed, setTyped] = useState('1');
  const [firings, setFirings] = useState(true);
  const [working, setWorking] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const count = /^\d{1,2}$/.test(typed.trim()) ? Number(typed) : 0;
  const wrongCount = count < 1 || count > AT_MOST ? ANOTHER_LIKE.fromTo(AT_MOST) : undefined;
  const wrongName = name.trim() === '' || name.length > 80 ? ANOTHER_LIKE.nameLetters : undefined;

  async function make(): Promise<void> {
    setWorking(true);
    setProblem(null);
    try {
      const wanted = firingsOf(piece.doc).flatMap(({ id, scheduleId }) => (firings && scheduleId !== null ? [{ id, scheduleId }] : []));
      const schedules = new Map<string, Schedule>();
      for (const { id, scheduleId } of wanted) schedules.set(id, await client.fetchQuery(scheduleReading(outbox, scheduleId)));
      const ids = Array.from({ length: count }, () => uuid());
      ids.reduce((called, id) => {
        put(id, called, schedules);
        return nextName(called);
      }, name.trim());
      router.replace(`/pieces/${ids[0]}`);
    } catch (error) {
      setProblem(problemOfError(error).message);
      setWorking(false);
    }
  }

  function put(id: string, called: string, schedules: ReadonlyMap<string, Schedule>): void {
    const { doc, repeats } = anotherLike(piece.doc, uuid, firings);
    outbox.put('createPiece', { id, name: called, doc });
    for (const { stepId, of } of repeats) {
      const schedule = schedules.get(of);
      const step = firingOf(doc, stepId);
      if (!schedule || !step) continue;
      const { segments, snapshot, result, origin } = schedule;
      putSchedule(client, outbox, { on: { id, name: called, doc, version: 0 }, doc, what: '', step, parentId: null, origin, segments, snapshot, result });
    }
  }

  if (!open)
    return <Action kind="second" title={ANOTHER_LIKE.duplicate} label={ANOTHER_LIKE.duplicateIt} testID="make-another" onPress={() => setOpen(true)} />;
  return (
    <View style={{ flexBasis: '100%', gap: space.small }} role="group" aria-label={ANOTHER_LIKE.duplicate} testID="another-like">
      <Field label={count > 1 ? ANOTHER_LIKE.nameFirst : WORDS.name} value={name} error={wrongName} onChange={setName} testID="another-name" />
      <Field label={ANOTHER_LIKE.howMany} value={typed} error={wrongCount} onChange={setTyped} keyboard="numeric" testID="another-count" />
      {firingsOf(piece.doc).length > 0 && (
        <Tick on={firings} title={ANOTHER_LIKE.firingsTheirSchedules} onPress={() => setFirings(!firings)} testID="another-firings" />
      )}
      {problem !== null && <Notice tone="warn">{problem}</Notice>}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action
          title={count > 1 ? ANOTHER_LIKE.makeCopies(count) : ANOTHER_LIKE.makeACopy}
          disabled={working || wrongCount !== undefined || wrongName !== undefined}
          testID="another-make"
          onPress={() => void make()}
        />
        <Action kind="second" title={ANOTHER_LIKE.cancel} testID="another-not" onPress={onNot ?? (() => setOpen(false))} />
      </View>
    </View>
  );
}
