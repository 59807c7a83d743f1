import { onlineManager } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';

export const useServerAnswers = (): boolean =>
  useSyncExternalStore(
    (listener) => onlineManager.subscribe(listener),
    () => onlineManager.isOnline(),
  );
