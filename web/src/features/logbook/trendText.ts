import type { Change, TrendMeasure } from '@inner-hum/core/practice';
import type { TFunction } from 'i18next';
import { figureText, measureText } from '../../notation/index.ts';
import { markText } from './markText.ts';
import type { MarkedChange } from './useTrend.ts';

/** What the trend did where something was changed, with its interval. */
export function changeText({ mark, change }: MarkedChange, measure: TrendMeasure, t: TFunction): string {
  // The player's own words may end as a sentence does.
  const what = markText(mark, t).replace(/[.\s]+$/, '');
  if (!change) return t('trend.tooFew', { what });
  const figures = {
    what,
    before: measureText(change.before, measure, t),
    after: measureText(change.after, measure, t),
    difference: measureText(Math.abs(change.difference), measure, t),
    ...ends(change, measure, t),
  };
  if (change.low <= 0 && change.high >= 0) return t('trend.noDifference', figures);
  return t(change.difference > 0 ? 'trend.more' : 'trend.less', figures);
}

/** The ends of the interval as the difference is told: without its sign where it is plain. */
function ends({ low, high, difference }: Change, measure: TrendMeasure, t: TFunction) {
  const spansZero = low <= 0 && high >= 0;
  const [a, b] = spansZero ? [low, high] : difference > 0 ? [low, high] : [-high, -low];
  return { low: figureText(a, measure), high: measureText(b, measure, t) };
}
