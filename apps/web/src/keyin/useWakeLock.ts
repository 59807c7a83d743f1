import { useEffect } from 'react';

/** Keeps the screen lit while something has to be read off it; where a browser cannot, it goes dark as always. */
export function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const take = async (): Promise<void> => {
      if (document.visibilityState !== 'visible') return;
      const taken = await navigator.wakeLock?.request('screen').catch(() => null);
      if (gone) void taken?.release();
      else lock = taken ?? null;
    };
    // A page that was out of sight has lost it.
    const again = (): void => void take();
    document.addEventListener('visibilitychange', again);
    void take();
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
}
