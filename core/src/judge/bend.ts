import type { BendPoint } from '../exercise/index.ts';
import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { centsBetween } from '../horn/index.ts';
import { median } from '../stats/index.ts';
import type { ToneSpan } from '../tone/index.ts';

/** The note before and after its bend is told by this much of its beginning and end. */
const END_FRAMES = Math.round(0.4 / FRAME_SECONDS);
const EDGE_FRAMES = Math.round(0.1 / FRAME_SECONDS);
/** A depth counts where it is kept for so long. */
const KEPT_FRAMES = Math.round(0.05 / FRAME_SECONDS);
/** A tone that leaps farther between two frames is another tone, not a bend. */
const LEAP_CENTS = 80;

interface BendMeasures {
  bendRangeCents?: number | null;
  raiseRangeCents?: number | null;
  bendBackCents: number | null;
  /** The pitch it is bent from, off the target. */
  centsMean: number | null;
}

/** Whether a note is to be bent up and not down. */
export const isRaised = (bend: readonly BendPoint[]) => bend.some(({ cents }) => cents > 0);

/**
 * bendRangeCents: how far below its beginning the pitch was taken without leaving the tone (kept for 50 ms), raiseRangeCents: how far
 * above it; bendBackCents: its last 0.4 s against its first. Null where the tone is too short to tell.
 */
export function measureBend(
  { columns }: FrameTrack,
  { first, last }: ToneSpan,
  raised: boolean,
  targetHz: number,
): BendMeasures {
  const range = (cents: number | null) => (raised ? { raiseRangeCents: cents } : { bendRangeCents: cents });
  const side = raised ? 1 : -1;
  const hz = (frame: number) => columnValue(columns.f0Hz, frame);
  const from = first + EDGE_FRAMES;
  const to = last - EDGE_FRAMES;
  const middle = (a: number, b: number) =>
    median(Array.from({ length: Math.max(0, b - a) }, (_, i) => hz(a + i)).filter((value) => value !== null));
  const start = middle(from, from + END_FRAMES);
  const end = middle(to - END_FRAMES, to);
  if (start === null || end === null || to - from < 3 * END_FRAMES)
    return { ...range(null), bendBackCents: null, centsMean: null };
  let farthest = 0;
  let run: number[] = [];
  for (let frame = from; frame <= to; frame++) {
    const here = hz(frame);
    const before = hz(frame - 1);
    if (here === null) run = [];
    else {
      if (before !== null && Math.abs(centsBetween(here, before)) > LEAP_CENTS) break;
      run.push(side * centsBetween(here, start));
      if (run.length >= KEPT_FRAMES) farthest = Math.max(farthest, Math.min(...run.slice(-KEPT_FRAMES)));
    }
  }
  return {
    ...range(farthest),
    bendBackCents: centsBetween(end, start),
    centsMean: centsBetween(start, targetHz),
  };
}
