import { writtenMidi, type WrittenMidi } from './pitch.ts';

/** As far as the Ladder goes: partial 8 is the triple octave. Overtone k is partial k + 1. */
export const HIGHEST_PARTIAL = 8;
/** The tubes whose overtones are played without the octave key: from the lowest note to F4. */
export const LAST_FUNDAMENTAL = writtenMidi(65);

/** The written note nearest to a partial of a tube. */
export function partialNote(tube: WrittenMidi, partial: number): WrittenMidi {
  return writtenMidi(tube + Math.round(12 * Math.log2(partial)));
}

/** How far a pure partial lies from the equal-tempered note: 3 + 2, 5 - 14, 7 - 31 cents. */
export function pureCents(partial: number): number {
  const semitones = 12 * Math.log2(partial);
  return 100 * (semitones - Math.round(semitones));
}
