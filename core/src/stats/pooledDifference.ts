import { mean, squaresAroundMean } from './mean.ts';
import type { MeanInterval } from './meanWithInterval.ts';
import { studentQuantile } from './studentQuantile.ts';

/** The difference of two means, second less first, where both sides scatter alike; and that scatter (standard deviation). */
export interface PooledDifference extends MeanInterval {
  scatter: number;
}

/** Student's 90 % interval of the difference of two means with one pooled variance (Student 1908); null with fewer than three values in all or an empty side. */
export function pooledDifference(
  first: readonly number[],
  second: readonly number[],
): PooledDifference | null {
  const freedom = first.length + second.length - 2;
  if (first.length === 0 || second.length === 0 || freedom < 1) return null;
  const scatter = Math.sqrt((squaresAroundMean(first) + squaresAroundMean(second)) / freedom);
  const half = studentQuantile(0.95, freedom) * scatter * Math.sqrt(1 / first.length + 1 / second.length);
  const difference = mean(second) - mean(first);
  return { mean: difference, low: difference - half, high: difference + half, scatter };
}
