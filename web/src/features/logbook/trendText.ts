import type { Change, TrendMeasure } from '@inner-hum/core/practice';
import type { TFunction } from 'i18next';
import { markText } from './markText.ts';
import type { MarkedChange } from './useTrend.ts';

/** The unit a figure is told in, and how finely. */
const UNITS: Record<
  TrendMeasure,
  {
    unit: 'percent' | 'cents' | 'centsPerSecond' | 'bend' | 'db' | 'ms' | 'seconds' | 'harmonics' | 'hz';
    digits: number;
  }
> = {
  asWrittenPercent: { unit: 'percent', digits: 0 },
  centsMean: { unit: 'cents', digits: 0 },
  centsSpread: { unit: 'cents', digits: 1 },
  driftCentsPerSecond: { unit: 'centsPerSecond', digits: 1 },
  softEndCents: { unit: 'cents', digits: 0 },
  loudEndCents: { unit: 'cents', digits: 0 },
  bendWithLevel: { unit: 'bend', digits: 0 },
  levelSpreadDb: { unit: 'db', digits: 1 },
  dynamicSpanDb: { unit: 'db', digits: 0 },
  swellErrorDb: { unit: 'db', digits: 1 },
  responseMs: { unit: 'ms', digits: 0 },
  onsetOffsetMs: { unit: 'ms', digits: 0 },
  landingCents: { unit: 'cents', digits: 0 },
  slurMs: { unit: 'ms', digits: 0 },
  holdSeconds: { unit: 'seconds', digits: 1 },
  breathDb: { unit: 'db', digits: 0 },
  brightness: { unit: 'harmonics', digits: 1 },
  matchDb: { unit: 'db', digits: 1 },
  subtoneAirierDb: { unit: 'db', digits: 0 },
  bendRangeCents: { unit: 'cents', digits: 0 },
  vibratoHz: { unit: 'hz', digits: 1 },
  humCents: { unit: 'cents', digits: 0 },
};

/** A figure without its unit; never "-0". */
export function figureText(value: number, measure: TrendMeasure): string {
  const text = value.toFixed(UNITS[measure].digits);
  return (Number(text) === 0 ? text.replace('-', '') : text).replace('-', '−');
}

/** With its unit. */
export const measureText = (value: number, measure: TrendMeasure, t: TFunction) =>
  t(`trend.unit.${UNITS[measure].unit}`, { value: figureText(value, measure) });

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
