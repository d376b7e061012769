import type { Horn } from '../horn/index.ts';
import type { ScoreNote, ScorePart } from './scorePart.ts';

/** `sounding`: it sounds as in the score, whatever horn it was for. `written`: its notes are read as if they stood in this horn's part. */
export type ScoreReading = 'sounding' | 'written';

/** A note of a part as it is written for a horn. */
export function writtenOf(
  { soundingMidi, writtenMidi }: Pick<ScoreNote, 'soundingMidi' | 'writtenMidi'>,
  horn: Pick<Horn, 'transposition'>,
  reading: ScoreReading,
): number {
  return reading === 'written' ? writtenMidi : soundingMidi - horn.transposition;
}

/** The octaves up (+) or down (-) that bring most notes of a part into a range, the fewest of them. */
export function fittingShift(
  { notes }: Pick<ScorePart, 'notes'>,
  horn: Pick<Horn, 'transposition' | 'lowest' | 'highest'>,
  reading: ScoreReading,
): number {
  const inRange = (octaves: number) =>
    notes.filter((note) => {
      const midi = writtenOf(note, horn, reading) + 12 * octaves;
      return midi >= horn.lowest && midi <= horn.highest;
    }).length;
  return [0, 1, -1, 2, -2, 3, -3].reduce((best, octaves) =>
    inRange(octaves) > inRange(best) ? octaves : best,
  );
}
