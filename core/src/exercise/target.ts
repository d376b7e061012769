import { markFraction } from './dynamics.ts';
import type { Exercise, NoteItem } from './exercise.ts';

export function secondsPerBeat({ tempoBpm }: Pick<Exercise, 'tempoBpm'>): number {
  return 60 / tempoBpm;
}

/** Length of the whole exercise in beats. */
export function lengthBeats({ items }: Exercise): number {
  return items.reduce((sum, item) => sum + item.lengthBeats, 0);
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

/** Written loudness of a one-note exercise by seconds since beat 0; null before it begins and after it has ended. */
export function wantedAtSeconds(exercise: Exercise, seconds: number): number | null {
  const beat = seconds / secondsPerBeat(exercise);
  return beat < 0 || beat > lengthBeats(exercise) ? null : targetFraction(exercise.items[0], beat);
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
