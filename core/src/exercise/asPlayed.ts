import { withLength } from './edit.ts';
import type { Exercise } from './exercise.ts';
import { playedPhrases } from './score.ts';

/**
 * An exercise as it was played in one's own time: every item of its score as long as it was held, in beats, and what is written
 * along it (marks, bend, words) stretched with it. Phrases come in playing order. `beats`: one length an item of the score, over 0;
 * throws `RangeError` where there are not as many.
 */
export function exerciseAsPlayed(exercise: Exercise, beats: readonly number[]): Exercise {
  const phrases = playedPhrases(exercise);
  const count = phrases.reduce((sum, { items }) => sum + items.length, 0);
  if (beats.length !== count) throw new RangeError(`${count} items, ${beats.length} lengths`);
  let next = 0;
  return {
    ...exercise,
    order: 'asWritten',
    phrases: phrases.map((phrase) => ({
      ...phrase,
      items: phrase.items.map((item) => withLength(item, beats[next++])),
    })),
  };
}

/** An exercise whose only phrase ends after so many items: what was played of one that goes on until the player stops. */
export function exerciseUpTo(exercise: Exercise, count: number): Exercise {
  const [phrase] = exercise.phrases;
  return { ...exercise, phrases: [{ ...phrase, items: phrase.items.slice(0, count) }] };
}

/** Whether what is played goes on until the player stops. */
export const isOpenEnded = ({ phrases }: Pick<Exercise, 'phrases'>): boolean =>
  phrases.length === 1 && phrases[0].open === true && phrases[0].repeats === 1;
