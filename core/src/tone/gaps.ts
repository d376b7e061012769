import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { MIN_TONE_CLARITY, type ToneSpan } from './toneSpan.ts';

/** A hole in what should be one tone. */
export interface Gap {
  timeSeconds: number;
  lengthSeconds: number;
}

const FALL_DB = 6;
/** In a room that rings, echoes alone take so much of a level away for a moment. */
const RINGING_FALL_DB = 12;
const AROUND_FRAMES = Math.round(0.2 / FRAME_SECONDS);
/** Shorter holes are what a change of partial does to the window, not a gap one hears. */
const MIN_FRAMES = Math.round(0.03 / FRAME_SECONDS);
const KNOCK_FRAMES = Math.round(0.08 / FRAME_SECONDS);
const KNOCK_FALL_DB = 2;

/**
 * Gaps within a tone: no pitch, clarity under 0.6, or a level more than 6 dB under the quieter of the levels
 * 0.2 s before and after - a fall and a rise, so that a fast fade is no gap. Frames that are 1 in `masked` say nothing.
 * `rings`: the room does.
 */
export function findGaps(track: FrameTrack, span: ToneSpan, masked: Uint8Array, rings = false): Gap[] {
  const fallDb = rings ? RINGING_FALL_DB : FALL_DB;
  const { levelDb, clarity, f0Hz } = track.columns;
  const quieterAround = (first: number, last: number) =>
    Math.min(
      levelDb[Math.max(span.first, first - AROUND_FRAMES)],
      levelDb[Math.min(span.last, last + AROUND_FRAMES)],
    );
  const holds = (i: number) =>
    columnValue(f0Hz, i) !== null &&
    clarity[i] >= MIN_TONE_CLARITY &&
    levelDb[i] >= quieterAround(i, i) - fallDb;
  /** A knock hides the tone for a moment and is loud itself; where the tone is gone the level falls. */
  const isKnock = (first: number, last: number) => {
    if (last - first >= KNOCK_FRAMES) return false;
    const around = quieterAround(first, last);
    return levelDb.subarray(first, last + 1).every((db) => db > around - KNOCK_FALL_DB);
  };
  const gaps: Gap[] = [];
  let start: number | null = null;
  let last = 0;
  for (let i = span.first; i <= span.last + 1; i++) {
    if (i <= span.last && masked[i] === 1) continue;
    if (i <= span.last && !holds(i)) {
      start ??= i;
      last = i;
      continue;
    }
    if (start !== null && last - start + 1 >= MIN_FRAMES && !isKnock(start, last))
      gaps.push({ timeSeconds: start * FRAME_SECONDS, lengthSeconds: (last - start + 1) * FRAME_SECONDS });
    start = null;
  }
  return gaps;
}
