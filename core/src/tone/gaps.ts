import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { MIN_TONE_CLARITY, type ToneSpan } from './toneSpan.ts';

/** A hole in what should be one tone. */
export interface Gap {
  timeSeconds: number;
  lengthSeconds: number;
}

const FALL_DB = 6;
const AROUND_FRAMES = Math.round(0.2 / FRAME_SECONDS);
/** Shorter holes are what a change of partial does to the window, not a gap one hears. */
const MIN_FRAMES = Math.round(0.03 / FRAME_SECONDS);

/**
 * Gaps within a tone: no pitch, clarity under 0.6, or a level more than 6 dB under the quieter of the levels
 * 0.2 s before and after - a fall and a rise, so that a fast fade is no gap.
 */
export function findGaps(track: FrameTrack, span: ToneSpan): Gap[] {
  const { levelDb, clarity, f0Hz } = track.columns;
  const holds = (i: number) => {
    const before = levelDb[Math.max(span.first, i - AROUND_FRAMES)];
    const after = levelDb[Math.min(span.last, i + AROUND_FRAMES)];
    return (
      columnValue(f0Hz, i) !== null &&
      clarity[i] >= MIN_TONE_CLARITY &&
      levelDb[i] >= Math.min(before, after) - FALL_DB
    );
  };
  const gaps: Gap[] = [];
  let start = span.first;
  for (let i = span.first; i <= span.last + 1; i++) {
    if (i <= span.last && !holds(i)) continue;
    if (i - start >= MIN_FRAMES)
      gaps.push({ timeSeconds: start * FRAME_SECONDS, lengthSeconds: (i - start) * FRAME_SECONDS });
    start = i + 1;
  }
  return gaps;
}
