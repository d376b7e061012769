import { FRAME_SECONDS, LEVEL_WINDOW_SECONDS, type NonPlayerSpan } from '../hearing/index.ts';
import type { ToneSpan } from './toneSpan.ts';

/** Half the level window: a level this near to a foreign sound hears it. */
const LEVEL_REACH_SECONDS = LEVEL_WINDOW_SECONDS / 2;
/** Half the longest pitch window: so does a pitch this near. */
export const PITCH_REACH_SECONDS = 0.043;

/** The frames that hear such a span from as far as `reachSeconds` away; they may lie outside the take. */
export const framesHearing = (
  { timeSeconds, lengthSeconds }: NonPlayerSpan,
  reachSeconds: number,
): ToneSpan => ({
  first: Math.ceil((timeSeconds - reachSeconds) / FRAME_SECONDS),
  last: Math.floor((timeSeconds + lengthSeconds + reachSeconds) / FRAME_SECONDS),
});

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
  for (const span of spans) {
    const { first, last } = framesHearing(span, reachSeconds);
    for (let i = Math.max(0, first); i <= Math.min(count - 1, last); i++) masked[i] = 1;
  }
  return masked;
}
