// Small robust statistics on plain arrays. Nothing here knows what the numbers mean.
export { mean } from './mean.ts';
export { median, percentile, percentiles, halfWidth16to84 } from './percentile.ts';
export { theilSen, type LineFit } from './theilSen.ts';
export { rateDifference, wilson, type Interval } from './wilson.ts';
export { smoothInto } from './smooth.ts';
export { reachedWith, type Duration, type Lasting } from './survival.ts';
export { differenceOfMeans, type MeanDifference } from './differenceOfMeans.ts';
export { meanWithInterval, type MeanInterval } from './meanWithInterval.ts';
export { pooledDifference, type PooledDifference } from './pooledDifference.ts';
