// How large an exercise may be. By themselves, so that who only asks brings no checks along.
/** Written notes, as MIDI numbers. */
export const LEAST_MIDI = 40;
export const MOST_MIDI = 110;
export const LEAST_BEATS = 0.25;
export const MOST_BEATS = 64;
export const MOST_ITEMS = 200;
/** Turns of loudness in one note. */
export const MOST_POINTS = 16;
/** Of a word to think of: it is read from two metres. */
export const MOST_WORD = 16;
export const MOST_NAME = 60;
/** Items of a whole round, repeats counted: hours of playing. */
export const MOST_PLAYED = 20_000;
/** A whole round through every note and octave has about this many. */
export const MOST_PHRASES = 120;
