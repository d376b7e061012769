/**
 * Percentile `p` (0-100) with linear interpolation between order statistics (Hyndman & Fan 1996, type 7).
 * Returns null for an empty list. Does not change its input.
 */
export function percentile(values: ArrayLike<number>, p: number): number | null {
  if (values.length === 0) return null;
  const sorted = Float64Array.from(values).sort();
  const position = ((sorted.length - 1) * p) / 100;
  const below = Math.floor(position);
  const above = Math.min(below + 1, sorted.length - 1);
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
