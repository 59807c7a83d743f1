/** What was deleted long ago, and pictures that no firing names any more, stay until a person erases them; nothing is shown where there is nothing. */
import { asks } from '@torvin/schema';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from 'react-native';
import { call, problemOfError } from '@/outside/client';
import { keys } from '@/outside/keys';
import { countWords } from '@/ui/countWords';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { SET_ASIDE } from './words';

export const megabytes = (bytes: number): string => SET_ASIDE.mb((bytes / 1e6).toFixed(1));

export function SetAside() {
  const client = useQueryClient();
  const { data } = useQuery({ queryKey: keys.aside, queryFn: ({ signal }) => call(asks.aside, { signal }) });
  const erase = useMutation({
    mutationFn: () => call(asks.eraseAside, { body: {} }),
    onSuccess: (left) => client.setQueryData(keys.aside, left),
  });
  const [asking, setAsking] = useState(false);
  if (!data) return null;
  const { pieces, firings, pictures, bytes } = data;
  const deleted = [pieces > 0 && countWords(pieces, 'piece', 'pieces'), firings > 0 && countWords(firings, 'firing', 'firings')].filter(Boolean).join(' and ');
  const lost = pictures > 0 ? `${countWords(pictures, 'picture', 'pictures')}, ${megabytes(bytes)}` : '';
  const what = [deleted, lost].filter(Boolean).join(', and ');
  if (what === '') return null;
  return (
    <View style={{ paddingTop: space.wide, gap: space.small }} testID="set-aside">
      <Words bold role="heading" aria-level={2}>
        {SET_ASIDE.setAside}
      </Words>
      {deleted !== '' && <Words>{SET_ASIDE.deletedMoreThan(deleted)}</Words>}
      {lost !== '' && <Words>{SET_ASIDE.noFiringHad(lost)}</Words>}
      {erase.error && <Notice tone="warn">{problemOfError(erase.error).message}</Notice>}
      {asking ? (
        <Notice
          tone="warn"
          actions={
            <>
              <Action kind="second" title={SET_ASIDE.keepThem} testID="keep-aside" onPress={() => setAsking(false)} />
              <Action
                title={SET_ASIDE.eraseForGood}
                disabled={erase.isPending}
                testID="erase-aside"
                onPress={() => erase.mutate(undefined, { onSettled: () => setAsking(false) })}
              />
            </>
          }
        >
          {SET_ASIDE.eraseCannotUndone(what)}
        </Notice>
      ) : (
        <Action kind="second" title={SET_ASIDE.eraseThem} testID="ask-erase-aside" onPress={() => setAsking(true)} />
      )}
    </View>
  );
}
