import { writtenMidi, type WrittenMidi } from './pitch.ts';

const LETTERS: Record<string, number> = { c: 0, d: 2, e: 4, f: 5, g: 7, a: 9, b: 11 };
const ACCIDENTALS: Record<string, number> = { '': 0, '#': 1, b: -1 };

/** A written note from international letters ("Bb3", "F#5", "g4"), or null where it is none. */
export function readNote(text: string): WrittenMidi | null {
  const match = /^([a-g])(#|b|)(-?\d)$/i.exec(text.trim());
  if (!match) return null;
  const [, letter, accidental, octave] = match;
  return writtenMidi(
    12 * (Number(octave) + 1) + LETTERS[letter.toLowerCase()] + ACCIDENTALS[accidental.toLowerCase()],
  );
}
