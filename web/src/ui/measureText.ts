import type { TrendMeasure } from '@inner-hum/core/practice';
import type { TFunction } from 'i18next';
import { decimals } from '../words/index.ts';

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

/** A figure without its unit. */
export function figureText(value: number, measure: TrendMeasure): string {
  return decimals(value, UNITS[measure].digits);
}

/** With its unit. */
export const measureText = (value: number, measure: TrendMeasure, t: TFunction) =>
  t(`trend.unit.${UNITS[measure].unit}`, { value: figureText(value, measure) });
