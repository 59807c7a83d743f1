/** Deletes a record that nothing names, and offers it back; what names it is said. */
import type { KindName } from '@torvin/schema';
import { View } from 'react-native';
import { useOutbox, useSave } from '@/outbox/useOutbox';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { offerBack } from '@/ui/takeBack';
import { DELETE_RECORD } from './words';
import { WORDS } from '@/ui/said';

export interface DeleteRecordProps {
  kind: KindName;
  record: { id: string; version: number };
  /** What it is called here. */
  name: string;
  onDeleted?(): void;
}

export function DeleteRecord({ kind, record: { id, version }, name, onDeleted }: DeleteRecordProps) {
  const outbox = useOutbox();
  const remove = useSave('removeRecord');
  const then = (): void => {
    onDeleted?.();
    offerBack({ what: DELETE_RECORD.isDeleted(name), bringBack: () => outbox.put('restoreRecord', { kind, id, name }) });
  };
  return (
    <View>
      {remove.refusal && (
        <Notice tone="warn" testID="not-deleted">
          {remove.refusal.problem.message}
        </Notice>
      )}
      <View style={{ alignItems: 'flex-start' }}>
        <Action
          kind="plain"
          title={WORDS.delete}
          label={DELETE_RECORD.delete(name)}
          disabled={remove.saving}
          testID="delete-record"
          onPress={() => remove.save({ kind, id, name }, { on: version, then })}
        />
      </View>
    </View>
  );
}
