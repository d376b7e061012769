/** Major keys by their tonic, round the circle of fifths from the flats to the sharps. */
export const MAJOR_KEYS = ['Db', 'Ab', 'Eb', 'Bb', 'F', 'C', 'G', 'D', 'A', 'E', 'B', 'F#'] as const;
export type MajorKey = (typeof MAJOR_KEYS)[number];

const TONICS: Record<MajorKey, number> = {
  C: 0,
  Db: 1,
  D: 2,
  Eb: 3,
  E: 4,
  F: 5,
  'F#': 6,
  G: 7,
  Ab: 8,
  A: 9,
  Bb: 10,
  B: 11,
};
const MAJOR_STEPS = [0, 2, 4, 5, 7, 9, 11];
const LETTERS = ['C', 'D', 'E', 'F', 'G', 'A', 'B'];
const LETTER_CLASS = [0, 2, 4, 5, 7, 9, 11];

/** Pitch class (C 0 - B 11) of a key's tonic. */
export const tonicOf = (key: MajorKey): number => TONICS[key];

const degreeOf = (midi: number, key: MajorKey) =>
  MAJOR_STEPS.indexOf((((midi - TONICS[key]) % 12) + 12) % 12);

/** Whether a note is of the key's major scale. */
export function isInKey(midi: number, key: MajorKey): boolean {
  return degreeOf(midi, key) >= 0;
}

/** A note as it is spelled: letter, sharps (+) or flats (-), octave of the letter (Cb5 sounds as B4). */
export interface SpelledNote {
  letter: string;
  alter: number;
  octave: number;
}

/** The spellings a saxophone book uses outside a key. */
const USUAL = ['C', 'C#', 'D', 'Eb', 'E', 'F', 'F#', 'G', 'G#', 'A', 'Bb', 'B'];

/** Spells a note in a key where it belongs to it, else as a saxophone book would. */
export function spellNote(midi: number, key: MajorKey | null = null): SpelledNote {
  const degree = key === null ? -1 : degreeOf(midi, key);
  const usual = USUAL[((midi % 12) + 12) % 12];
  const index =
    key === null || degree < 0
      ? LETTERS.indexOf(usual[0])
      : (LETTERS.indexOf(key[0]) + degree) % LETTERS.length;
  // From the letter's own pitch class the nearest way.
  const alter = ((((midi - LETTER_CLASS[index]) % 12) + 18) % 12) - 6;
  return { letter: LETTERS[index], alter, octave: Math.floor((midi - alter) / 12) - 1 };
}
