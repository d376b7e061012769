import { mean, squaresAroundMean } from './mean.ts';
import { studentQuantile } from './studentQuantile.ts';
import type { Interval } from './wilson.ts';

/** How far two means lie apart, second less first, with its 90 % interval. */
export interface MeanDifference extends Interval {
  difference: number;
}

/** Estimate of the variance (n-1). */
const variance = (values: readonly number[]) => squaresAroundMean(values) / (values.length - 1);

/**
 * Welch's interval of the difference of two means (Welch 1947, degrees of freedom after Satterthwaite 1946), 90 %, for values
 * that vary unequally. Null where one side has fewer than two values; where nothing varies it is a point.
 */
export function differenceOfMeans(
  first: readonly number[],
  second: readonly number[],
): MeanDifference | null {
  if (first.length < 2 || second.length < 2) return null;
  const difference = mean(second) - mean(first);
  const [a, b] = [variance(first) / first.length, variance(second) / second.length];
  if (a + b === 0) return { difference, low: difference, high: difference };
  const freedom = (a + b) ** 2 / (a ** 2 / (first.length - 1) + b ** 2 / (second.length - 1));
  const half = studentQuantile(0.95, freedom) * Math.sqrt(a + b);
  return { difference, low: difference - half, high: difference + half };
}
