import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { percentile } from '../stats/index.ts';

/** Frames of the tone: `first` to `last`, both included. */
export interface ToneSpan {
  first: number;
  last: number;
}

export const MIN_TONE_CLARITY = 0.6;
export const MIN_TONE_FRAMES = Math.round(0.05 / FRAME_SECONDS);
const MAX_STEP_CENTS = 30;
/** What is this far under the loud part of a take is the room, not the horn. */
const BELOW_LOUD_DB = 48;

/** Whether frame `index` continues the pitch of the frame before it. */
export function continues(track: FrameTrack, index: number): boolean {
  const here = columnValue(track.columns.f0Hz, index);
  const before = columnValue(track.columns.f0Hz, index - 1);
  return here !== null && before !== null && Math.abs(1200 * Math.log2(here / before)) < MAX_STEP_CENTS;
}

/**
 * Says of a frame whether it is tone: pitch, clarity >= 0.6, and a level over the room's floor + 6 dB and within
 * 48 dB of the loud part of the track. Never, where the track has no pitch at all.
 */
export function toneTest(track: FrameTrack, roomFloorDb: number | null): (frame: number) => boolean {
  const { columns, count } = track;
  const voicedLevels: number[] = [];
  for (let i = 0; i < count; i++)
    if (columnValue(columns.f0Hz, i) !== null) voicedLevels.push(columns.levelDb[i]);
  const loud = percentile(voicedLevels, 95) ?? Infinity;
  const quietest = Math.max(loud - BELOW_LOUD_DB, roomFloorDb === null ? -Infinity : roomFloorDb + 6);
  return (i) =>
    columnValue(columns.f0Hz, i) !== null &&
    columns.clarity[i] >= MIN_TONE_CLARITY &&
    columns.levelDb[i] >= quietest;
}

/**
 * The tone of a take: from toneOnset - the first frame of at least 50 ms with pitch, clarity >= 0.6 and
 * steps under 30 cents - to the last such stretch, where `toneTest` says tone. Null where there is none at all.
 */
export function findToneSpan(track: FrameTrack, roomFloorDb: number | null): ToneSpan | null {
  const isTone = toneTest(track, roomFloorDb);
  let first: number | null = null;
  let last = 0;
  let run = 0;
  for (let i = 0; i < track.count; i++) {
    run = !isTone(i) ? 0 : run > 0 && continues(track, i) ? run + 1 : 1;
    if (run < MIN_TONE_FRAMES) continue;
    first ??= i - run + 1;
    last = i;
  }
  return first === null ? null : { first, last };
}
