import { CoreError } from '../signal/index.ts';
import { median } from './percentile.ts';

export interface LineFit {
  slope: number;
  intercept: number;
  /** 1 - residual / total variance; 0 where y does not vary. */
  r2: number;
}

/** Pairs beyond this many points are thinned evenly: the slope is a median, so nothing is lost but time. */
const MAX_POINTS = 150;

/**
 * Robust line through (x, y): median of all pairwise slopes (Theil 1950, Sen 1968), intercept the median of
 * y - slope x. Returns null with fewer than 3 points, where all x are equal, or where a value is no number. Throws
 * `argument-invalid` where there are not as many y as x.
 */
export function theilSen(x: ArrayLike<number>, y: ArrayLike<number>): LineFit | null {
  if (x.length !== y.length)
    throw new CoreError('argument-invalid', `A line through ${x.length} x and ${y.length} y.`);
  for (let i = 0; i < x.length; i++) if (!Number.isFinite(x[i]) || !Number.isFinite(y[i])) return null;
  const step = Math.max(1, Math.ceil(x.length / MAX_POINTS));
  const points = Math.ceil(x.length / step);
  const slopes = new Float64Array((points * (points - 1)) / 2);
  let count = 0;
  for (let i = 0; i < x.length; i += step) {
    const [xi, yi] = [x[i], y[i]];
    for (let j = i + step; j < x.length; j += step)
      if (x[j] !== xi) slopes[count++] = (y[j] - yi) / (x[j] - xi);
  }
  const slope = x.length < 3 ? null : median(slopes.subarray(0, count));
  if (slope === null) return null;
  const offsets = Array.from(x, (xi, i) => y[i] - slope * xi);
  const intercept = median(offsets) ?? 0;
  const meanY = Array.from(y).reduce((sum, value) => sum + value, 0) / y.length;
  let residual = 0;
  let total = 0;
  for (let i = 0; i < y.length; i++) {
    residual += (y[i] - intercept - slope * x[i]) ** 2;
    total += (y[i] - meanY) ** 2;
  }
  return { slope, intercept, r2: total > 0 ? 1 - residual / total : 0 };
}
