// Over the regular range, where every horn has its own fingerings.

import { HIGHEST_NOTE, isHighNote, LAST_REGULAR, readFingeringKey, type Horn } from '../../horn/index.ts';
import type { Attack, Judged, NoteItem } from '../exercise.ts';
import type { DynamicMark } from '../dynamics.ts';
import { note } from './family.ts';
import { keysOption, noteOption } from './options.ts';

/** Who does not work up to E6 is not offered altissimo. */
const LEAST_HIGHEST = 88;
/** The first note that every fingering of is the player's own. */
const FIRST = LAST_REGULAR + 1;

/** Where one comes from: a fifth under the first of them. */
const MOST_LOWEST = LAST_REGULAR - 7;

/** Null where the player's range ends before high notes begin, or holds nothing to come from. */
export const withHigh = <Own>({ lowest, highest }: Horn, options: () => Own): Own | null =>
  highest >= LEAST_HIGHEST && lowest <= MOST_LOWEST ? options() : null;

/** F#6 to D7, and the keys held for it: none chosen, the ones the player has settled on. */
export const highNoteOptions = (usual: number = FIRST) => ({
  note: noteOption(LAST_REGULAR, HIGHEST_NOTE, usual),
  keys: keysOption,
});

/** A high note by the keys that were chosen. */
export function highNote(
  midi: number,
  keys: string,
  beats: number,
  mark: DynamicMark,
  attack: Attack,
  judged: Judged[] | null = null,
): NoteItem {
  return {
    ...note(midi, beats, mark, mark, attack),
    ...(keys !== '' && isHighNote(midi) && { keys: [...readFingeringKey(keys)] }),
    judged,
  };
}
