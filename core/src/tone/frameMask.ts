import { FRAME_SECONDS, type NonPlayerSpan } from '../hearing/index.ts';

/** Half the level window: a level this near to a foreign sound hears it. */
const LEVEL_REACH_SECONDS = 0.025;
/** Half the longest pitch window: so does a pitch this near. */
export const PITCH_REACH_SECONDS = 0.043;

/**
 * Frames touched by what is not the player - metronome clicks, holes in the sound: 1 where a frame must not
 * be measured. `count` frames; spans on the frames' own clock; `reachSeconds` is how far around them the frames hear them.
 */
export function frameMask(
  count: number,
  spans: readonly NonPlayerSpan[],
  reachSeconds = LEVEL_REACH_SECONDS,
): Uint8Array<ArrayBuffer> {
  const masked = new Uint8Array(count);
  for (const { timeSeconds, lengthSeconds } of spans) {
    const first = Math.max(0, Math.ceil((timeSeconds - reachSeconds) / FRAME_SECONDS));
    const end = timeSeconds + lengthSeconds + reachSeconds;
    const last = Math.min(count - 1, Math.floor(end / FRAME_SECONDS));
    for (let i = first; i <= last; i++) masked[i] = 1;
  }
  return masked;
}
