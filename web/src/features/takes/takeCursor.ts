import { useSyncExternalStore } from 'react';

/**
 * The place in a take, in seconds on its clock, that pointer, keys and sound share. It moves with every picture while sound
 * plays, so it is no state of the room: only what shows it is drawn again.
 */
export interface TakeCursor {
  seconds(): number | null;
  move(seconds: number): void;
  onMove(listener: () => void): () => void;
}

export function createTakeCursor(): TakeCursor {
  let place: number | null = null;
  const listeners = new Set<() => void>();
  return {
    seconds: () => place,
    move(seconds) {
      if (seconds === place) return;
      place = seconds;
      listeners.forEach((listener) => listener());
    },
    onMove(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}

export const useCursorSeconds = (cursor: TakeCursor) => useSyncExternalStore(cursor.onMove, cursor.seconds);
