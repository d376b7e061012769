import type { Exercise } from '@inner-hum/core/exercise';
import { downloadFile } from '../ui/index.ts';

/** Exercises as one file, as the Shelf reads it again: without the place they have on this shelf. */
export function saveExercises(exercises: readonly Exercise[]): void {
  const list = exercises.map(({ shelfId: _place, ...exercise }) => exercise);
  const bytes = new TextEncoder().encode(JSON.stringify(list, null, 2));
  downloadFile('inner-hum-exercises.json', bytes, 'application/json');
}
