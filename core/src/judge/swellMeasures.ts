import { FRAME_SECONDS } from '../hearing/index.ts';
import type { LevelCurve } from './levelCurve.ts';

const PEAK_WITHIN_DB = 1;
const WRONG_WAY_DB = 1;
/** Farther than its partials move apart by themselves: then it is the level that moved, not one of them. */
const OVER_DOUBT = 1.5;
const STILL_DB = 0.5;
const STILL_FRAMES = Math.round(0.4 / FRAME_SECONDS);
const STILL_TARGET_DB = 1;
const STEP_FRAMES = Math.round(0.15 / FRAME_SECONDS);
const STEP_DB = 2;
/** The calm curve ends its stand before the step itself: half its smoothing, and a little. */
const STEP_SEARCH_FRAMES = Math.round(0.3 / FRAME_SECONDS);

/**
 * swellErrorDb: RMS distance of the level (smoothed 50 ms) from the written line after the best single offset
 * - its mean distance - with that offset (+ is louder than written). Null without frames.
 */
export function swellError({ closeDb, targetDb }: LevelCurve): { rmsDb: number; offsetDb: number } | null {
  const distance = closeDb.map((level, i) => level - targetDb[i]).filter((value) => !Number.isNaN(value));
  if (distance.length === 0) return null;
  const offsetDb = distance.reduce((sum, value) => sum + value, 0) / distance.length;
  const square = distance.reduce((sum, value) => sum + (value - offsetDb) ** 2, 0) / distance.length;
  return { rmsDb: Math.sqrt(square), offsetDb };
}

/** By how much a level must move to have moved: `leastDb`, or what its partials moving apart (`partialsApartDb`) leaves uncertain. */
const surely = (leastDb: number, doubtDb: number) => Math.max(leastDb, OVER_DOUBT * doubtDb);

/** Index of the loudest frame of the calm curve, or -1. */
function loudest({ calmDb }: LevelCurve): number {
  return calmDb.reduce(
    (best, level, i) => (!Number.isNaN(level) && (best < 0 || level > calmDb[best]) ? i : best),
    -1,
  );
}

/**
 * peakOffset in beats, + is late: the middle of the unbroken time within 1 dB (or `doubtDb`: how far its partials move apart) of the maximum
 * (smoothed 250 ms) against the written turn. Null where nothing was heard.
 */
export function peakOffsetBeats(curve: LevelCurve, turnBeat: number, doubtDb = 0): number | null {
  const { calmDb, beat } = curve;
  const peak = loudest(curve);
  if (peak < 0) return null;
  const near = (i: number) => calmDb[i] > calmDb[peak] - Math.max(PEAK_WITHIN_DB, doubtDb);
  let from = peak;
  let to = peak;
  while (from > 0 && near(from - 1)) from--;
  while (to < calmDb.length - 1 && near(to + 1)) to++;
  return (beat[from] + beat[to]) / 2 - turnBeat;
}

/**
 * wrongWay: per cent of the swell spent more than 1 dB (and one and a half times `doubtDb`: how far its partials move apart) behind the running
 * extreme (smoothed 250 ms). Growing turns to fading at the loudest moment played, not at the written one: a late peak is told by peakOffset and
 * must not count twice. `shape` says which halves the swell has. Null without frames.
 */
export function wrongWayPercent(
  curve: LevelCurve,
  shape: 'growFade' | 'grow' | 'fade',
  doubtDb = 0,
): number | null {
  const { calmDb } = curve;
  if (calmDb.length === 0) return null;
  const turn = shape === 'grow' ? calmDb.length : shape === 'fade' ? 0 : loudest(curve);
  const leastDb = surely(WRONG_WAY_DB, doubtDb);
  let extreme = -Infinity;
  let behind = 0;
  calmDb.forEach((level, i) => {
    if (Number.isNaN(level)) return;
    const sign = i < turn ? 1 : -1;
    if (i === turn) extreme = -Infinity;
    extreme = Math.max(extreme, sign * level);
    if (extreme - sign * level > leastDb) behind++;
  });
  return (100 * behind) / calmDb.length;
}

export interface Stair {
  /** Beats at which the level stopped moving and at which it jumped. */
  fromBeat: number;
  toBeat: number;
  /** How much more than the written line it moved within 150 ms. */
  stepDb: number;
}

/**
 * stairs: the calm curve (250 ms) changes less than 0.5 dB for at least 400 ms while the written line moves at
 * least 1 dB, and then the level (before smoothing) moves more than 2 dB (and one and a half times `doubtDb`) farther than the line within 150 ms.
 */
export function findStairs({ calmDb, heardDb, targetDb, beat }: LevelCurve, doubtDb = 0): Stair[] {
  const stairs: Stair[] = [];
  for (let start = 0; start + STILL_FRAMES < calmDb.length; start++) {
    let low = calmDb[start];
    let high = calmDb[start];
    let end = start;
    while (end + 1 < calmDb.length) {
      const next = calmDb[end + 1];
      if (Number.isNaN(next) || Math.max(high, next) - Math.min(low, next) >= STILL_DB) break;
      low = Math.min(low, next);
      high = Math.max(high, next);
      end++;
    }
    const moved = targetDb[end] - targetDb[start];
    if (end - start < STILL_FRAMES || Math.abs(moved) < STILL_TARGET_DB) continue;
    const sign = Math.sign(moved);
    let stepDb = 0;
    let stepAt = end;
    for (let i = end - 5; i < end + STEP_SEARCH_FRAMES && i + STEP_FRAMES < heardDb.length; i++) {
      const beyond =
        sign * (heardDb[i + STEP_FRAMES] - heardDb[i] - (targetDb[i + STEP_FRAMES] - targetDb[i]));
      if (beyond > stepDb) {
        stepDb = beyond;
        stepAt = i;
      }
    }
    if (stepDb > surely(STEP_DB, doubtDb))
      stairs.push({ fromBeat: beat[start], toBeat: beat[stepAt], stepDb });
    start = end;
  }
  return stairs;
}
