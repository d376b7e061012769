import type { TFunction } from 'i18next';

/** The widest interval that has a name. */
const WIDEST = 24;

/** An interval by its name, in half steps up or down; beyond two octaves in half steps. */
export function intervalName(halfSteps: number, t: TFunction): string {
  const size = Math.abs(halfSteps);
  return size <= WIDEST ? t(`interval.${size}` as 'interval.1') : t('interval.wide', { count: size });
}
