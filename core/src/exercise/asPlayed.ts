import type { Exercise, ExerciseItem } from './exercise.ts';
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
      items: phrase.items.map((item) => stretched(item, beats[next++])),
    })),
  };
}

function stretched(item: ExerciseItem, lengthBeats: number): ExerciseItem {
  const share = lengthBeats / item.lengthBeats;
  const along = <Point extends { beat: number }>(points: readonly Point[]) =>
    points.map((point) => ({ ...point, beat: point.beat * share }));
  const words = 'words' in item && item.words && { words: along(item.words) };
  if (item.kind !== 'note') return { ...item, lengthBeats, ...words };
  return {
    ...item,
    lengthBeats,
    ...words,
    dynamics: along(item.dynamics),
    ...(item.bend && { bend: along(item.bend) }),
  };
}
