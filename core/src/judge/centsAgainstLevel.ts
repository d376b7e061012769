import type { NonPlayerSpan, FrameTrack } from '../hearing/index.ts';
import { theilSen } from '../stats/index.ts';
import { frameMask, findToneSpan } from '../tone/index.ts';
import { noteTarget, onlyNote } from '../exercise/index.ts';
import type { TakeContext } from './takeContext.ts';
import { readNote } from './noteTrack.ts';

export interface CentsAgainstLevel {
  /** One frame of the steady part on the written partial each; dBFS and cents from the written note. */
  points: { levelDb: number; cents: number }[];
  /** Robust line through them: cents = slope x levelDb + intercept; null with under three points. */
  line: { slope: number; intercept: number } | null;
}

/** Pitch against loudness of a take, frame by frame. Empty where no tone was heard, and for takes of several notes. */
export function centsAgainstLevel(
  track: FrameTrack,
  context: TakeContext,
  foreign: readonly NonPlayerSpan[],
): CentsAgainstLevel {
  const note = onlyNote(context.exercise);
  const span = note && findToneSpan(track, context.roomFloorDb);
  if (note === null || span === null) return { points: [], line: null };
  const target = noteTarget(context.exercise, note, context.hornId, context.a4Hz);
  const { cents, levelDb } = readNote(track, span, target, frameMask(track.count, foreign));
  const points = Array.from(cents, (value, i) => ({ cents: value, levelDb: levelDb[i] })).filter(
    (point) => !Number.isNaN(point.cents) && !Number.isNaN(point.levelDb),
  );
  const line = theilSen(
    points.map((point) => point.levelDb),
    points.map((point) => point.cents),
  );
  return { points, line };
}
