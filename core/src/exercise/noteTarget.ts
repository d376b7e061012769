import { pitchTarget, type FingeredNote, type HornId, type PitchTarget } from '../horn/index.ts';
import { isAlone } from './body.ts';
import type { Exercise } from './exercise.ts';

/**
 * What should sound for a note of an exercise. On neck or mouthpiece alone there are no fingerings: the pitch is its own
 * tube, sounding at its first partial.
 */
export function noteTarget(
  exercise: Pick<Exercise, 'body' | 'overtones'>,
  note: FingeredNote,
  hornId: HornId,
  a4Hz: number,
): PitchTarget {
  const target = pitchTarget(note, hornId, a4Hz, exercise.overtones);
  return isAlone(exercise) ? { ...target, tubeHz: target.targetHz, partial: 1 } : target;
}
