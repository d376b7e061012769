/** Longer than any single piece of work of the worker on a slow machine. */
const STUCK_SECONDS = 8;
const LOOK_MS = 1000;

export interface WorkerWatch {
  /** Something came from the worker. */
  heard(): void;
}

/**
 * Calls `onStuck` when an open input runs by the audio clock for 8 s and nothing comes from the worker: it has died
 * without a word or hangs. `clockSeconds` is null while no input is open.
 */
export function watchWorker(clockSeconds: () => number | null, onStuck: () => void): WorkerWatch {
  let heardAt = 0;
  let fresh = true;
  setInterval(() => {
    const now = clockSeconds();
    if (now === null || fresh) {
      heardAt = now ?? 0;
      fresh = now === null;
      return;
    }
    if (now - heardAt < STUCK_SECONDS) return;
    fresh = true;
    onStuck();
  }, LOOK_MS);
  return {
    heard() {
      heardAt = clockSeconds() ?? 0;
    },
  };
}
