import type { Desk } from '../audio/index.ts';

/** Longer than any single piece of work of the worker on a slow machine. */
const STUCK_SECONDS = 8;
const LOOK_SECONDS = 1;

export interface WorkerWatch {
  /** Something came from the worker. */
  heard(): void;
}

/**
 * Calls `onStuck` when an open input runs by the audio clock for 8 s and nothing comes from the worker: it has died
 * without a word or hangs.
 */
export function watchWorker(
  desk: Pick<Desk, 'now' | 'after'>,
  isOpen: () => boolean,
  onStuck: () => void,
): WorkerWatch {
  /** Null: nothing is expected of it yet. */
  let heardAt: number | null = null;
  const look = () => {
    if (!isOpen()) heardAt = null;
    else if (heardAt === null) heardAt = desk.now();
    else if (desk.now() - heardAt >= STUCK_SECONDS) {
      heardAt = null;
      onStuck();
    }
    desk.after(LOOK_SECONDS, look);
  };
  desk.after(LOOK_SECONDS, look);
  return {
    heard() {
      heardAt = desk.now();
    },
  };
}
