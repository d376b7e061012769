import { FRAME_SECONDS, MAX_PARTIAL, type FrameTrack } from '../hearing/index.ts';
import { centsBetween } from '../horn/index.ts';
import { median } from '../stats/index.ts';
import { matchDb, PROFILE_PARTIALS } from './match.ts';

/** What is compared before and after: so much sound on each side, and so far from it that the change itself is in neither. */
const SIDE_FRAMES = Math.round(0.3 / FRAME_SECONDS);
const APART_FRAMES = Math.round(0.03 / FRAME_SECONDS);
/** Two changes are at least so far from each other. */
const BETWEEN_FRAMES = Math.round(0.5 / FRAME_SECONDS);
/** One step of each is heard as much of a change as the others: cents, harmonic numbers, dB. */
const STEPS = { cents: 6, centroidHarmonics: 0.4, levelDb: 2 };
/** A hole is a change by itself. */
const HOLE_STEPS = 4;

/** How much pitch, colour and level together differ between the 0.3 s before a frame and after it, in steps that are heard. */
function differenceAt({ columns }: FrameTrack, at: number): number {
  const of = (column: Float32Array, from: number, to: number) =>
    median(Array.from(column.subarray(from, to)).filter((value) => !Number.isNaN(value)));
  const differ = (column: Float32Array, read: (value: number) => number) => {
    const before = of(column, at - SIDE_FRAMES, at - APART_FRAMES);
    const after = of(column, at + APART_FRAMES, at + SIDE_FRAMES);
    return before === null || after === null ? 0 : Math.abs(read(before) - read(after));
  };
  const same = (value: number) => value;
  return (
    differ(columns.f0Hz, (hz) => 1200 * Math.log2(hz)) / STEPS.cents +
    differ(columns.centroidHarmonics, same) / STEPS.centroidHarmonics +
    differ(columns.levelDb, same) / STEPS.levelDb +
    (Number.isNaN(columns.f0Hz[at]) ? HOLE_STEPS : 0)
  );
}

/**
 * Where one tone became another of the same pitch by other fingers, so many times: the frames, from `first` to `last` and in order, at
 * which it changes most. Where it does not change often enough, the longest parts are halved.
 */
export function changesOfTone(track: FrameTrack, first: number, last: number, count: number): number[] {
  const places = Array.from({ length: Math.max(0, last - first - 2 * SIDE_FRAMES + 1) }, (_, i) => {
    const frame = first + SIDE_FRAMES + i;
    return { frame, steps: differenceAt(track, frame) };
  });
  const changes: number[] = [];
  for (const { frame, steps } of places.toSorted((a, b) => b.steps - a.steps)) {
    if (changes.length === count || steps < 1) break;
    if (changes.every((other) => Math.abs(other - frame) >= BETWEEN_FRAMES)) changes.push(frame);
  }
  while (changes.length < count) {
    const edges = [first, ...changes.toSorted((a, b) => a - b), last + 1];
    const parts = edges.slice(1).map((to, i) => ({ from: edges[i], length: to - edges[i] }));
    const longest = parts.reduce((best, part) => (part.length > best.length ? part : best));
    changes.push(longest.from + Math.round(longest.length / 2));
  }
  return changes.toSorted((a, b) => a - b);
}

/** As much as this is heard as a change, whatever else moves in a tone. */
const HEARD_STEPS = 1.2;
/** A step of the whole spectrum: short tones tell more by their partials than by the mean of them. */
const SPECTRUM_STEP_DB = 0.7;
/** Where it is sharpest is looked for so near. */
const NEAR_FRAMES = Math.round(0.04 / FRAME_SECONDS);
/** Echoes change a tone everywhere: at the end of the reach a change counts so much less than where it is written. Its own flanks are steeper. */
const LESS_FAR = 0.5;
/** So near to where it is written a change is on time. */
const ON_TIME_FRAMES = Math.round(0.1 / FRAME_SECONDS);
/** What changes there is told by so much on each side: nothing of what changes elsewhere is in it. */
const LOCAL_FRAMES = Math.round(0.08 / FRAME_SECONDS);
/** Where as much of the sharpest change is heard on time, it is the change, and the other one the echoes. */
const ON_TIME_SHARE = 0.6;
/** A tone that begins there has still to build up. */
const ATTACK_FRAMES = Math.round(0.06 / FRAME_SECONDS);
/** What lies farther off the pitch of the tone is a slip, and tells nothing of its fingers. */
const SAME_PITCH_CENTS = 60;

/** A tone of one pitch in which the fingers change. */
export interface ChangingTone {
  /** The first frame of its note. */
  first: number;
  soundingHz: number;
}

/**
 * Where a tone becomes another of the same pitch by other fingers: the frame at most `reach` frames from `at`, told by as much of the tone
 * on each side; null where nothing is heard to change.
 */
export function changeNear(track: FrameTrack, tone: ChangingTone, at: number, reach: number): number | null {
  const sides = Math.min(reach, SIDE_FRAMES);
  const { f0Hz } = track.columns;
  const isOfTone = (frame: number) =>
    Math.abs(centsBetween(f0Hz[frame], tone.soundingHz)) <= SAME_PITCH_CENTS;
  /** The frames of one side that are of this tone; none where a slip takes most of it. */
  const side = (from: number, to: number) => {
    const frames: number[] = [];
    for (let i = Math.max(from, tone.first + ATTACK_FRAMES); i < to; i++) if (isOfTone(i)) frames.push(i);
    return 2 * frames.length > to - from ? frames : [];
  };
  const stepsAt = (frame: number, length: number) => {
    const [before, after] = [side(frame - length, frame), side(frame, frame + length)];
    return before.length === 0 || after.length === 0 ? 0 : stepsBetween(track, before, after);
  };
  /** The sharpest change at most so far `away`; at the end of that it counts so much less. */
  const sharpest = (middle: number, away: number, length: number, lessFar = 0) => {
    let found = { frame: middle, steps: 0 };
    for (let frame = middle - away; frame <= middle + away; frame++) {
      const weight = 1 - (lessFar * Math.abs(frame - middle)) / away;
      const steps = weight * stepsAt(frame, length);
      if (steps > found.steps) found = { frame, steps };
    }
    return found;
  };
  const { frame, steps } = sharpest(at, reach, sides, LESS_FAR);
  if (steps < HEARD_STEPS) return null;
  const near = Math.min(sides, NEAR_FRAMES);
  const exactly = (about: number) => sharpest(about, near, near).frame;
  const onTime = Math.min(reach, ON_TIME_FRAMES);
  if (Math.abs(frame - at) <= onTime) return exactly(frame);
  const local = Math.min(sides, LOCAL_FRAMES);
  const there = sharpest(at, onTime, local);
  return exactly(there.steps < ON_TIME_SHARE * stepsAt(frame, local) ? frame : there.frame);
}

/** How much two lots of frames differ in pitch, level and spectrum together, by their means: a step is sharpest where it is made. */
function stepsBetween({ columns }: FrameTrack, before: readonly number[], after: readonly number[]): number {
  const mean = (frames: readonly number[], read: (frame: number) => number) =>
    frames.reduce((sum, frame) => sum + read(frame), 0) / frames.length;
  const step = (read: (frame: number) => number) => Math.abs(mean(after, read) - mean(before, read));
  const profile = (frames: readonly number[]) =>
    Array.from({ length: PROFILE_PARTIALS }, (_, k) => {
      const levels = frames.map((frame) => columns.partialsDb[frame * MAX_PARTIAL + k]);
      return levels.some(Number.isNaN) ? null : levels.reduce((sum, level) => sum + level, 0) / levels.length;
    });
  return (
    step((frame) => 1200 * Math.log2(columns.f0Hz[frame])) / STEPS.cents +
    step((frame) => columns.levelDb[frame]) / STEPS.levelDb +
    (matchDb(profile(before), profile(after)) ?? 0) / SPECTRUM_STEP_DB
  );
}
