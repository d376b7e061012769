import { pitchTarget, type FingeredNote, type HornId, type PitchTarget } from '../horn/index.ts';
import type { Exercise } from './exercise.ts';

/**
 * What should sound for a note of an exercise. On neck or mouthpiece alone there are no fingerings: the pitch is its own
 * tube, sounding at its first partial.
 */
export function noteTarget(
  { body, overtones }: Pick<Exercise, 'body' | 'overtones'>,
  note: FingeredNote,
  hornId: HornId,
  a4Hz: number,
): PitchTarget {
  const target = pitchTarget(note, hornId, a4Hz, overtones);
  return body === undefined || body === 'horn' ? target : { ...target, tubeHz: target.targetHz, partial: 1 };
}
