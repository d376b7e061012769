import { hornById, type HornId } from '../horn/index.ts';
import type { Exercise } from './exercise.ts';

/** Played on neck or mouthpiece, without the horn's fingerings and range. */
export function isAlone({ body }: Pick<Exercise, 'body'>): boolean {
  return body !== undefined && body !== 'horn';
}

/** Half steps from a stored note to the one that is read: none on the horn; on neck and mouthpiece one reads what sounds. */
export function readShift(exercise: Pick<Exercise, 'body'>, hornId: HornId): number {
  return isAlone(exercise) ? hornById(hornId).transposition : 0;
}
