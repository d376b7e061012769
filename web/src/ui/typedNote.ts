import { nameNote, readNote, type NoteNaming } from '@inner-hum/core/horn';
import type { Typed } from './TypedValue.tsx';

const SIGNS = { '': '', sharp: '#', flat: 'b' };
const EXAMPLES = [86, 70];

export function typedName(midi: number, naming: NoteNaming): string {
  const { stem, accidental, octave } = nameNote(midi, naming);
  return `${stem}${SIGNS[accidental]}${octave}`;
}

/** How a note is typed: by its name in the player's language, with its octave. */
export const typedNote = (midi: number, naming: NoteNaming, onNote: (midi: number) => boolean): Typed => ({
  text: typedName(midi, naming),
  example: EXAMPLES.map((each) => typedName(each, naming)).join(', '),
  onTyped(text) {
    const read = readNote(text, naming);
    return read !== null && onNote(read);
  },
});
