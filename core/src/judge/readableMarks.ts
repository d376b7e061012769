import type { Exercise, ExerciseItem, Judged } from '../exercise/index.ts';
import { judgedWithout } from './judgedWithout.ts';

const BY_LEVEL: ReadonlySet<Judged> = new Set(['dynamics', 'line']);

/** Marks that can be laid against time: at least one, the first at the beginning, beats rising. */
function isReadable(item: ExerciseItem): boolean {
  if (item.kind !== 'note') return true;
  const { dynamics } = item;
  return (
    Array.isArray(dynamics) &&
    dynamics.length > 0 &&
    dynamics.every(({ beat }, i) => Number.isFinite(beat) && (i === 0 || beat > dynamics[i - 1].beat))
  );
}

/**
 * An exercise whose every note has marks that can be read: where they are missing or run backwards a note is judged without its dynamics.
 * `unread`: there were such notes.
 */
export function withReadableMarks(exercise: Exercise): { exercise: Exercise; unread: boolean } {
  if (exercise.phrases.every(({ items }) => items.every(isReadable))) return { exercise, unread: false };
  const readable = (item: ExerciseItem): ExerciseItem =>
    item.kind !== 'note' || isReadable(item)
      ? item
      : {
          ...item,
          dynamics: [
            { beat: 0, mark: 'mf' },
            { beat: item.lengthBeats, mark: 'mf' },
          ],
          judged: judgedWithout(item, BY_LEVEL),
        };
  return {
    exercise: {
      ...exercise,
      phrases: exercise.phrases.map((phrase) => ({ ...phrase, items: phrase.items.map(readable) })),
    },
    unread: true,
  };
}
