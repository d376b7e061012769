import { notesOf, scoreOf, shapeOf, type Exercise } from '../exercise/index.ts';
import type { TakeMeasures } from './measures.ts';

/** What the player says of the pitch before it is shown. */
export type GuessedSide = 'sharp' | 'true' | 'flat';
/** Where: the soft and the loud end of a swell, or the whole of anything else. */
export type GuessedEnd = 'soft' | 'loud' | 'whole';
export type PitchGuess = Partial<Record<GuessedEnd, GuessedSide>>;

/** Nearer than this most listeners hear no difference on a steady tone: it counts as true. */
const TRUE_CENTS = 5;

/** What is asked after a blind take of this exercise. */
export function guessedEnds(exercise: Exercise): GuessedEnd[] {
  const notes = notesOf(scoreOf(exercise));
  return notes.length === 1 && shapeOf(notes[0].item) !== 'steady' ? ['soft', 'loud'] : ['whole'];
}

/** The side that was measured at an end; null where there is no figure. */
export function measuredSide(
  {
    softEndCents,
    loudEndCents,
    centsMean,
  }: Pick<TakeMeasures, 'softEndCents' | 'loudEndCents' | 'centsMean'>,
  end: GuessedEnd,
): GuessedSide | null {
  const cents = { soft: softEndCents, loud: loudEndCents, whole: centsMean }[end];
  if (cents === null) return null;
  return Math.abs(cents) <= TRUE_CENTS ? 'true' : cents > 0 ? 'sharp' : 'flat';
}
