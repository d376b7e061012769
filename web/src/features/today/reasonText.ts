import type { Reason } from '@inner-hum/core/plan';
import type { TFunction } from 'i18next';

const whenText = (days: number, t: TFunction) =>
  days === 0 ? t('today.earlier') : t('today.daysAgo', { count: days });

/** Why a line stands on the sheet, in one sentence with its figure. */
export function reasonText(reason: Reason, t: TFunction): string {
  switch (reason.kind) {
    case 'opening':
    case 'free':
      return t(`today.why.${reason.kind}`);
    case 'fresh':
      return t('today.why.fresh', { zone: t(`today.zone.${reason.zone}`) });
    case 'fails':
      return t('today.why.fails', {
        zone: t(`today.zone.${reason.zone}`),
        asWritten: reason.asWritten,
        judged: reason.judged,
        when: whenText(reason.days, t),
      });
    case 'waited':
    case 'zone':
      return t(`today.why.${reason.kind}`, {
        zone: t(`today.zone.${reason.zone}`),
        when: whenText(reason.days, t),
      });
  }
}
