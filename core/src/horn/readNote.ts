import type { NoteNaming } from './noteNames.ts';
import { writtenMidi, type WrittenMidi } from './pitch.ts';

const LETTERS: Record<string, number> = { c: 0, d: 2, e: 4, f: 5, g: 7, a: 9, b: 11 };
const SYLLABLES: Record<string, number> = { do: 0, re: 2, mi: 4, fa: 5, sol: 7, la: 9, si: 11 };
const ACCIDENTALS: Record<string, number> = { '': 0, '#': 1, b: -1 };

/** Signs as fonts have them, and the words for them, as one letter each. */
const plainSigns = (text: string) =>
  text
    .trim()
    .toLowerCase()
    .replace(/♯|\bsharp\b|\bdiesis\b/g, '#')
    .replace(/♭|\bflat\b|\bbemolle\b/g, 'b')
    .replace(/\s+/g, '');

const inOctave = (octave: string, step: number) => writtenMidi(12 * (Number(octave) + 1) + step);

/** German names: H and B, -is and -es. */
function readGerman(text: string): WrittenMidi | null {
  const match = /^([a-h])(is|es|s|#|)(-?\d)$/.exec(text);
  if (!match) return null;
  const [, letter, ending, octave] = match;
  if (ending === 's' && !'ea'.includes(letter)) return null;
  const step = letter === 'h' ? LETTERS.b : letter === 'b' ? LETTERS.b - 1 : LETTERS[letter];
  return inOctave(octave, step + (ending === '' ? 0 : ending === 'is' || ending === '#' ? 1 : -1));
}

/**
 * A written note by its name and octave ("Bb3", "F#5", "g4"; German "B3", "Es5"; "Sib3"), or null where it is none. Whatever the player's
 * naming, international letters are read too, where they mean nothing else in it.
 */
export function readNote(text: string, naming: NoteNaming = 'letters'): WrittenMidi | null {
  const plain = plainSigns(text);
  const german = naming === 'german' ? readGerman(plain) : null;
  if (german !== null) return german;
  const syllable = naming === 'fixedDo' ? /^(do|re|mi|fa|sol|la|si)(#|b|)(-?\d)$/.exec(plain) : null;
  if (syllable) return inOctave(syllable[3], SYLLABLES[syllable[1]] + ACCIDENTALS[syllable[2]]);
  const match = /^([a-g])(#|b|)(-?\d)$/.exec(plain);
  return match ? inOctave(match[3], LETTERS[match[1]] + ACCIDENTALS[match[2]]) : null;
}
