import { markFraction } from './dynamics.ts';
import type { BendPoint, Exercise, NoteItem } from './exercise.ts';
import type { TimedItem } from './score.ts';

/** Length of a quarter note: 1 s at 60. */
export function secondsPerBeat({ tempoBpm }: Pick<Exercise, 'tempoBpm'>): number {
  return 60 / tempoBpm;
}

/**
 * Written loudness at a beat of the note, as a fraction of the player's scale (0 = ppp, 1 = fff): linear in
 * dB between the points, held before the first and after the last.
 */
export function targetFraction({ dynamics }: Pick<NoteItem, 'dynamics'>, beat: number): number {
  const after = dynamics.findIndex((point) => point.beat >= beat);
  if (after <= 0) return markFraction(dynamics[after === 0 ? 0 : dynamics.length - 1].mark);
  const from = dynamics[after - 1];
  const to = dynamics[after];
  const share = (beat - from.beat) / (to.beat - from.beat);
  return markFraction(from.mark) + share * (markFraction(to.mark) - markFraction(from.mark));
}

/** Written bend in cents at a beat of the note: linear between the points, held before the first and after the last. */
export function centsAtBeat(bend: readonly BendPoint[], beat: number): number {
  const after = bend.findIndex((point) => point.beat >= beat);
  if (after <= 0) return bend[after === 0 ? 0 : bend.length - 1].cents;
  const from = bend[after - 1];
  const to = bend[after];
  return from.cents + ((beat - from.beat) / (to.beat - from.beat)) * (to.cents - from.cents);
}

/** The item that is written at a beat, the later one where two meet; null before, between and after. */
export function itemAtBeat(score: readonly TimedItem[], beat: number): TimedItem | null {
  return score.findLast(({ startBeat, endBeat }) => beat >= startBeat && beat <= endBeat) ?? null;
}

/** Written loudness of a score at a beat; null where no note is written. */
export function wantedAtBeat(score: readonly TimedItem[], beat: number): number | null {
  const at = itemAtBeat(score, beat);
  return at?.item.kind === 'note' ? targetFraction(at.item, beat - at.startBeat) : null;
}

/** Beat of the loudest inner point, where growing turns to fading; null where the note only grows, fades or stays. */
export function writtenTurnBeat({ dynamics }: Pick<NoteItem, 'dynamics'>): number | null {
  for (let i = 1; i < dynamics.length - 1; i++) {
    const here = markFraction(dynamics[i].mark);
    if (here > markFraction(dynamics[i - 1].mark) && here > markFraction(dynamics[i + 1].mark))
      return dynamics[i].beat;
  }
  return null;
}
