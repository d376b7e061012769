import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import type { PitchTarget } from '../horn/index.ts';
import { continues, MIN_TONE_FRAMES, partialOf, type ToneSpan } from '../tone/index.ts';

/** A squawk is about as loud as the tone; what is softer is air, or the tongue. */
const UNDER_TONE_DB = 12;
/** Shorter is the consonant of a tongued start. */
const LEAST_MS = 60;
/** Nobody waits longer for a note to come. */
const LONGEST_FRAMES = Math.round(1.5 / FRAME_SECONDS);
/** A hole in the roughness up to this is its own. */
const HOLE_FRAMES = 3;

/** Whether frame `index` belongs to 50 ms of steady pitch. */
function isSteady(track: FrameTrack, index: number): boolean {
  let run = 1;
  for (let i = index; continues(track, i) && run < MIN_TONE_FRAMES; i--) run++;
  for (let i = index + 1; continues(track, i) && run < MIN_TONE_FRAMES; i++) run++;
  return run >= MIN_TONE_FRAMES;
}

/** Loud without a steady pitch. */
const isRough = (track: FrameTrack, index: number, leastDb: number) =>
  track.columns.levelDb[index] >= leastDb && !isSteady(track, index);

/**
 * squawkMs: how long it was loud without a steady pitch right before the right partial came, from frame `from` on; 0 where the
 * tone came out of silence, air or the tongue. `levelDb` is the tone's own.
 */
export function squawkMs(
  track: FrameTrack,
  from: number,
  { first, last }: ToneSpan,
  { tubeHz, partial }: PitchTarget,
  levelDb: number,
): number {
  let right = first;
  for (let run = 0; right <= last && run < MIN_TONE_FRAMES; right++) {
    const hz = columnValue(track.columns.f0Hz, right);
    run = hz !== null && partialOf(hz, tubeHz) === partial ? run + 1 : 0;
  }
  let rough = 0;
  let hole = 0;
  const begins = Math.max(from, first - LONGEST_FRAMES);
  for (let i = right - MIN_TONE_FRAMES - 1; i >= begins && hole <= HOLE_FRAMES; i--)
    if (isRough(track, i, levelDb - UNDER_TONE_DB)) {
      rough += hole + 1;
      hole = 0;
    } else hole++;
  const ms = 1000 * rough * FRAME_SECONDS;
  return ms >= LEAST_MS ? ms : 0;
}

/** So much of the time in which a note should have sounded makes it a squawk. */
const MOST = 0.3;

/** Whether a note that did not come was a squawk: louder than `leastDb` without a steady pitch for most of its time. */
export function isSquawk(track: FrameTrack, { first, last }: ToneSpan, leastDb: number): boolean {
  let rough = 0;
  for (let i = first; i <= last; i++) if (isRough(track, i, leastDb)) rough++;
  return rough >= MOST * (last + 1 - first) && 1000 * rough * FRAME_SECONDS >= LEAST_MS;
}
