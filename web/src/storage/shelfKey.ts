import type { Exercise } from '@inner-hum/core/exercise';

/** What an exercise is known by on the shelf: its family, or its own place. */
export function shelfKey({ family, shelfId }: Pick<Exercise, 'family' | 'shelfId'>): string {
  return shelfId === undefined ? (family ?? '') : `own.${shelfId}`;
}
