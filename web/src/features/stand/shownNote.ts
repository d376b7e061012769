import { notesOf, playedPhrases, scoreOf, type Exercise, type ExerciseItem } from '@inner-hum/core/exercise';
import { hornById, toSounding, writtenMidi, type HornId } from '@inner-hum/core/horn';

/** The note an item is about, as the player reads it: written, or on neck and mouthpiece what sounds. */
export function shownNote(
  item: ExerciseItem,
  { body }: Pick<Exercise, 'body'>,
  hornId: HornId,
): number | null {
  if (!('writtenMidi' in item)) return null;
  return body === undefined || body === 'horn'
    ? item.writtenMidi
    : toSounding(writtenMidi(item.writtenMidi), hornById(hornId));
}

/** The note that begins an exercise; null where it begins with none. */
export function firstShownNote(exercise: Exercise, hornId: HornId): number | null {
  const [first] = playedPhrases(exercise);
  const note = notesOf(scoreOf({ ...exercise, order: 'asWritten', phrases: [first] })).at(0);
  return note ? shownNote(note.item, exercise, hornId) : null;
}
