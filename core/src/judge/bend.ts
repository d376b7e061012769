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

/**
 * bendRangeCents: how far below its beginning the pitch was taken without leaving the tone (kept for 50 ms); bendBackCents:
 * its last 0.4 s against its first. Null where the tone is too short to tell.
 */
export function measureBend(
  { columns }: FrameTrack,
  { first, last }: ToneSpan,
): { bendRangeCents: number | null; bendBackCents: number | null } {
  const hz = (frame: number) => columnValue(columns.f0Hz, frame);
  const from = first + EDGE_FRAMES;
  const to = last - EDGE_FRAMES;
  const middle = (a: number, b: number) =>
    median(Array.from({ length: Math.max(0, b - a) }, (_, i) => hz(a + i)).filter((value) => value !== null));
  const start = middle(from, from + END_FRAMES);
  const end = middle(to - END_FRAMES, to);
  if (start === null || end === null || to - from < 3 * END_FRAMES)
    return { bendRangeCents: null, bendBackCents: null };
  let deepest = 0;
  let run: number[] = [];
  for (let frame = from; frame <= to; frame++) {
    const here = hz(frame);
    const before = hz(frame - 1);
    if (here === null) run = [];
    else {
      if (before !== null && Math.abs(centsBetween(here, before)) > LEAP_CENTS) break;
      run.push(centsBetween(here, start));
      if (run.length >= KEPT_FRAMES) deepest = Math.min(deepest, Math.max(...run.slice(-KEPT_FRAMES)));
    }
  }
  return { bendRangeCents: -deepest, bendBackCents: centsBetween(end, start) };
}
