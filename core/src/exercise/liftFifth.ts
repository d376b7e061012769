import { FIRST_SHORT_TUBE, LAST_SHORT_TUBE, overblownFifth, type WrittenMidi } from '../horn/index.ts';
import type { Exercise, ExerciseItem, NoteItem } from './exercise.ts';

const hasFifth = ({ writtenMidi, fingered }: NoteItem) =>
  fingered === null && writtenMidi >= FIRST_SHORT_TUBE && writtenMidi <= LAST_SHORT_TUBE;

/** The first note of an exercise that no fingering of the second octave overblows to a fifth over it; null where there is none. */
export function noteWithoutFifth({ phrases }: Pick<Exercise, 'phrases'>): WrittenMidi | null {
  const notes = phrases
    .flatMap(({ items }) => items)
    .filter((item): item is NoteItem => item.kind === 'note');
  return notes.find((note) => !hasFifth(note))?.writtenMidi ?? null;
}

const lifted = (item: ExerciseItem): ExerciseItem =>
  item.kind === 'note'
    ? { ...item, writtenMidi: overblownFifth(item.writtenMidi), fingered: item.writtenMidi }
    : item;

/**
 * Every phrase plain, then by the same fingers a fifth higher. Null where a note has no such fifth (`noteWithoutFifth` says which). What is
 * heard, hummed or imagined stays as it is written.
 */
export function liftFifth(exercise: Exercise): Exercise | null {
  if (noteWithoutFifth(exercise) !== null) return null;
  return {
    ...exercise,
    phrases: exercise.phrases.flatMap((phrase) => {
      const { key: _, ...rest } = phrase;
      // It sounds in another key than the one it is written in.
      return [phrase, { ...rest, items: phrase.items.map(lifted) }];
    }),
  };
}
