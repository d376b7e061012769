import type { HighFigures } from '@inner-hum/core/plan';
import type { TFunction } from 'i18next';
import { centsText } from '../../notation/index.ts';

const percent = (share: number) => Math.round(100 * share);

/** "speaks 7 of 9": short, for the chart. */
export function speaksText({ spoke, tries }: HighFigures, t: TFunction): string {
  return tries === 0 ? t('high.untried') : t('high.speaks', { spoke, tries });
}

/** Pitch with its spread, in words; null where it never sounded. */
export function pitchText({ cents, spreadCents }: HighFigures, t: TFunction): string | null {
  if (cents === null) return null;
  const spread = Math.round(spreadCents ?? 0);
  return spread === 0 ? centsText(cents, t) : t('high.pitch', { cents: centsText(cents, t), spread });
}

/** Everything known of a fingering, as rows of name and words. */
export function figureRows(figures: HighFigures, t: TFunction): { name: string; text: string }[] {
  const { interval, instead, bendRangeCents } = figures;
  const pitch = pitchText(figures, t);
  return [
    {
      name: t('high.figure.speaks'),
      text: interval
        ? t('high.speaksOf', {
            spoke: figures.spoke,
            tries: figures.tries,
            low: percent(interval.low),
            high: percent(interval.high),
          })
        : t('high.untried'),
    },
    ...(pitch === null ? [] : [{ name: t('high.figure.pitch'), text: pitch }]),
    ...(bendRangeCents === null
      ? []
      : [{ name: t('high.figure.bend'), text: t('high.bends', { cents: Math.round(bendRangeCents) }) }]),
    ...(instead === null ? [] : [{ name: t('high.figure.instead'), text: t(`high.instead.${instead}`) }]),
  ];
}
