import { useSyncExternalStore } from 'react';
import type { Workbox } from 'workbox-window';
import { isTakeRunning } from '../workers/index.ts';
import { watchLostRooms } from './lostRoom.ts';

// The app as it is kept in this browser, so that it opens without a network; and a newer one, which waits until it is taken.

/** Nothing is fetched ahead while the first room is being shown. */
const AFTER_MS = 3000;
/** How often an open page looks for a newer version. */
const EVERY_MS = 60 * 60_000;

let workbox: Workbox | null = null;
let isReady = false;
const listeners = new Set<() => void>();

/** Where the browser remembers nothing the page is not loaded again by itself. */
const tabMemory = {
  getItem(key: string) {
    try {
      return sessionStorage.getItem(key);
    } catch {
      return 'unknown';
    }
  },
  setItem: (key: string, value: string) => sessionStorage.setItem(key, value),
};

// A tab of the version before finds the rooms it has not yet entered gone: the page that comes has them.
watchLostRooms({
  events: window,
  memory: tabMemory,
  isKept: () => Boolean(navigator.serviceWorker?.controller),
  isTakeRunning,
  reload: () => window.location.reload(),
});

/** Keeps the app for playing without a network, and notices when a newer one has come. */
export function keepAppOffline(): void {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  const begin = async () => {
    const { Workbox } = await import('workbox-window');
    const box = new Workbox('/sw.js', { scope: '/' });
    workbox = box;
    box.addEventListener('waiting', () => {
      isReady = true;
      listeners.forEach((tell) => tell());
    });
    // Where no network is, or no certificate is trusted, the app goes on without.
    box.register().catch(() => undefined);
    setInterval(() => void box.update().catch(() => undefined), EVERY_MS);
  };
  setTimeout(() => void begin().catch(() => undefined), AFTER_MS);
}

/** Whether a newer version waits. */
export function useUpdateReady(): boolean {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
    () => isReady,
  );
}

/** Takes the newer version and loads the page again. False where none waits, or a take is running in this tab or another: then nothing happens. */
export async function takeUpdate(): Promise<boolean> {
  if (!workbox || !isReady || (await isTakeRunning())) return false;
  workbox.addEventListener('controlling', () => window.location.reload());
  workbox.messageSkipWaiting();
  return true;
}
