import quantile from '@stdlib/stats-base-dists-t-quantile';
import type { Interval } from './wilson.ts';

/** A mean with its 90 % interval. */
export interface MeanInterval extends Interval {
  mean: number;
}

/** Mean and Student's 90 % interval (Student 1908; n-1); null for fewer than two values. */
export function meanWithInterval(values: readonly number[]): MeanInterval | null {
  const n = values.length;
  if (n < 2) return null;
  const mean = values.reduce((sum, value) => sum + value, 0) / n;
  const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (n - 1);
  const half = quantile(0.95, n - 1) * Math.sqrt(variance / n);
  return { mean, low: mean - half, high: mean + half };
}
