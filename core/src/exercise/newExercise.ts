import type { Horn } from '../horn/index.ts';
import type { Exercise } from './exercise.ts';
import { parseExercise } from './validate.ts';

/** G4: speaks for everyone. */
const EASY_NOTE = 67;

/** What a new exercise begins with: one long easy note, so that there is something to change and to hear. */
export function newExercise({ lowest, highest }: Pick<Horn, 'lowest' | 'highest'>): Exercise {
  const writtenMidi = Math.max(lowest, Math.min(highest, EASY_NOTE));
  return parseExercise({
    version: 3,
    tempoBpm: 60,
    beatsPerBar: 4,
    start: 'countIn',
    phrases: [{ breath: 'one', items: [{ kind: 'note', writtenMidi, lengthBeats: 4 }] }],
  });
}
