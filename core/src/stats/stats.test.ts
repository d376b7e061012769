import fc from 'fast-check';
import { expect, it } from 'vitest';
import {
  differenceOfMeans,
  halfWidth16to84,
  meanWithInterval,
  median,
  percentile,
  percentiles,
  pooledDifference,
  reachedWith,
  smoothInto,
  theilSen,
  rateDifference,
  wilson,
} from './index.ts';
import { studentQuantile } from './studentQuantile.ts';

it('has every percentile by selection that it has by sorting, of any list', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ noNaN: false }), { maxLength: 60 }),
      fc.array(fc.double({ min: 0, max: 100, noNaN: true }), { minLength: 1, maxLength: 4 }),
      (values, ps) => {
        expect(percentiles(values, ps)).toEqual(ps.map((p) => percentile(values, p)));
      },
    ),
  );
});

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

it('says how sure a mean and a pooled difference are, by Student’s tables', () => {
  // t(0.95, 2) = 2.919986, t(0.95, 3) = 2.353363; both from any table.
  const single = meanWithInterval([1, 2, 6]);
  // Squares around 3: 4 + 1 + 9 = 14; standard error sqrt(14 / 2 / 3).
  expect(single?.mean).toBe(3);
  expect((single?.high ?? 0) - 3).toBeCloseTo(2.919986 * Math.sqrt(7 / 3), 4);
  expect(3 - (single?.low ?? 0)).toBeCloseTo(2.919986 * Math.sqrt(7 / 3), 4);
  expect(meanWithInterval([4, 4])).toEqual({ mean: 4, low: 4, high: 4 });
  expect(meanWithInterval([4])).toBeNull();
  const pooled = pooledDifference([0, 2], [3, 5, 10]);
  // Squares: 2, and around 6: 9 + 1 + 16 = 26; 28 over 3 degrees.
  expect(pooled?.mean).toBe(5);
  expect(pooled?.scatter).toBeCloseTo(Math.sqrt(28 / 3), 12);
  const half = 2.353363 * Math.sqrt(28 / 3) * Math.sqrt(1 / 2 + 1 / 3);
  expect((pooled?.high ?? 0) - 5).toBeCloseTo(half, 4);
  expect(5 - (pooled?.low ?? 0)).toBeCloseTo(half, 4);
  // One value beside two is enough for one degree: t(0.95, 1) = 6.313752.
  const least = pooledDifference([1], [2, 4]);
  expect((least?.high ?? 0) - 2).toBeCloseTo(6.313752 * Math.sqrt(2) * Math.sqrt(1.5), 3);
  expect(pooledDifference([1], [2])).toBeNull();
  expect(pooledDifference([], [1, 2, 3])).toBeNull();
  expect(pooledDifference([1, 2, 3], [])).toBeNull();
});

it('estimates how long something lasts by the product limit, with bounds for what was stopped', () => {
  const lasted = (...seconds: number[]) => seconds.map((each) => ({ seconds: each, censored: false }));
  // Of five that ended 4 in 5 outlast the first, 3 in 5 the second, and so on.
  const five = lasted(10, 4, 8, 2, 6);
  expect(reachedWith(0.8, five)).toEqual({ seconds: 4, isLowerBound: false });
  expect(reachedWith(0.81, five)).toEqual({ seconds: 2, isLowerBound: false });
  expect(reachedWith(0.5, five)).toEqual({ seconds: 6, isLowerBound: false });
  // Stopped at 4: it counts among those at risk until then, and at none after. 4/5, then 2/3 of it.
  const stopped = five.map((each) => ({ ...each, censored: each.seconds === 4 }));
  expect(reachedWith(0.6, stopped)).toEqual({ seconds: 6, isLowerBound: false });
  expect(reachedWith(0.5, stopped)).toEqual({ seconds: 8, isLowerBound: false });
  // What ended comes before what was stopped at the same moment.
  const same = [
    { seconds: 5, censored: true },
    { seconds: 5, censored: false },
  ];
  expect(reachedWith(0.6, same)).toEqual({ seconds: 5, isLowerBound: false });
  expect(reachedWith(0.5, same)).toEqual({ seconds: 5, isLowerBound: true });
  const all = [3, 9, 6].map((seconds) => ({ seconds, censored: true }));
  expect(reachedWith(0.8, all)).toEqual({ seconds: 9, isLowerBound: true });
  expect(reachedWith(0.8, [])).toBeNull();
});

it('weighs neighbours by a raised cosine, and fills a hole that is in reach', () => {
  const out = new Float64Array(7);
  smoothInto(out, [0, 0, 0, 1, 0, 0, 0], 4);
  // Reach 2: weights 1, 0.75 and 0.25, which sum to 3.
  expect([...out].map((value) => Math.round(1e6 * value) / 1e6)).toEqual(
    [0, 0.25 / 2.75, 0.75 / 3, 1 / 3, 0.75 / 3, 0.25 / 2.75, 0].map((value) => Math.round(1e6 * value) / 1e6),
  );
  smoothInto(out, [1, NaN, NaN, NaN, NaN, NaN, 5], 2);
  expect([...out]).toEqual([1, 1, NaN, NaN, NaN, 5, 5]);
});

it('says what share of y a line explains', () => {
  // Slope 1 and intercept 0 by the medians; residuals 0, 0, 0, 0, 5 of a variance around 3.
  const fit = theilSen([0, 1, 2, 3, 4], [0, 1, 2, 3, 9]);
  expect(fit).toEqual({ slope: 1, intercept: 0, r2: 1 - 25 / 50 });
  expect(theilSen([0, 1, 2], [4, 4, 4])).toEqual({ slope: 0, intercept: 4, r2: 0 });
  expect(theilSen([0, 1], [0, 1])).toBeNull();
  expect(theilSen([0, 1, 2], [0, 1, 2])?.slope).toBe(1);
  // So many that they are thinned: every point still counts for the intercept.
  const many = Array.from({ length: 1000 }, (_, i) => i);
  expect(
    theilSen(
      many,
      many.map((x) => 3 * x + 1),
    ),
  ).toEqual({ slope: 3, intercept: 1, r2: 1 });
  expect(percentile([5, 7], 0)).toBe(5);
  expect(percentile([5, 7], 100)).toBe(7);
  expect(percentile([7, 5, 9], 50)).toBe(7);
  expect(halfWidth16to84([])).toBeNull();
});

it('has Student’s quantiles as tables print them, and where a formula has them', () => {
  // Any table of t, one-sided; the last row is that of the normal distribution.
  for (const [probability, freedom, printed] of [
    [0.95, 1, 6.313752],
    [0.975, 3, 3.182446],
    [0.95, 10, 1.812461],
    [0.995, 10, 3.169273],
    [0.95, 30, 1.697261],
    [0.95, 1e7, 1.644854],
  ])
    expect(studentQuantile(probability, freedom)).toBeCloseTo(printed, 5);
  fc.assert(
    fc.property(fc.double({ min: 0.51, max: 0.9999, noNaN: true }), (p) => {
      // Cauchy's distribution, and the one of two degrees, have closed forms.
      const cauchy = Math.tan(Math.PI * (p - 0.5));
      expect(studentQuantile(p, 1) / cauchy).toBeCloseTo(1, 8);
      const two = (2 * p - 1) / Math.sqrt(2 * p * (1 - p));
      expect(studentQuantile(p, 2) / two).toBeCloseTo(1, 8);
    }),
  );
  // Fractional degrees lie between whole ones.
  const [less, between, more] = [2, 2.5, 3].map((freedom) => studentQuantile(0.95, freedom));
  expect(between).toBeLessThan(less);
  expect(between).toBeGreaterThan(more);
  for (const [probability, freedom] of [
    [0.5, 3],
    [1, 3],
    [0.95, 0],
    [NaN, 3],
    [0.95, NaN],
  ])
    expect(() => studentQuantile(probability, freedom)).toThrow(
      expect.objectContaining({ code: 'argument-invalid' }),
    );
});
