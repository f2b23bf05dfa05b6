import { useEffect } from 'react';

/** Keeps the screen awake while this is on it; a browser that cannot (plain HTTP, an old one) just goes on. */
export function useWakeLock(): void {
  useEffect(() => {
    let held: WakeLockSentinel | undefined;
    let left = false;
    const hold = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        const lock = await navigator.wakeLock.request('screen');
        if (left) await lock.release();
        else held = lock;
      } catch {
        // refused by the browser, on low battery for one: nothing depends on it
      }
    };
    const again = () => void hold();
    again();
    document.addEventListener('visibilitychange', again);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', again);
      void held?.release();
    };
  }, []);
}
