import { differenceOfMeans, mean, type MeanDifference } from '../stats/index.ts';
import type { TrendPoint } from './trend.ts';

/** What a trend did where something was changed: mean of the days after it less that of the days before, with its 90 % interval. */
export interface Change extends MeanDifference {
  before: number;
  after: number;
  daysBefore: number;
  daysAfter: number;
}

/** So many days on either side, at most and at least. */
const MOST_DAYS = 14;
const LEAST_DAYS = 3;

/**
 * The step of a trend at a moment: the days next to it on either side, but none beyond the changes around it (`others`, in ms), so
 * that each side is one state of things. Null where a side has fewer than three days. It says that something changed, not why:
 * practice goes on in those days too.
 */
export function changeAt(
  points: readonly TrendPoint[],
  at: number,
  others: readonly number[],
): Change | null {
  const from = Math.max(-Infinity, ...others.filter((other) => other < at));
  const to = Math.min(Infinity, ...others.filter((other) => other > at));
  const before = points.filter((point) => point.at >= from && point.at < at).slice(-MOST_DAYS);
  const after = points.filter((point) => point.at >= at && point.at < to).slice(0, MOST_DAYS);
  if (before.length < LEAST_DAYS || after.length < LEAST_DAYS) return null;
  const values = (side: readonly TrendPoint[]) => side.map(({ value }) => value);
  const difference = differenceOfMeans(values(before), values(after));
  return (
    difference && {
      ...difference,
      before: mean(values(before)),
      after: mean(values(after)),
      daysBefore: before.length,
      daysAfter: after.length,
    }
  );
}
