/** Which names the player reads: international letters, German (H and B), or fixed do. */
export type NoteNaming = 'letters' | 'german' | 'fixedDo';

export interface NoteName {
  /** Letter or syllable, without accidental. */
  stem: string;
  accidental: '' | 'sharp' | 'flat';
  /** Scientific octave: C4 is middle C. */
  octave: number;
}

// The spellings a saxophone book uses: C# and F# and G# sharp, Eb and Bb flat.
const LETTERS = ['C', 'C#', 'D', 'Eb', 'E', 'F', 'F#', 'G', 'G#', 'A', 'Bb', 'B'];
const SYLLABLES: Record<string, string> = { C: 'Do', D: 'Re', E: 'Mi', F: 'Fa', G: 'Sol', A: 'La', B: 'Si' };

function germanStem(
  letter: string,
  accidental: NoteName['accidental'],
): Pick<NoteName, 'stem' | 'accidental'> {
  if (letter === 'B') return { stem: accidental === 'flat' ? 'B' : 'H', accidental: '' };
  if (accidental === 'sharp') return { stem: `${letter}is`, accidental: '' };
  if (accidental === 'flat') return { stem: letter === 'E' ? 'Es' : `${letter}es`, accidental: '' };
  return { stem: letter, accidental };
}

/** Name of a MIDI note, written or sounding alike. */
export function nameNote(midi: number, naming: NoteNaming): NoteName {
  const spelled = LETTERS[((midi % 12) + 12) % 12];
  const letter = spelled[0];
  const accidental = spelled.endsWith('#') ? 'sharp' : spelled.endsWith('b') ? 'flat' : '';
  const octave = Math.floor(midi / 12) - 1;
  if (naming === 'german') return { ...germanStem(letter, accidental), octave };
  return { stem: naming === 'fixedDo' ? SYLLABLES[letter] : letter, accidental, octave };
}

const SIGNS = { '': '', sharp: '#', flat: 'b' };

/** A note in plain letters, for files: "F#4". */
export function plainName(midi: number): string {
  const { stem, accidental, octave } = nameNote(midi, 'letters');
  return `${stem}${SIGNS[accidental]}${octave}`;
}
