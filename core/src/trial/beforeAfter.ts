import { pooledDifference, type PooledDifference } from '../stats/index.ts';

/** What lies between equal takes played before something and after it. */
export interface BeforeAfter {
  /** After less before, with a 90 % interval from what equal takes differ by. */
  change: PooledDifference;
  /** What two equal takes differ by anyway: the standard deviation of their difference. */
  equalTakes: number;
  /** The change is more than equal takes explain. */
  isMore: boolean;
}

/** The same tone some times before and some times after: the change against what takes of one side differ by. Null with fewer than two on either side. */
export function beforeAfter(before: readonly number[], after: readonly number[]): BeforeAfter | null {
  if (before.length < 2 || after.length < 2) return null;
  const change = pooledDifference(before, after);
  return (
    change && {
      change,
      equalTakes: Math.SQRT2 * change.scatter,
      isMore: change.low > 0 || change.high < 0,
    }
  );
}
