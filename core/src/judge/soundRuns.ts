import { FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { centsBetween } from '../horn/index.ts';
import { median } from '../stats/index.ts';
import { pitchRuns, type ToneSpan } from '../tone/index.ts';

/** Frames over which something else lies are less clear, and louder than their tone. */
const CLEAR = 0.8;
/** A drone stands from here on, so long, at one level and pitch. */
const STANDS_FROM_FRAMES = Math.round(0.15 / FRAME_SECONDS);
const STANDS_FRAMES = Math.round(0.25 / FRAME_SECONDS);
const STANDING_DB = 4;
const STANDING_CENTS = 30;

/** A stretch of connected pitch. */
export interface Run extends ToneSpan {
  /** Loudest clear frame of it, dBFS. */
  peakDb: number;
  /** Its last clear frame, or its last where none is clear. */
  lastClear: number;
  /** Pitch of its first frame. */
  hz: number;
  isAsked: boolean;
}

/** A drone: its pitch in Hz and its usual level in dBFS. */
export interface Standing {
  hz: number;
  levelDb: number;
}

/** A tone that is there when the take begins, before the player. */
export function standingTone(
  runs: readonly Run[],
  { columns: { f0Hz, levelDb } }: FrameTrack,
  isUnder: (run: Run) => boolean,
): Standing | null {
  const run = runs.find(({ first, last }) => last - first >= STANDS_FRAMES);
  if (!run || run.first > STANDS_FROM_FRAMES) return null;
  const usual = (column: Float32Array) => median(column.subarray(run.first, run.last + 1)) ?? 0;
  const standing = { hz: usual(f0Hz), levelDb: usual(levelDb) };
  return isUnder({ ...run, peakDb: standing.levelDb }) ? standing : null;
}

/** Whether a sound of this pitch, Hz, and level, dBFS, is the drone's. */
export const isOfStanding = (standing: Standing, hz: number, levelDb: number) =>
  levelDb < standing.levelDb + STANDING_DB && Math.abs(centsBetween(hz, standing.hz)) < STANDING_CENTS;

/** Stretches of connected pitch, each all asked for or all not, and all of the drone's level and pitch or none. */
export function runsOf(
  track: FrameTrack,
  isAsked: (hz: number) => boolean,
  standing: Standing | null = null,
): Run[] {
  const { f0Hz, levelDb, clarity } = track.columns;
  const isDrone = (hz: number, frame: number) =>
    standing !== null && isOfStanding(standing, hz, levelDb[frame]);
  const kindOf = (hz: number, frame: number) =>
    isDrone(hz, frame) ? 'drone' : isAsked(hz) ? 'asked' : 'other';
  return pitchRuns(track, kindOf).map(({ first, last }) => {
    // Air over the end of a tone makes its last frames louder, and unclear.
    const frames = Array.from({ length: last - first + 1 }, (_, i) => first + i);
    const clear = frames.filter((frame) => clarity[frame] >= CLEAR);
    const peakDb = Math.max(...(clear.length > 0 ? clear : frames).map((frame) => levelDb[frame]));
    return {
      first,
      last,
      lastClear: clear.at(-1) ?? last,
      peakDb,
      hz: f0Hz[first],
      isAsked: isAsked(f0Hz[first]),
    };
  });
}
