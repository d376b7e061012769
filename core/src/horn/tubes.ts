import { writtenMidi, type WrittenMidi } from './pitch.ts';

/** What the regular fingering of a note closes, and which partial of it sounds. */
export interface TubeFingering {
  /** The note the same closed length gives without the octave key. */
  tube: WrittenMidi;
  /** Partial of that tube which sounds: 1 up to C#5, 2 from D5 on, where the octave key is down. */
  partial: 1 | 2;
}

const FIRST_WITH_OCTAVE_KEY = 74;

/** Regular fingering of a written note up to F#6. */
export function regularTube(note: WrittenMidi): TubeFingering {
  return note < FIRST_WITH_OCTAVE_KEY
    ? { tube: note, partial: 1 }
    : { tube: writtenMidi(note - 12), partial: 2 };
}
