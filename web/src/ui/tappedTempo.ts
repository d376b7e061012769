/** Taps this far apart are of two tries. */
const LONGEST_GAP_MS = 2500;
const MOST_TAPS = 9;

/** The taps that belong together, with one more. */
export const withTap = (taps: readonly number[], atMs: number): number[] => [
  ...(atMs - (taps.at(-1) ?? -Infinity) > LONGEST_GAP_MS ? [] : taps.slice(1 - MOST_TAPS)),
  atMs,
];

/**
 * The tempo of taps, in beats a minute, by the middle of their distances: one tap that came late changes nothing. Null: fewer than
 * three taps.
 */
export function tappedTempo(tapsMs: readonly number[]): number | null {
  if (tapsMs.length < 3) return null;
  const gaps = tapsMs.slice(1).map((at, i) => at - tapsMs[i]);
  gaps.sort((a, b) => a - b);
  const half = gaps.length / 2;
  const middle = Number.isInteger(half) ? (gaps[half - 1] + gaps[half]) / 2 : gaps[Math.floor(half)];
  return Math.round(60000 / middle);
}
