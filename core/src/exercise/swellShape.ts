import type { NoteItem } from './exercise.ts';
import { targetFraction, writtenTurnBeat } from './target.ts';

export const SWELL_SHAPES = ['growFade', 'fade', 'grow', 'steady'] as const;
/** pp<ff>pp, ff>pp, pp<ff, or one level throughout. */
export type SwellShape = (typeof SWELL_SHAPES)[number];

/** The shape of a written note, whatever its marks: the inverse of the builder. */
export function shapeOf(note: Pick<NoteItem, 'dynamics' | 'lengthBeats'>): SwellShape {
  if (writtenTurnBeat(note) !== null) return 'growFade';
  const first = targetFraction(note, 0);
  const last = targetFraction(note, note.lengthBeats);
  return first === last ? 'steady' : first < last ? 'grow' : 'fade';
}
