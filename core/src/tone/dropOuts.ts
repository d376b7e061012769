import { FRAME_SECONDS, type ForeignSpan } from '../hearing/index.ts';

/** Half the level window: what is this near to a foreign sound hears it. */
const REACH_SECONDS = 0.025;

/**
 * Frames touched by what is not the player - metronome clicks, holes in the sound: 1 where a frame must not
 * be measured. `count` frames; spans on the frames' own clock.
 */
export function dropOuts(count: number, spans: readonly ForeignSpan[]): Uint8Array<ArrayBuffer> {
  const masked = new Uint8Array(count);
  for (const { timeSeconds, lengthSeconds } of spans) {
    const first = Math.max(0, Math.ceil((timeSeconds - REACH_SECONDS) / FRAME_SECONDS));
    const end = timeSeconds + lengthSeconds + REACH_SECONDS;
    const last = Math.min(count - 1, Math.floor(end / FRAME_SECONDS));
    for (let i = first; i <= last; i++) masked[i] = 1;
  }
  return masked;
}
