import type { TFunction } from 'i18next';

/** A deviation in words, with its side. */
export function centsText(cents: number, t: TFunction): string {
  const count = Math.round(Math.abs(cents));
  if (count === 0) return t('figure.inTune');
  return t(cents > 0 ? 'figure.sharp' : 'figure.flat', { count });
}

/** A deviation in words short enough for an axis. */
export function axisCents(cents: number, t: TFunction): string {
  if (cents === 0) return t('scatter.true');
  return t(cents > 0 ? 'scatter.sharp' : 'scatter.flat', { cents: Math.abs(cents) });
}
