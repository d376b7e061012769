import { FIGURES } from '@inner-hum/core/figures';
import type { TrendMeasure } from '@inner-hum/core/practice';
import type { TFunction } from 'i18next';
import { decimals } from '../words/index.ts';

/** A figure without its unit. */
export function figureText(value: number, measure: TrendMeasure): string {
  return decimals(value, FIGURES[measure].digits);
}

/** With its unit. */
export const measureText = (value: number, measure: TrendMeasure, t: TFunction) =>
  t(`trend.unit.${FIGURES[measure].unit}`, { value: figureText(value, measure) });
