import { CoreError } from '../signal/index.ts';

/**
 * Percentile `p` (0-100) with linear interpolation between order statistics (Hyndman & Fan 1996, type 7).
 * Returns null for an empty list, and where a value is no number. Does not change its input. Throws `argument-invalid` where `p` is
 * no percentage.
 */
export function percentile(values: ArrayLike<number>, p: number): number | null {
  if (!(p >= 0 && p <= 100)) throw new CoreError('argument-invalid', `Percentile ${p}: 0 to 100.`);
  if (values.length === 0) return null;
  const sorted = Float64Array.from(values).sort();
  // What is no number is sorted to the end.
  if (Number.isNaN(sorted[sorted.length - 1])) return null;
  const position = ((sorted.length - 1) * p) / 100;
  const below = Math.floor(position);
  const above = Math.min(below + 1, sorted.length - 1);
  // Between two that are equal there is nothing, not even between two infinities.
  if (sorted[above] === sorted[below] || position === below) return sorted[below];
  return sorted[below] + (position - below) * (sorted[above] - sorted[below]);
}

/** Middle value, or null for an empty list. */
export function median(values: ArrayLike<number>): number | null {
  return percentile(values, 50);
}

/** Half the distance between the 16th and 84th percentile: one standard deviation where the values are normal. */
export function halfWidth16to84(values: ArrayLike<number>): number | null {
  const low = percentile(values, 16);
  const high = percentile(values, 84);
  return low === null || high === null ? null : (high - low) / 2;
}
