import { useEffect } from 'react';

/** Keeps the screen awake while a room is open; asked for again whenever the tab comes back. */
export function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const ask = async () => {
      if (document.hidden || !('wakeLock' in navigator)) return;
      // Refused on low battery: the screen then behaves as the player's own settings say.
      lock = await navigator.wakeLock.request('screen').catch(() => null);
      if (over) await lock?.release();
    };
    void ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    };
  }, []);
}
