import { mean, squaresAroundMean } from './mean.ts';
import { studentQuantile } from './studentQuantile.ts';
import type { Interval } from './wilson.ts';

/** A mean with its 90 % interval. */
export interface MeanInterval extends Interval {
  mean: number;
}

/** Mean and Student's 90 % interval (Student 1908; n-1); null for fewer than two values. */
export function meanWithInterval(values: readonly number[]): MeanInterval | null {
  const n = values.length;
  if (n < 2) return null;
  const middle = mean(values);
  const half = studentQuantile(0.95, n - 1) * Math.sqrt(squaresAroundMean(values) / (n - 1) / n);
  return { mean: middle, low: middle - half, high: middle + half };
}
