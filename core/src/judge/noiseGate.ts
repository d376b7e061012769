import { FRAME_SECONDS, type FrameTrack, type NonPlayerSpan } from '../hearing/index.ts';
import { frameMask } from '../tone/index.ts';

/** No microphone is as quiet as this by itself, dBFS: what is softer was cut to nothing. */
export const CUT_DB = -120;
/** A machine that halts leaves holes too: those are known (`foreign`), and do not count. */
const CUT_FRAMES = Math.round(0.1 / FRAME_SECONDS);

/** The first frame in which anything at all was heard; `count` where nothing was. */
export function firstSound({ columns: { levelDb }, count }: FrameTrack): number {
  let first = 0;
  while (first < count && !(levelDb[first] > CUT_DB)) first++;
  return first;
}

/**
 * Whether a noise gate or a suppressor cut what is soft to nothing: after the first sound there are moments without any noise. Before it nothing
 * may have arrived yet.
 */
export function hasNoiseGate(track: FrameTrack, foreign: readonly NonPlayerSpan[]): boolean {
  const { levelDb } = track.columns;
  const masked = frameMask(track.count, foreign);
  let cut = 0;
  for (let i = firstSound(track); i < track.count; i++) {
    cut = levelDb[i] < CUT_DB && masked[i] === 0 ? cut + 1 : 0;
    if (cut >= CUT_FRAMES) return true;
  }
  return false;
}
