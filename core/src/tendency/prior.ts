import type { WrittenMidi } from '../horn/index.ts';

/** What is taken to be likely before anything is played, as standard deviations in cents (bends in cents per 10 dB). */
export const PRIOR = {
  /** A note by itself, and against the note beside it in the same register. */
  note: 40,
  noteStep: 9,
  /** Against its neighbour over a border of registers: hardly tied. */
  noteStepOver: 40,
  /** Saxophones go flat when loud. */
  bendMean: -6,
  bend: 6,
  bendStep: 2.5,
  bendStepOver: 5,
  /** How much the bend itself curves, in cents at 10 dB from the middle. */
  bow: 1.5,
  /** How flat a cold horn is. */
  warmUp: 12,
  /** Day against day: reed, weather, how far the mouthpiece is on. */
  day: 6,
} as const;

/** Between these notes another register begins: over the break, into the palm keys, into altissimo. */
export const REGISTER_BORDERS: readonly number[] = [74, 86, 91];

/** Whether another register begins at the upper of two neighbours. */
export const isBorder = (upper: WrittenMidi | number) => REGISTER_BORDERS.includes(upper);
