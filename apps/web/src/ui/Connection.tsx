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
import { CONNECTION, WORDS } from './said';

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
  const waits = waiting.length > 0 && `${waiting.length} ${waiting.length === 1 ? 'waits' : 'wait'}${kept ? '' : CONNECTION.notKept}`;
  const silent = ['offline', asOf && CONNECTION.asOf(asOf), waits].filter(Boolean).join(' · ');
  const ofDisk = [CONNECTION.diskFull, waits].filter(Boolean).join(' · ');
  const word = !answers ? silent : full ? ofDisk : CONNECTION.notSaved(refused.length);
  return <Action kind="plain" title={word} label={CONNECTION.whatWaitsServer(word)} testID="connection" onPress={() => openShared(PANEL)} />;
}

function AsOf({ children }: { children: string }) {
  return (
    <Words size="label" tone="muted" testID="as-of">
      {CONNECTION.asOfWaiting(children)}
    </Words>
  );
}

const NOT_KEPT = CONNECTION.browserNoRoom;

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
      title={!answers ? CONNECTION.serverDoesNot : full ? CONNECTION.theDisk : CONNECTION.notSavedTitle}
      label={CONNECTION.whatWaits}
      closeLabel={CONNECTION.doneWhatWaits}
      onClose={closeShared}
      testID="waiting"
      ofFrame
    >
      <View style={{ gap: space.small }}>
        {answers && full && (
          <Notice tone="warn" testID="disk-full">
            {CONNECTION.diskStudioLies}
          </Notice>
        )}
        {!answers && <ShownAsOf />}
        {!answers && kept && <Words tone="muted">{waiting.length > 0 ? CONNECTION.savedBrowserEven : CONNECTION.nothingWaitsWhat}</Words>}
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
  return at === null ? null : <Words testID="shown-as-of">{CONNECTION.whatStandsPage(dayAndClock(at, new Date(now)))}</Words>;
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
          {way === 'again' && <Action title={CONNECTION.sendItAgain} testID="refused-again" onPress={() => outbox.again(entry.id)} />}
          {way === 'asItIs' && <Action title={CONNECTION.fireItAs} testID="refused-as-it-is" onPress={() => outbox.again(entry.id, asItIs)} />}
          {way === 'atOnce' && <Action title={CONNECTION.saveAllSame} testID="refused-at-once" onPress={() => outbox.again(entry.id, atOnce)} />}
          {way === 'back' && <Action title={CONNECTION.bringBackMine} testID="refused-back" onPress={() => outbox.bringBackWithMine(entry.id)} />}
          {way === 'withNamed' && (
            <Action
              title={CONNECTION.bringBothBack}
              testID="refused-with-named"
              onPress={() => outbox.again(entry.id, { ...(entry.variables as Variables['restoreRecord']), withNamed: true })}
            />
          )}
          {way === 'mine' && <Action title={WORDS.saveMineOver} testID="refused-mine" onPress={() => outbox.mineOverTheirs(entry.id)} />}
          <Action kind="second" title={CONNECTION.letItGo} testID="refused-drop" onPress={() => outbox.discard(entry.id)} />
        </>
      }
    >
      {CONNECTION.wasNotTaken(outbox.wordsOf(entry), refusal.problem.message)}
    </Notice>
  );
}
