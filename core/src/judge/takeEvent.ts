import { FRAME_SECONDS, type NonPlayerSpan, type FrameTrack } from '../hearing/index.ts';
import type { PitchTarget } from '../horn/index.ts';
import {
  airOnsetSeconds,
  frameMask,
  findGaps,
  findSlips,
  measureRelease,
  onsetSeconds,
  PITCH_REACH_SECONDS,
  type Gap,
  type Slip,
  type ToneSpan,
} from '../tone/index.ts';
import type { HoldCause } from './hold.ts';

/** What happened, on the take's clock, in order of time. */
export type TakeEvent =
  | { type: 'airOnset' | 'toneOnset'; timeSeconds: number }
  | Slip
  | { type: 'gap'; timeSeconds: number; lengthSeconds: number }
  /** Air was drawn in the middle of a note, or in a gap without a breath. */
  | { type: 'breath'; timeSeconds: number }
  | { type: 'stair'; timeSeconds: number; lengthSeconds: number; stepDb: number }
  | { type: 'degrade'; timeSeconds: number; cause: HoldCause }
  | { type: 'release'; timeSeconds: number; clean: boolean; sagCents: number | null }
  | { type: 'end'; timeSeconds: number };

/** A release falls so far; a room takes its time for it. */
const RELEASE_DB = 15;

/** What any tone tells by itself. */
export interface ToneHistory {
  onsetSeconds: number;
  airOnsetSeconds: number | null;
  slips: Slip[];
  gaps: Gap[];
  events: TakeEvent[];
}

/**
 * Onsets, slips, gaps, release and end of a tone; events not in order. `roomAir` is the room's own noise, `foreign`
 * what is not the player: nothing is said of what it touches.
 */
export function readHistory(
  track: FrameTrack,
  span: ToneSpan,
  target: PitchTarget,
  roomAir: number | null,
  foreign: readonly NonPlayerSpan[],
  roomDecayDbPerSecond: number | null,
): ToneHistory {
  const masked = frameMask(track.count, foreign, PITCH_REACH_SECONDS);
  const onset = onsetSeconds(track, span.first);
  const air = airOnsetSeconds(track, span.first, roomAir);
  const slips = findSlips(track, span, target.tubeHz, target.partial, masked);
  const gaps = findGaps(track, span, masked, roomDecayDbPerSecond !== null);
  const release = measureRelease(
    track,
    span,
    roomDecayDbPerSecond === null ? 0 : RELEASE_DB / roomDecayDbPerSecond,
  );
  return {
    onsetSeconds: onset,
    airOnsetSeconds: air,
    slips,
    gaps,
    events: [
      ...(air === null ? [] : [{ type: 'airOnset' as const, timeSeconds: air }]),
      { type: 'toneOnset', timeSeconds: onset },
      ...slips,
      ...gaps.map((gap) => ({ type: 'gap' as const, ...gap })),
      ...(release === null ? [] : [{ type: 'release' as const, ...release }]),
      { type: 'end', timeSeconds: span.last * FRAME_SECONDS },
    ],
  };
}
