import { FRAME_SECONDS } from './frames.ts';

/** Variance of a Hann window of unit length. */
const HANN_VARIANCE = 1 / 12 - 1 / (2 * Math.PI ** 2);
/** How much of that variance the reassigned frequencies feel; found on vibrato of known depth. */
const FELT_SHARE = 0.75;
/** Larger steps between frames are no curve of one tone: an attack, a slur, a jump. */
const MOST_STEP_CENTS = 40;

/**
 * Correction in cents for the middle one of five frames of one tone, from the others' pitches relative to it: the
 * parabola through the five is calmer than its middle point, and its curvature says what a window of
 * `windowSeconds` has flattened away (the mean over a window is the middle plus curvature x variance). 0 where the
 * five are no smooth curve; NaN stands for a frame that is not there.
 */
export function curveCorrectionCents(
  before2: number,
  before1: number,
  after1: number,
  after2: number,
  windowSeconds: number,
): number {
  const isCurve =
    Math.abs(before1) <= MOST_STEP_CENTS &&
    Math.abs(after1) <= MOST_STEP_CENTS &&
    Math.abs(before2 - before1) <= MOST_STEP_CENTS &&
    Math.abs(after2 - after1) <= MOST_STEP_CENTS;
  // NaN fails every comparison.
  if (!isCurve) return 0;
  // Least squares through five evenly spaced points (Savitzky & Golay 1964), the middle one being 0.
  const middle = (12 * (before1 + after1) - 3 * (before2 + after2)) / 35;
  const curvature = (2 * (before2 + after2) - (before1 + after1)) / 14;
  return middle - FELT_SHARE * curvature * HANN_VARIANCE * (windowSeconds / FRAME_SECONDS) ** 2;
}
