import type { DynamicScale } from '../exercise/index.ts';

/** A microphone whose scale was calibrated at this place may still be so much nearer or farther. */
const CALIBRATED_DB = 6;

/** What of one note tells how loud its whole phrase was. */
export interface PlacedNote {
  /** Mean distance of its level from what is written, in dB. */
  offsetDb: number;
  seconds: number;
}

/** The level of a phrase against what is written, and whether a single note tells it. */
export interface PhraseLevel {
  offsetDb: number;
  /** The same by the second opinion of each note; null where there is none. */
  evenOffsetDb: number | null;
  isAlone: boolean;
  /** One steady mark for all of it: no note has a place of its own, and horns are not even over their range. */
  isFlat: boolean;
}

/**
 * The one offset of a phrase, in dB: the microphone's gain is unknown, so that a phrase may be louder or softer as a whole. It is the one by
 * which most of the time lies within `bandDb` of its written place, the earliest of them where there are several ("louder than written
 * after this beginning"). With a calibrated scale it goes no farther than 6 dB. 0 without notes.
 */
export function phraseOffsetDb(notes: readonly PlacedNote[], bandDb: number, scale: DynamicScale): number {
  let best = { offsetDb: 0, seconds: 0 };
  for (const { offsetDb: from } of notes.toSorted((a, b) => a.offsetDb - b.offsetDb)) {
    const within = notes.filter(({ offsetDb }) => offsetDb >= from && offsetDb <= from + 2 * bandDb);
    const seconds = within.reduce((sum, note) => sum + note.seconds, 0);
    const isAsMuch = seconds > best.seconds - 1e-6 && within.includes(notes[0]);
    if (!isAsMuch && seconds <= best.seconds + 1e-6) continue;
    const mean = within.reduce((sum, note) => sum + note.offsetDb * note.seconds, 0) / seconds;
    best = { offsetDb: mean, seconds };
  }
  const { offsetDb } = best;
  return scale.source === 'calibrated'
    ? Math.max(-CALIBRATED_DB, Math.min(CALIBRATED_DB, offsetDb))
    : offsetDb;
}
