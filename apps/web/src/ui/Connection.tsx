/**
 * In the header: that the server does not answer and how much waits for it, or that something kept was refused. A touch
 * opens the list over the places.
 */
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { NewFiring } from '@torvin/schema';
import { View } from 'react-native';
import { problemOfError, versionStanding } from '@/data/client';
import { type Refused, dropRefused, refuseAgain, useRefused, wayOn } from '@/data/refused';
import { overTheirs, sendAgain, wordsOfSave } from '@/data/saves';
import { useServerAnswers, useWaiting } from '@/data/useWaiting';
import { space } from '@/theme/theme';
import { Action } from './Action';
import { Drawer } from './Drawer';
import { Notice } from './Notice';
import { Words } from './Words';
import { closeShared, openShared, useShared } from './shared';

const PANEL = 'waiting';

export function ConnectionWord() {
  const answers = useServerAnswers();
  const waiting = useWaiting();
  const refused = useRefused();
  if (answers && refused.length === 0) return null;
  const word = answers
    ? `${refused.length} not saved`
    : waiting.length > 0
      ? `offline · ${waiting.length} ${waiting.length === 1 ? 'waits' : 'wait'}`
      : 'offline';
  return <Action kind="plain" title={word} label={`${word}: what waits for the server`} testID="connection" onPress={() => openShared(PANEL)} />;
}

/** Stands in the frame, under whatever page is open. */
export function WaitingDrawer() {
  const open = useShared() === PANEL;
  const answers = useServerAnswers();
  const waiting = useWaiting();
  const refused = useRefused();
  if (!open || (answers && refused.length === 0)) return null;
  return (
    <Drawer
      title={answers ? 'Not saved' : 'The server does not answer'}
      label="What waits for the server"
      closeLabel="Done with what waits"
      onClose={closeShared}
      testID="waiting"
    >
      <View style={{ gap: space.small }}>
        {!answers && (
          <Words tone="muted">
            {waiting.length > 0
              ? 'Kept in this browser, also when the tab is closed, and sent in this order when the server answers:'
              : 'Nothing waits. What you change now is kept in this browser and sent when the server answers.'}
          </Words>
        )}
        <View role="list">
          {waiting.map((what, index) => (
            <View role="listitem" key={index}>
              <Words>{what}</Words>
            </View>
          ))}
        </View>
        {refused.map((one) => (
          <RefusedSave key={one.id} refused={one} />
        ))}
      </View>
    </Drawer>
  );
}

function RefusedSave({ refused }: { refused: Refused }) {
  const client = useQueryClient();
  const [busy, setBusy] = useState(false);
  const { id, name, variables, problem, currentVersion } = refused;
  const way = wayOn(refused);
  const again = (sent: unknown): void => {
    setBusy(true);
    void sendAgain(client, name, sent)
      .then(
        () => dropRefused(id),
        (error: unknown) => refuseAgain(id, { problem: problemOfError(error), currentVersion: versionStanding(error) }),
      )
      .finally(() => setBusy(false));
  };
  return (
    <Notice
      tone="warn"
      actions={
        <>
          {way === 'again' && <Action title="Send it again" disabled={busy} testID="refused-again" onPress={() => again(variables)} />}
          {way === 'asItIs' && (
            <Action title="Fire it as it is" disabled={busy} testID="refused-as-it-is" onPress={() => again({ ...(variables as NewFiring), asItIs: true })} />
          )}
          {way === 'mine' && currentVersion !== null && (
            <Action title="Save mine over it" disabled={busy} testID="refused-mine" onPress={() => again(overTheirs(variables, currentVersion))} />
          )}
          <Action kind="second" title="Let it go" disabled={busy} testID="refused-drop" onPress={() => dropRefused(id)} />
        </>
      }
    >
      {`${wordsOfSave(name, variables) ?? 'A change'}, kept while the server was away, was not taken: ${problem.message}`}
    </Notice>
  );
}
