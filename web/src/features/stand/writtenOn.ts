import {
  bendBySeconds,
  lengthBeats,
  scoreOf,
  secondsPerBeat,
  wantedBySeconds,
  writtenMarks,
  writtenNotes,
  type Exercise,
} from '@inner-hum/core/exercise';
import type { HornId } from '@inner-hum/core/horn';
import { outlineStretches } from '../../ribbon/index.ts';

/** All that is written of an exercise, by seconds from beat 0. */
export function writtenOn(exercise: Exercise, hornId: HornId, a4Hz: number) {
  return {
    exercise,
    score: scoreOf(exercise),
    length: lengthBeats(exercise) * secondsPerBeat(exercise),
    stretches: outlineStretches(writtenNotes(exercise, hornId, a4Hz)),
    wantedAt: wantedBySeconds(exercise),
    bendAt: bendBySeconds(exercise),
    marks: writtenMarks(exercise),
  };
}
