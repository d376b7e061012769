import { FrameTrack } from '../hearing/index.ts';

/** So many frames of a pitch, in Hz, or of none; in dBFS, as a tone or as a room is where nothing is said; and how clear the tone is. */
export type TrackPart = [frames: number, f0Hz: number | null, levelDb?: number, clarity?: number];

/** A track of such parts, one after the other, as it would be heard. */
export function trackOf(...parts: readonly TrackPart[]): FrameTrack {
  const track = new FrameTrack(4);
  for (const [frames, f0Hz, levelDb = f0Hz === null ? -70 : -30, clarity = 0.95] of parts)
    for (let i = 0; i < frames; i++)
      track.append(f0Hz ?? NaN, f0Hz === null ? 0.1 : clarity, levelDb, 3, -30);
  return track;
}
