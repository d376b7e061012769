import { type Fingering } from '../horn/index.ts';
import { isAlone } from './body.ts';
import type { Exercise } from './exercise.ts';

/**
 * The exercise with the player's own fingering on every note that has one and names no other: so high notes are shown, and their
 * tries counted, by the keys that are really pressed. `fingerings` by written note.
 */
export function withFingerings(exercise: Exercise, fingerings: ReadonlyMap<number, Fingering>): Exercise {
  if (fingerings.size === 0 || isAlone(exercise)) return exercise;
  return {
    ...exercise,
    phrases: exercise.phrases.map((phrase) => ({
      ...phrase,
      items: phrase.items.map((item) => {
        if (item.kind !== 'note' || item.keys || item.fingered !== null) return item;
        const keys = fingerings.get(item.writtenMidi);
        return keys ? { ...item, keys: [...keys] } : item;
      }),
    })),
  };
}
