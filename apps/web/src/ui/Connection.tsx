/**
 * In the header: that the server does not answer and how much waits for it, or that something kept was refused. A touch
 * opens the list over the places.
 */
import type { NewFiring } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useSyncExternalStore } from 'react';
import { View } from 'react-native';
import { lastHeard } from '@/outside/connection';
import { isDiskFull, onDisk } from '@/outside/disk';
import { useAskedForPasscode } from '@/outside/door';
import { oldestShown, shownAsKept } from '@/outside/readings';
import { useTold } from '@/outside/told';
import { useServerAnswers } from '@/outside/useServerAnswers';
import { type Variables, wayOn } from '@/outbox/kinds';
import type { Entry, Refusal } from '@/outbox/outbox';
import { useEntries, useOutbox } from '@/outbox/useOutbox';
import { space } from '@/theme/theme';
import { Action } from './Action';
import { Drawer } from './Drawer';
import { Notice } from './Notice';
import { Words } from './Words';
import { dayAndClock } from './clock';
import { closeShared, openShared, useShared } from './shared';
import { useNow } from './useNow';

const PANEL = 'waiting';

/** What waits, oldest first, and what was refused while nothing on the screen says so. */
function useToSay() {
  const outbox = useOutbox();
  const entries = useEntries();
  const isRefused = (entry: Entry): entry is Entry & { refused: Refusal } => entry.refused !== undefined && !outbox.isClaimed(entry);
  const kept = useSyncExternalStore(outbox.subscribe, outbox.kept);
  return { waiting: entries.filter(({ refused }) => !refused), refused: entries.filter(isRefused), kept };
}

const useDiskFull = (): boolean => useSyncExternalStore(onDisk, isDiskFull);

/** Of when what is shown was read, see oldestShown. */
function useOldestShown(heardAt: number | null): number | null {
  const client = useQueryClient();
  const subscribe = useCallback(
    (listener: () => void) => {
      const ends = [shownAsKept.subscribe(listener), client.getQueryCache().subscribe(listener)];
      return () => ends.forEach((end) => end());
    },
    [client],
  );
  return useSyncExternalStore(subscribe, () => oldestShown(client, heardAt));
}

/** Of when what is shown was read, where it was kept and the server has not answered since. */
function useAsOf(): string | null {
  const at = useOldestShown(null);
  const now = useNow();
  return at === null ? null : dayAndClock(at, new Date(now));
}

export function ConnectionWord() {
  const asOf = useAsOf();
  const asked = useAskedForPasscode();
  const answers = useServerAnswers();
  const { waiting, refused, kept } = useToSay();
  const full = useDiskFull();
  if (asked) return null;
  if (answers && refused.length === 0 && !full) {
    // It will answer yet: what stands here is what it said last.
    return asOf && <AsOf>{asOf}</AsOf>;
  }
  const waits = waiting.length > 0 && `${waiting.length} ${waiting.length === 1 ? 'waits' : 'wait'}${kept ? '' : ', not kept'}`;
  const silent = ['offline', asOf && `as of ${asOf}`, waits].filter(Boolean).join(' · ');
  const ofDisk = ['disk full', waits].filter(Boolean).join(' · ');
  const word = !answers ? silent : full ? ofDisk : `${refused.length} not saved`;
  return <Action kind="plain" title={word} label={`${word}: what waits for the server`} testID="connection" onPress={() => openShared(PANEL)} />;
}

function AsOf({ children }: { children: string }) {
  return (
    <Words size="label" tone="muted" testID="as-of">
      {`as of ${children} …`}
    </Words>
  );
}

const NOT_KEPT = 'This browser has no room to keep it, so it is in this page alone: leave the page open until the server answers.';

/** Stands in the frame, under whatever page is open. */
export function WaitingDrawer() {
  const open = useShared() === PANEL;
  const answers = useServerAnswers();
  const outbox = useOutbox();
  const { waiting, refused, kept } = useToSay();
  const full = useDiskFull();
  if (!open || (answers && refused.length === 0 && !full)) return null;
  return (
    <Drawer
      title={!answers ? 'The server does not answer' : full ? 'The disk is full' : 'Not saved'}
      label="What waits for the server"
      closeLabel="Done with what waits"
      onClose={closeShared}
      testID="waiting"
      ofFrame
    >
      <View style={{ gap: space.small }}>
        {answers && full && (
          <Notice tone="warn" testID="disk-full">
            The disk that the studio lies on is full. All that was saved is there; nothing more is saved until somebody makes room on it. What you change waits
            in this browser and goes by itself then.
          </Notice>
        )}
        {!answers && <ShownAsOf />}
        {!answers && kept && (
          <Words tone="muted">
            {waiting.length > 0
              ? 'Saved in this browser, even if you close the tab. Sent in this order when the server answers:'
              : 'Nothing waits. What you change now is kept in this browser and sent when the server answers.'}
          </Words>
        )}
        {!kept && (
          <Notice tone="warn" testID="not-kept">
            {NOT_KEPT}
          </Notice>
        )}
        <View role="list">
          {waiting.map((entry) => (
            <View role="listitem" key={entry.id}>
              <Words>{outbox.wordsOf(entry)}</Words>
            </View>
          ))}
        </View>
        {refused.map((entry) => (
          <RefusedSave key={entry.id} entry={entry} refusal={entry.refused} />
        ))}
      </View>
    </Drawer>
  );
}

/** Of when the page behind is, where nobody answers. */
function ShownAsOf() {
  const at = useOldestShown(useTold(lastHeard));
  const now = useNow();
  return at === null ? null : <Words testID="shown-as-of">{`What stands on this page is as of ${dayAndClock(at, new Date(now))}.`}</Words>;
}

function RefusedSave({ entry, refusal }: { entry: Entry; refusal: Refusal }) {
  const outbox = useOutbox();
  const way = wayOn(entry.name, refusal);
  const asItIs = { ...(entry.variables as NewFiring), asItIs: true };
  const told = entry.variables as Variables['saveFiring'];
  const atOnce = entry.name === 'saveFiring' ? { ...told, body: { ...told.body, atOnce: true } } : { ...(entry.variables as NewFiring), atOnce: true };
  return (
    <Notice
      tone="warn"
      actions={
        <>
          {way === 'again' && <Action title="Send it again" testID="refused-again" onPress={() => outbox.again(entry.id)} />}
          {way === 'asItIs' && <Action title="Fire it as it is" testID="refused-as-it-is" onPress={() => outbox.again(entry.id, asItIs)} />}
          {way === 'atOnce' && <Action title="Save it all the same" testID="refused-at-once" onPress={() => outbox.again(entry.id, atOnce)} />}
          {way === 'back' && <Action title="Bring it back with mine" testID="refused-back" onPress={() => outbox.bringBackWithMine(entry.id)} />}
          {way === 'withNamed' && (
            <Action
              title="Bring both back"
              testID="refused-with-named"
              onPress={() => outbox.again(entry.id, { ...(entry.variables as Variables['restoreRecord']), withNamed: true })}
            />
          )}
          {way === 'mine' && <Action title="Save mine over it" testID="refused-mine" onPress={() => outbox.mineOverTheirs(entry.id)} />}
          <Action kind="second" title="Let it go" testID="refused-drop" onPress={() => outbox.discard(entry.id)} />
        </>
      }
    >
      {`${outbox.wordsOf(entry)} was not taken: ${refusal.problem.message}`}
    </Notice>
  );
}
