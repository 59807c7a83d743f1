/** All of the studio as one file: made each day and when asked, and restored. */
import { type AnswerOf, type Backup, type Restored, api } from '@torvin/schema';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns/format';
import { useState } from 'react';
import { View } from 'react-native';
import { call, problemOfError, sendBackup } from '@/outside/client';
import { keys, readAnew } from '@/outside/keys';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { FileChoice } from '@/ui/FileChoice';
import { Fold } from '@/ui/Fold';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { dayAndClock } from '@/ui/clock';
import { countWords } from '@/ui/countWords';
import { downloadFrom } from '@/ui/download';
import { useNow } from '@/ui/useNow';
import { megabytes } from './SetAside';

const FIRST_COMES_MS = 3000;

const WHY: Record<Backup['why'], string> = { daily: 'daily', asked: 'asked for', migration: 'before a new version' };

const holdsWords = ({ pieces, firings, pictures }: Backup['holds']): string =>
  [countWords(pieces, 'piece', 'pieces'), countWords(firings, 'firing', 'firings'), countWords(pictures, 'picture', 'pictures')].join(', ');

const fileOf = ({ id }: Backup): string => api.restoreBackup.path.replace(':id/restore', `${encodeURIComponent(id)}/file`);

export function Backups() {
  const now = new Date(useNow());
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey: keys.backups,
    queryFn: ({ signal }) => call(api.backups, { signal }),
    // The first of the day is made while the page is open.
    refetchInterval: ({ state }) => (state.data?.kept.length === 0 ? FIRST_COMES_MS : false),
  });
  const make = useMutation({
    mutationFn: () => call(api.makeBackup, { body: {} }),
    onSuccess: (made) => {
      void readAnew(client, keys.backups);
      downloadFrom(fileOf(made));
    },
  });
  if (!data) return null;
  const [last] = data.kept;
  return (
    <View style={{ paddingTop: space.wide, gap: space.small }} testID="backups">
      <Words bold role="heading" aria-level={2}>
        Backup
      </Words>
      <Words testID="last-backup">
        {last ? `Last: ${dayAndClock(last.madeAt, now)}, with ${holdsWords(last.holds)}; ${megabytes(last.bytes)}.` : 'No backup yet.'}
      </Words>
      <Words size="label" tone="muted">
        {`One is made by itself each day that Torvin runs; the last 14 are kept in ${data.folder}. A disk can fail with all that lies on it: keep one on another disk too.`}
      </Words>
      {data.fault && (
        <Notice tone="warn" testID="backup-fault">
          {data.fault.message}
        </Notice>
      )}
      {make.error && <Notice tone="warn">{problemOfError(make.error).message}</Notice>}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action title={make.isPending ? 'Backing up …' : 'Back up now'} disabled={make.isPending} testID="back-up" onPress={() => make.mutate()} />
        <Action
          kind="second"
          title="As open files"
          label="All of the studio as open files: JSON for each piece, tables, pictures"
          testID="open-files"
          onPress={() => downloadFrom('/api/files')}
        />
      </View>
      <Fold title="Restore a backup" about="or download or delete one" testID="put-back">
        {() => <PutBack kept={data.kept} />}
      </Fold>
    </View>
  );
}

type Source = Backup | File;

const restoreFrom = (source: Source): Promise<Restored> => (source instanceof File ? sendBackup(source) : call(api.restoreBackup, { id: source.id, body: {} }));

const dayOf = ({ madeAt }: Pick<Backup, 'madeAt'>): string => format(madeAt, 'EEE d MMM yyyy, HH:mm');

function PutBack({ kept }: Pick<AnswerOf<typeof api.backups>, 'kept'>) {
  const client = useQueryClient();
  const [asking, setAsking] = useState<Source | null>(null);
  const [ending, setEnding] = useState<Backup | null>(null);
  const restore = useMutation({
    mutationFn: restoreFrom,
    // Nothing that this page has read is there any more.
    onSuccess() {
      client.removeQueries({ type: 'inactive' });
      return readAnew(client);
    },
    onSettled: () => setAsking(null),
  });
  const remove = useMutation({
    mutationFn: ({ id }: Backup) => call(api.deleteBackup, { id, body: {} }),
    onSuccess: () => readAnew(client, keys.backups),
    onSettled: () => setEnding(null),
  });
  const problem = restore.error ?? remove.error;
  return (
    <View style={{ gap: space.small }}>
      {restore.data && <RestoredNotice {...restore.data} />}
      {problem && (
        <Notice tone="warn" testID="restore-problem">
          {problemOfError(problem).message}
        </Notice>
      )}
      {asking && (
        <Notice
          tone="warn"
          testID="ask-restore"
          actions={
            <>
              <Action kind="second" title="Leave it" testID="leave-restore" onPress={() => setAsking(null)} />
              <Action
                title={restore.isPending ? 'Checking every hash …' : 'Restore it'}
                disabled={restore.isPending}
                testID="restore"
                onPress={() => restore.mutate(asking)}
              />
            </>
          }
        >
          {`Restore ${asking instanceof File ? asking.name : dayOf(asking)}? All that is here now is moved aside, and what was done since is not in the backup. Others who have Torvin open see it at once.`}
        </Notice>
      )}
      {ending && (
        <Notice
          tone="warn"
          actions={
            <>
              <Action kind="second" title="Keep it" testID="keep-backup" onPress={() => setEnding(null)} />
              <Action title="Delete for good" disabled={remove.isPending} testID="delete-backup" onPress={() => remove.mutate(ending)} />
            </>
          }
        >
          {`Delete the backup of ${dayOf(ending)}? This cannot be undone.`}
        </Notice>
      )}
      <View role="list" style={{ gap: space.medium }}>
        {kept.map((backup) => (
          <View key={backup.id} role="listitem" testID={`backup-${backup.id}`}>
            <Words bold>{`${dayOf(backup)}, ${WHY[backup.why]}`}</Words>
            <Words size="label" tone="muted">
              {`${holdsWords(backup.holds)}; ${megabytes(backup.bytes)}`}
            </Words>
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
              <Action kind="plain" title="Restore" testID="ask-restore-kept" onPress={() => setAsking(backup)} />
              <Action kind="plain" title="Download" testID="take-backup" onPress={() => downloadFrom(fileOf(backup))} />
              <Action kind="plain" title="Delete …" testID="ask-delete-backup" onPress={() => setEnding(backup)} />
            </View>
          </View>
        ))}
      </View>
      <FileChoice
        kind="second"
        title="From a file …"
        accept=".zip,application/zip"
        testID="restore-file"
        onFiles={([file]) => {
          restore.reset();
          setAsking(file);
        }}
      />
    </View>
  );
}

const RestoredNotice = ({ madeAt, holds, aside }: Restored) => (
  <Notice tone="plain" testID="restored">
    {`Here is now what was saved on ${dayOf({ madeAt })}: ${holdsWords(holds)}.${aside === null ? '' : ` What was here before lies in ${aside}.`}`}
  </Notice>
);
