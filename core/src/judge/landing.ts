import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { centsBetween } from '../horn/index.ts';
import { median } from '../stats/index.ts';
import type { ToneSpan } from '../tone/index.ts';

const LANDING_FRAMES = Math.round(0.15 / FRAME_SECONDS);
const SETTLED_CENTS = 10;
const STAYS_FRAMES = Math.round(0.2 / FRAME_SECONDS);

/**
 * landingCents: median cents of the first 150 ms from `onsetSeconds` on; settleMs: from there until the pitch stays within
 * 10 cents of the note's own median for 200 ms, 0 where it does from the start. Null where no pitch is heard, or it never settles.
 */
export function measureLanding(
  track: FrameTrack,
  { last }: ToneSpan,
  onsetSeconds: number,
  targetHz: number,
): { landingCents: number | null; settleMs: number | null } {
  const first = Math.round(onsetSeconds / FRAME_SECONDS);
  const cents = Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => {
    const hz = columnValue(track.columns.f0Hz, first + i);
    return hz === null ? null : centsBetween(hz, targetHz);
  });
  const middle = median(cents.filter((value) => value !== null));
  const landingCents = median(cents.slice(0, LANDING_FRAMES).filter((value) => value !== null));
  if (middle === null) return { landingCents, settleMs: null };
  let run = 0;
  for (const [i, value] of cents.entries()) {
    run = value !== null && Math.abs(value - middle) <= SETTLED_CENTS ? run + 1 : 0;
    if (run >= STAYS_FRAMES) return { landingCents, settleMs: 1000 * FRAME_SECONDS * (i - run + 1) };
  }
  return { landingCents, settleMs: null };
}
