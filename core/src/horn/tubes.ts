import { writtenMidi, type WrittenMidi } from './pitch.ts';

/** What the fingering of a note closes, and which partial of it sounds. */
export interface TubeFingering {
  /** The note the same closed length gives without the octave key. */
  tube: WrittenMidi;
  /** Partial of that tube which sounds: 1 up to C#5, 2 from D5 on, where the octave key is down, higher in altissimo. */
  partial: number;
}

const FIRST_WITH_OCTAVE_KEY = 74;
/** F#6: over it no note is the second partial of a tube that the horn has. */
export const LAST_REGULAR = writtenMidi(90);
/** Nothing closed. */
const SHORTEST_TUBE = 73;

/**
 * Regular fingering of a written note up to F#6; above it the lowest partial, from the third on, of a tube no shorter than the
 * open one. Which partial an altissimo fingering sounds differs by horn: this names its neighbours, it is no law.
 */
export function regularTube(note: WrittenMidi): TubeFingering {
  if (note < FIRST_WITH_OCTAVE_KEY) return { tube: note, partial: 1 };
  if (note <= LAST_REGULAR) return { tube: writtenMidi(note - 12), partial: 2 };
  let partial = 3;
  const tubeOf = () => note - Math.round(12 * Math.log2(partial));
  while (tubeOf() > SHORTEST_TUBE) partial++;
  return { tube: writtenMidi(tubeOf()), partial };
}
