import type { Exercise } from '@inner-hum/core/exercise';

/** One phrase of an exercise, played once, as an exercise of its own to be drawn. */
export function onePhrase(exercise: Exercise, index: number): Exercise {
  return { ...exercise, order: 'asWritten', phrases: [{ ...exercise.phrases[index], repeats: 1 }] };
}
