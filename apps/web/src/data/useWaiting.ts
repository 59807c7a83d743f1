/** What waits for the server, and whether it answers. */
import { type MutationState, onlineManager, useMutationState } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';
import { wordsOfSave } from './saves';

export const useServerAnswers = (): boolean =>
  useSyncExternalStore(
    (listener) => onlineManager.subscribe(listener),
    () => onlineManager.isOnline(),
  );

const wordsOf = (name: unknown, { variables }: MutationState<unknown, Error, unknown>): string => wordsOfSave(name, variables) ?? 'Another change';

/** Each change that waits, in a few words, in the order in which they will go. */
export const useWaiting = (): string[] =>
  useMutationState({
    filters: { status: 'pending' },
    select: ({ options, state }) => wordsOf(options.mutationKey?.[0], state as MutationState<unknown, Error, unknown>),
  });
