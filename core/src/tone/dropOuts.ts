import { FRAME_SECONDS } from '../hearing/index.ts';

/** Half the level window: what is this near to a click hears it. */
const REACH_SECONDS = 0.025;

/**
 * Frames touched by foreign sounds of known time and length (metronome clicks): 1 where a frame must not be
 * measured. `count` frames; times in seconds on the frames' own clock.
 */
export function dropOuts(
  count: number,
  timesSeconds: readonly number[],
  lengthSeconds: number,
): Uint8Array<ArrayBuffer> {
  const masked = new Uint8Array(count);
  for (const time of timesSeconds) {
    const first = Math.max(0, Math.ceil((time - REACH_SECONDS) / FRAME_SECONDS));
    const last = Math.min(count - 1, Math.floor((time + lengthSeconds + REACH_SECONDS) / FRAME_SECONDS));
    for (let i = first; i <= last; i++) masked[i] = 1;
  }
  return masked;
}
