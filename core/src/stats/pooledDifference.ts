import quantile from '@stdlib/stats-base-dists-t-quantile';
import type { MeanInterval } from './meanWithInterval.ts';

const meanOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

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
  const squares = [first, second].reduce((sum, side) => {
    const middle = meanOf(side);
    return sum + side.reduce((all, value) => all + (value - middle) ** 2, 0);
  }, 0);
  const scatter = Math.sqrt(squares / freedom);
  const half = quantile(0.95, freedom) * scatter * Math.sqrt(1 / first.length + 1 / second.length);
  const mean = meanOf(second) - meanOf(first);
  return { mean, low: mean - half, high: mean + half, scatter };
}
