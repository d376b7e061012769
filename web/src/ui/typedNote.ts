import { plainName, readNote, type NoteNaming } from '@inner-hum/core/horn';
import type { Typed } from './TypedValue.tsx';

const EXAMPLES = [86, 70];

/** How a note is typed: by its name in the player's language, with its octave. */
export const typedNote = (midi: number, naming: NoteNaming, onNote: (midi: number) => boolean): Typed => ({
  text: plainName(midi, naming),
  example: EXAMPLES.map((each) => plainName(each, naming)).join(', '),
  onTyped(text) {
    const read = readNote(text, naming);
    return read !== null && onNote(read);
  },
});
