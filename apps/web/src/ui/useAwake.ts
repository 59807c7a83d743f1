/** Keeps the screen from going dark while a page is in front; browsers can where the page is secure. */
import { useEffect } from 'react';

export const canStayAwake = (): boolean => 'wakeLock' in navigator;

export function useAwake(wanted: boolean): void {
  useEffect(() => {
    if (!wanted || !canStayAwake()) return;
    let lock: WakeLockSentinel | null = null;
    let over = false;
    // The browser lets it go whenever the page is hidden, and may refuse it, as when the battery is low.
    const hold = (): void => {
      if (document.visibilityState !== 'visible') return;
      void navigator.wakeLock.request('screen').then(
        (given) => {
          if (over) void given.release();
          else lock = given;
        },
        () => undefined,
      );
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, [wanted]);
}
