import type { WrittenMidi } from './pitch.ts';

/** The part of the horn a written note lies in. */
export type Register = 'low' | 'middle' | 'high' | 'palm';

const FIRST_MIDDLE = 63;
const FIRST_HIGH = 74;
const FIRST_PALM = 86;

/** Low: D4 and down. Middle: up to C#5. High: with the octave key, from D5. Palm: above C#6. */
export function registerOf(note: WrittenMidi): Register {
  return note < FIRST_MIDDLE ? 'low' : note < FIRST_HIGH ? 'middle' : note < FIRST_PALM ? 'high' : 'palm';
}
