import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { centsBetween } from '../horn/index.ts';
import type { ToneSpan } from './toneSpan.ts';

/** So long the right partial stands inside the pitch band before a note is called clear. */
const CLEAR_FRAMES = Math.round(0.5 / FRAME_SECONDS);
/** A flicker of this length is no break. */
const FLICKER_FRAMES = 3;

/** Whether a frame sounds at a pitch, within a band in cents. */
export const isAtPitch = ({ columns }: FrameTrack, frame: number, hz: number, bandCents: number): boolean => {
  const heard = columnValue(columns.f0Hz, frame);
  return heard !== null && Math.abs(centsBetween(heard, hz)) <= bandCents;
};

/** Counts, frame after frame, how long a pitch has stood inside a band. */
export function createClearWatch(targetHz: number, bandCents: number) {
  let since: number | null = null;
  let away = 0;
  return {
    /** Looks at the next frame; the frame from which on it was clear, once half a second of it has stood. */
    look(track: FrameTrack, frame: number): number | null {
      if (isAtPitch(track, frame, targetHz, bandCents)) {
        since ??= frame;
        away = 0;
      } else if (++away > FLICKER_FRAMES) since = null;
      // A flicker inside it counts as clear, one at its end does not.
      return since !== null && away === 0 && frame - since + 1 >= CLEAR_FRAMES ? since : null;
    },
  };
}

/** Seconds from the onset of a note until it was clear: the right pitch, inside the band, for half a second; null where it never was. */
export function clearSeconds(
  track: FrameTrack,
  { first, last }: ToneSpan,
  onsetSeconds: number,
  targetHz: number,
  bandCents: number,
): number | null {
  const watch = createClearWatch(targetHz, bandCents);
  for (let frame = first; frame <= last; frame++) {
    const since = watch.look(track, frame);
    if (since !== null) return Math.max(0, since * FRAME_SECONDS - onsetSeconds);
  }
  return null;
}
