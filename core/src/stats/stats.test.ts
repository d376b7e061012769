import { expect, it } from 'vitest';
import {
  differenceOfMeans,
  halfWidth16to84,
  median,
  percentile,
  smoothInto,
  theilSen,
  rateDifference,
  wilson,
} from './index.ts';

it('has the percentiles of a standard statistics text', () => {
  // Type 7 of Hyndman & Fan: R's quantile(c(1, 2, 4, 8), c(.25, .5, .9)) = 1.75, 3, 6.8
  expect(percentile([8, 1, 4, 2], 25)).toBeCloseTo(1.75, 12);
  expect(median([8, 1, 4, 2])).toBe(3);
  expect(percentile([8, 1, 4, 2], 90)).toBeCloseTo(6.8, 12);
  expect(halfWidth16to84(Array.from({ length: 101 }, (_, i) => i))).toBe(34);
  expect(median([])).toBeNull();
});

it('fits a line through a third of outliers and says how much it explains', () => {
  const x = Array.from({ length: 60 }, (_, i) => i);
  const y = x.map((value, i) => (i % 3 === 0 ? 500 - i : 2 * value - 7));
  expect(theilSen(x, y)?.slope).toBeCloseTo(2, 0);
  const clean = theilSen(
    x,
    x.map((value) => 2 * value - 7),
  );
  expect(clean).toEqual({ slope: 2, intercept: -7, r2: 1 });
  expect(theilSen([1, 1, 1], [1, 2, 3])).toBeNull();
});

it('has no answer where a value is no number, and names wrong arguments', () => {
  expect(percentile([1, NaN, 3], 50)).toBeNull();
  // Digital silence is minus infinity, and the middle of it too.
  expect(percentile([-Infinity, -Infinity, -Infinity], 50)).toBe(-Infinity);
  expect(percentile([-Infinity, -20, -10], 50)).toBe(-20);
  for (const p of [-1, 101, NaN])
    expect(() => percentile([1, 2], p)).toThrow(expect.objectContaining({ code: 'argument-invalid' }));
  expect(theilSen([1, 2, NaN], [1, 2, 3])).toBeNull();
  expect(theilSen([1, 2, 3], [1, Infinity, 3])).toBeNull();
  expect(() => theilSen([1, 2, 3], [1, 2])).toThrow('A line through 3 x and 2 y.');
  for (const [successes, tries] of [
    [3, 2],
    [-1, 2],
    [0, -1],
    [NaN, 4],
    [1, Infinity],
  ])
    expect(() => wilson(successes, tries)).toThrow(expect.objectContaining({ code: 'argument-invalid' }));
  expect(() => wilson(1, 2, 0)).toThrow(/z = 0/);
  expect(wilson(0, 0)).toBeNull();
});

it('tells two means apart by Welch’s degrees of freedom, not by those of equal variances', () => {
  // Equal variances and sizes: 2 (n - 1) = 4 degrees, t(0.95, 4) = 2.131847 in any table.
  const even = differenceOfMeans([0, 2, 4], [10, 12, 14]);
  expect(even?.difference).toBe(10);
  expect((even?.high ?? 0) - 10).toBeCloseTo(2.131847 * Math.sqrt(8 / 3), 4);
  // All that varies is the first: n - 1 = 2 degrees, t(0.95, 2) = 2.919986.
  const uneven = differenceOfMeans([0, 2, 4], [10, 10, 10]);
  expect((uneven?.high ?? 0) - 8).toBeCloseTo(2.919986 * Math.sqrt(4 / 3), 4);
  expect(8 - (uneven?.low ?? 0)).toBeCloseTo(2.919986 * Math.sqrt(4 / 3), 4);
  expect(differenceOfMeans([1, 1], [3, 3])).toEqual({ difference: 2, low: 2, high: 2 });
  expect(differenceOfMeans([1], [3, 3])).toBeNull();
  expect(differenceOfMeans([1, 2], [3])).toBeNull();
});

it('smooths around holes and never moves a straight line', () => {
  const out = new Float64Array(5);
  smoothInto(out, [0, 1, NaN, 3, 4], 3);
  expect(out[2]).toBeCloseTo(2, 12);
  smoothInto(out, [0, 1, 2, 3, 4], 5);
  expect(out[2]).toBeCloseTo(2, 12);
});

it('gives the interval of a share as published: 8 of 10 at 95 %', () => {
  // By hand from Wilson's formula: (0.8 + 0.19207) / 1.38415 = 0.71674, half width 0.22658.
  const interval = wilson(8, 10, 1.959964);
  expect(interval?.low).toBeCloseTo(0.4902, 3);
  expect(interval?.high).toBeCloseTo(0.9433, 3);
  expect(wilson(0, 0)).toBe(null);
  expect(wilson(0, 5)?.low).toBe(0);
});

it('gives the interval of a difference of shares as Newcombe printed it', () => {
  // Newcombe 1998, table II, example (a), method 10, 95 %: 56 of 70 against 48 of 80.
  const { low, high } = rateDifference(56, 70, 48, 80, 1.959964) ?? { low: NaN, high: NaN };
  expect(low).toBeCloseTo(0.0524, 4);
  expect(high).toBeCloseTo(0.3339, 4);
  expect(rateDifference(0, 0, 1, 2)).toBeNull();
});
