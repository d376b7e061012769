import type { Exercise } from '@inner-hum/core/exercise';
import { downloadFile } from '../ui/index.ts';

export const EXERCISES_NAME = 'inner-hum-exercises.json';
export const EXERCISES_TYPE = 'application/json';

/** Exercises as one file, as the Shelf reads it again: without the place they have on this shelf. */
export function exercisesFile(exercises: readonly Exercise[]): Blob {
  const list = exercises.map(({ shelfId: _place, ...exercise }) => exercise);
  return new Blob([JSON.stringify(list, null, 2)], { type: EXERCISES_TYPE });
}

export const saveExercises = (exercises: readonly Exercise[]) =>
  downloadFile(EXERCISES_NAME, exercisesFile(exercises), EXERCISES_TYPE);
