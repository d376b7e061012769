import { FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { median } from '../stats/index.ts';

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
