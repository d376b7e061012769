import {
  notesOf,
  playedPhrases,
  readShift,
  scoreOf,
  type Exercise,
  type ExerciseItem,
} from '@inner-hum/core/exercise';
import type { HornId } from '@inner-hum/core/horn';

/** The note an item is about, as the player reads it: written or fingered all through, or on neck and mouthpiece what sounds. */
export function shownNote(
  item: ExerciseItem,
  exercise: Pick<Exercise, 'body'>,
  hornId: HornId,
): number | null {
  const midi = 'writtenMidi' in item ? item.writtenMidi : item.kind === 'free' ? item.fingered : undefined;
  return midi === undefined ? null : midi + readShift(exercise, hornId);
}

/** The note that begins an exercise; null where it begins with none. */
export function firstShownNote(exercise: Exercise, hornId: HornId): number | null {
  const [first] = playedPhrases(exercise);
  const note = notesOf(scoreOf({ ...exercise, order: 'asWritten', phrases: [first] })).at(0);
  return note ? shownNote(note.item, exercise, hornId) : null;
}
