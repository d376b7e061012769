import type { HornId, PitchTarget } from '../horn/index.ts';
import type { DynamicMark } from './dynamics.ts';
import type { Exercise, NoteItem } from './exercise.ts';
import { noteTarget } from './noteTarget.ts';
import { notesOf, scoreOf } from './score.ts';
import { centsAtBeat, secondsPerBeat, wantedAtBeat } from './target.ts';

/** A mark that holds longer than this is worth writing at both ends. */
const FAR_SECONDS = 0.5;

/** A written note at its time, in seconds from beat 0, with what should sound. */
export interface WrittenNote extends PitchTarget {
  item: NoteItem;
  /** Out of the note before it without a break. */
  isSlurred: boolean;
  fromSeconds: number;
  toSeconds: number;
}

/** The notes of an exercise on a horn, in order of time. */
export function writtenNotes(exercise: Exercise, hornId: HornId, a4Hz: number): WrittenNote[] {
  const beat = secondsPerBeat(exercise);
  return notesOf(scoreOf(exercise)).map(({ item, startBeat, endBeat }) => ({
    item,
    isSlurred: item.attack === 'slurred',
    fromSeconds: startBeat * beat,
    toSeconds: endBeat * beat,
    ...noteTarget(exercise, item, hornId, a4Hz),
  }));
}

/** Written loudness (0 ppp - 1 fff) by seconds from beat 0; null where no note is written. */
export function wantedBySeconds(exercise: Exercise): (seconds: number) => number | null {
  const score = scoreOf(exercise);
  const beat = secondsPerBeat(exercise);
  return (seconds) => wantedAtBeat(score, seconds / beat);
}

/** Written bend in cents by seconds from beat 0, 0 where none is written; null where no note of the exercise is bent. */
export function bendBySeconds(exercise: Exercise): ((seconds: number) => number) | null {
  const score = notesOf(scoreOf(exercise)).filter(({ item }) => item.bend);
  const beat = secondsPerBeat(exercise);
  if (score.length === 0) return null;
  return (seconds) => {
    const at = score.find(
      ({ startBeat, endBeat }) => seconds >= startBeat * beat && seconds <= endBeat * beat,
    );
    return at?.item.bend ? centsAtBeat(at.item.bend, seconds / beat - at.startBeat) : 0;
  };
}

/** The dynamic marks of an exercise by seconds from beat 0; where a mark only goes on it is not written again. */
export function writtenMarks(exercise: Exercise): { seconds: number; mark: DynamicMark }[] {
  const beat = secondsPerBeat(exercise);
  const all = notesOf(scoreOf(exercise)).flatMap(({ item, startBeat }) =>
    item.dynamics.map((point) => ({ seconds: (startBeat + point.beat) * beat, mark: point.mark })),
  );
  const far = all.filter(
    ({ mark, seconds }, i) =>
      i === 0 || mark !== all[i - 1].mark || seconds - all[i - 1].seconds > FAR_SECONDS,
  );
  // In the middle of a level that goes on there is nothing to say.
  return far.filter(
    ({ mark }, i) => mark !== (far.at(i + 1)?.mark ?? null) || i === 0 || mark !== far[i - 1].mark,
  );
}
