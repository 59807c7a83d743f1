/** All of the studio as one file: made each day and when asked, and restored. */
import { type AnswerTo, type Backup, type Restored, asks } from '@torvin/schema';
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
import { BACKUPS } from './words';
import { WORDS } from '@/ui/said';

const FIRST_COMES_MS = 3000;

const WHY: Record<Backup['why'], string> = { daily: 'daily', asked: BACKUPS.askedFor, migration: BACKUPS.beforeNewVersion };

const holdsWords = ({ pieces, firings, pictures }: Backup['holds']): string =>
  [countWords(pieces, 'piece', 'pieces'), countWords(firings, 'firing', 'firings'), countWords(pictures, 'picture', 'pictures')].join(', ');

const fileOf = ({ id }: Backup): string => asks.restoreBackup.path.replace(':id/restore', `${encodeURIComponent(id)}/file`);

export function Backups() {
  const now = new Date(useNow());
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey: keys.backups,
    queryFn: ({ signal }) => call(asks.backups, { signal }),
    // The first of the day is made while the page is open.
    refetchInterval: ({ state }) => (state.data?.kept.length === 0 ? FIRST_COMES_MS : false),
  });
  const make = useMutation({
    mutationFn: () => call(asks.makeBackup, { body: {} }),
    onSuccess: (made) => {
      void readAnew(client, keys.backups);
      downloadFrom(fileOf(made));
    },
  });
  if (!data) return null;
  const [last] = data.kept;
  return (
    <View style={{ gap: space.small }} testID="backups">
      <Words testID="last-backup">
        {last ? BACKUPS.lastWith(dayAndClock(last.madeAt, now), holdsWords(last.holds), megabytes(last.bytes)) : BACKUPS.noBackupYet}
      </Words>
      <Words size="label" tone="muted">
        {BACKUPS.oneMadeItself(data.folder)}
      </Words>
      {data.fault && (
        <Notice tone="warn" testID="backup-fault">
          {data.fault.message}
        </Notice>
      )}
      {make.error && <Notice tone="warn">{problemOfError(make.error).message}</Notice>}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action title={make.isPending ? BACKUPS.backingUp : BACKUPS.backUpNow} disabled={make.isPending} testID="back-up" onPress={() => make.mutate()} />
        <Action kind="second" title={BACKUPS.asOpenFiles} label={BACKUPS.allStudioOpen} testID="open-files" onPress={() => downloadFrom('/api/files')} />
      </View>
      <Fold title={BACKUPS.restoreABackup} about={BACKUPS.downloadDeleteOne} testID="put-back">
        {() => <PutBack kept={data.kept} />}
      </Fold>
    </View>
  );
}

type Source = Backup | File;

const restoreFrom = (source: Source): Promise<Restored> =>
  source instanceof File ? sendBackup(source) : call(asks.restoreBackup, { id: source.id, body: {} });

const dayOf = ({ madeAt }: Pick<Backup, 'madeAt'>): string => format(madeAt, 'EEE d MMM yyyy, HH:mm');

function PutBack({ kept }: Pick<AnswerTo<'backups'>, 'kept'>) {
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
    mutationFn: ({ id }: Backup) => call(asks.deleteBackup, { id, body: {} }),
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
              <Action kind="second" title={BACKUPS.leaveIt} testID="leave-restore" onPress={() => setAsking(null)} />
              <Action
                title={restore.isPending ? BACKUPS.checkingEveryHash : BACKUPS.restoreIt}
                disabled={restore.isPending}
                testID="restore"
                onPress={() => restore.mutate(asking)}
              />
            </>
          }
        >
          {BACKUPS.restoreAllNow(asking instanceof File ? asking.name : dayOf(asking))}
        </Notice>
      )}
      {ending && (
        <Notice
          tone="warn"
          actions={
            <>
              <Action kind="second" title={BACKUPS.keepIt} testID="keep-backup" onPress={() => setEnding(null)} />
              <Action title={BACKUPS.deleteForGood} disabled={remove.isPending} testID="delete-backup" onPress={() => remove.mutate(ending)} />
            </>
          }
        >
          {BACKUPS.deleteBackupCannot(dayOf(ending))}
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
              <Action kind="plain" title={WORDS.restore} testID="ask-restore-kept" onPress={() => setAsking(backup)} />
              <Action kind="plain" title={BACKUPS.download} testID="take-backup" onPress={() => downloadFrom(fileOf(backup))} />
              <Action kind="plain" title={BACKUPS.delete} testID="ask-delete-backup" onPress={() => setEnding(backup)} />
            </View>
          </View>
        ))}
      </View>
      <FileChoice
        kind="second"
        title={BACKUPS.fromAFile}
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
    {BACKUPS.nowWhatSaved(dayOf({ madeAt }), holdsWords(holds), aside)}
  </Notice>
);
