import { FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { median } from '../stats/index.ts';
import type { ToneSpan } from '../tone/index.ts';

const frames = (seconds: number) => Math.round(seconds / FRAME_SECONDS);
/** A hole lies before the new tone is heard, or in its first frames. */
const [BEFORE_FRAMES, AFTER_FRAMES] = [frames(0.18), frames(0.15)];
/** The levels on both sides of it. */
const OLD_FRAMES = [frames(0.35), frames(0.2)] as const;
const NEW_FRAMES = [frames(0.15), frames(0.3)] as const;
/** Where two tones of a room meet they take so much off each other... */
const ECHO_DB = 2;
/** ...and in all no more than this: by so much, and for so long, that their product is this. */
const LEAST_DB_SECONDS = 0.34;

/**
 * How long the sound sank at a slur in a room that rings, ms: what the room still sounds of the old tone fills a hole, and its level shows it all the
 * same. 0 where it did not sink under the softer of both tones, beyond what echoes do. Frames that are 1 in `masked` say nothing.
 */
export function dipAtSlurMs(
  { columns: { levelDb } }: FrameTrack,
  before: ToneSpan,
  after: ToneSpan,
  masked: Uint8Array,
): number {
  const middle = after.first;
  const usual = (from: number, to: number) =>
    median(levelDb.subarray(Math.max(before.first, from), Math.min(after.last, to) + 1));
  const oldDb = usual(middle - OLD_FRAMES[0], middle - OLD_FRAMES[1]);
  const newDb = usual(middle + NEW_FRAMES[0], middle + NEW_FRAMES[1]);
  if (oldDb === null || newDb === null) return 0;
  const underDb = Math.min(oldDb, newDb) - ECHO_DB;
  let dbSeconds = 0;
  let sunk = 0;
  for (
    let i = Math.max(before.first, middle - BEFORE_FRAMES);
    i <= Math.min(after.last, middle + AFTER_FRAMES);
    i++
  ) {
    if (masked[i] === 1 || levelDb[i] >= underDb) continue;
    dbSeconds += (underDb - levelDb[i]) * FRAME_SECONDS;
    sunk++;
  }
  return dbSeconds < LEAST_DB_SECONDS ? 0 : 1000 * sunk * FRAME_SECONDS;
}
