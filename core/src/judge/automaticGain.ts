import { FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { median, percentile } from '../stats/index.ts';
import { pitchRuns, type ToneSpan } from '../tone/index.ts';

/** A tone of the player's turns the gain down if there was so much of it within a second. */
const SECOND_FRAMES = Math.round(1 / FRAME_SECONDS);
const TONE_FRAMES = Math.round(0.3 / FRAME_SECONDS);
/** What a tone leaves behind it dies away first. */
const AFTER_FRAMES = Math.round(0.12 / FRAME_SECONDS);
const BEFORE_FRAMES = Math.round(0.12 / FRAME_SECONDS);
/** The floor is told block by block. */
const BLOCK_FRAMES = Math.round(0.12 / FRAME_SECONDS);
const LEAST_BLOCKS = 4;
const MOST_BLOCKS = 11;
/** So much it rises in all, and never falls by more than this from block to block. */
const RISES_DB = 4;
const STEADY_DB = 1;
/** From block to block it rises no faster: what does is a breath drawn, or somebody else. */
const MOST_STEP_DB = 2;
const SHARE = 0.7;
/** The tone turned the gain down: right after it the floor is so much under what it was before. A breath that is drawn lies over it. */
const LOWERED_DB = 3;
const QUIET_FRAMES = Math.round(0.7 / FRAME_SECONDS);
const LEAST_QUIET_FRAMES = Math.round(0.25 / FRAME_SECONDS);
/** Air and a breath before the first tone are louder than the room. */
const QUIET_PERCENT = 20;

/**
 * Whether the microphone's gain was turned up and down by a machine: after every tone the noise of the room grows louder by itself, steadily,
 * where a room only grows quieter. False where there is no noise to tell by, and where the take has no silence long enough.
 */
export function hasAutomaticGain(track: FrameTrack): boolean {
  const before = floorBefore(track);
  const rises = silences(track).map(
    (floor) => risesSteadily(floor) && (before === null || floor[0] < before - LOWERED_DB),
  );
  const count = rises.filter(Boolean).length;
  // One alone, with nothing to compare it with, may be somebody who breathes in.
  return count >= (before === null ? 2 : 1) && count >= SHARE * rises.length;
}

/** The floor before the first tone, dBFS; null where the take begins with it. */
function floorBefore(track: FrameTrack): number | null {
  const first = pitchRuns(track).find((run) => run.last - run.first + 1 >= TONE_FRAMES);
  if (!first) return null;
  const until = first.first - BEFORE_FRAMES;
  const from = Math.max(0, until - QUIET_FRAMES);
  return until - from < LEAST_QUIET_FRAMES
    ? null
    : percentile(track.columns.levelDb.subarray(from, until), QUIET_PERCENT);
}

/**
 * The floor of every silence after a tone that is long enough, in dBFS, block by block, from where it is quietest: what rings, and air that
 * goes on, are over there.
 */
function silences(track: FrameTrack): number[][] {
  const { levelDb } = track.columns;
  const runs = pitchRuns(track);
  return runs.flatMap(({ last }, i) => {
    const from = last + AFTER_FRAMES;
    const until = (runs.at(i + 1)?.first ?? track.count + BEFORE_FRAMES) - BEFORE_FRAMES;
    const count = Math.floor((until - from) / BLOCK_FRAMES);
    if (count < LEAST_BLOCKS || toneFrames(runs.slice(0, i + 1), last) < TONE_FRAMES) return [];
    const blocks = Array.from({ length: count }, (_, block) => {
      const start = from + block * BLOCK_FRAMES;
      return median(levelDb.subarray(start, start + BLOCK_FRAMES)) ?? -Infinity;
    });
    const quiet = blocks.slice(blocks.indexOf(Math.min(...blocks))).slice(0, MOST_BLOCKS);
    return quiet.length < LEAST_BLOCKS ? [] : [quiet];
  });
}

/** How many frames of pitch there were in the second before the last of them: the end of a tone may be in pieces. */
function toneFrames(runs: readonly ToneSpan[], last: number): number {
  return runs.reduce(
    (sum, run) => sum + Math.max(0, run.last + 1 - Math.max(run.first, last - SECOND_FRAMES)),
    0,
  );
}

function risesSteadily(floor: readonly number[]): boolean {
  const steps = floor.slice(1).map((db, i) => db - floor[i]);
  return (
    floor[floor.length - 1] - floor[0] >= RISES_DB &&
    steps.every((step) => step >= -STEADY_DB && step <= MOST_STEP_DB)
  );
}
