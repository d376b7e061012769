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
  if (letter === 'B') return { stem: { flat: 'B', sharp: 'His', '': 'H' }[accidental], accidental: '' };
  if (accidental === 'sharp') return { stem: `${letter}is`, accidental: '' };
  if (accidental === 'flat')
    return { stem: 'EA'.includes(letter) ? `${letter}s` : `${letter}es`, accidental: '' };
  return { stem: letter, accidental };
}

/** A note as some key spells it: letter, half steps up or down from it, octave of the letter. */
interface Spelled {
  letter: string;
  alter: number;
  octave: number;
}

/** As a saxophone book spells a note outside any key. */
function usually(midi: number): Spelled {
  const name = LETTERS[((midi % 12) + 12) % 12];
  const alter = name.endsWith('#') ? 1 : name.endsWith('b') ? -1 : 0;
  return { letter: name[0], alter, octave: Math.floor(midi / 12) - 1 };
}

/** Name of a MIDI note, written or sounding alike; `spelled`: as a key has it. */
export function nameNote(midi: number, naming: NoteNaming, spelled: Spelled = usually(midi)): NoteName {
  const { letter, alter, octave } = spelled;
  const accidental = alter > 0 ? 'sharp' : alter < 0 ? 'flat' : '';
  if (naming === 'german') return { ...germanStem(letter, accidental), octave };
  return { stem: naming === 'fixedDo' ? SYLLABLES[letter] : letter, accidental, octave };
}

const SIGNS = { '': '', sharp: '#', flat: 'b' };

/** A note in plain signs, for files and to be typed: "F#4"; in international letters, or as the player reads it. */
export function plainName(midi: number, naming: NoteNaming = 'letters'): string {
  const { stem, accidental, octave } = nameNote(midi, naming);
  return `${stem}${SIGNS[accidental]}${octave}`;
}
