import type { NoteNaming } from '@inner-hum/core/horn';
import type { Reason } from '@inner-hum/core/plan';
import type { TFunction } from 'i18next';
import { signedNote } from '../../notation/index.ts';

/** How long ago, in days. */
export const whenText = (days: number, t: TFunction) =>
  days === 0 ? t('today.earlier') : t('today.daysAgo', { count: days });

/** Why a line stands on the sheet, in one sentence with its figure. */
export function reasonText(reason: Reason, isAir: boolean, naming: NoteNaming, t: TFunction): string {
  const place =
    'zone' in reason
      ? {
          zone: t(`today.zone.${reason.zone}`),
          note: reason.midi === null ? '' : signedNote(reason.midi, naming),
        }
      : null;
  switch (reason.kind) {
    case 'opening':
      return t(isAir ? 'today.why.air' : 'today.why.easy');
    case 'free':
    case 'school':
      return t(`today.why.${reason.kind}`);
    case 'path':
      return t('today.why.path', { step: reason.step + 1 });
    case 'covers':
      return t('today.why.covers', { done: reason.done, count: reason.count });
    case 'routine':
      return reason.days === null
        ? t('today.why.routineNew')
        : t('today.why.routine', { when: whenText(reason.days, t) });
    case 'aim':
      return reason.days === null
        ? t('today.why.aimNew')
        : t('today.why.aim', { when: whenText(reason.days, t) });
    case 'fresh':
      return t(reason.midi === null ? 'today.why.fresh' : 'today.why.freshNote', { ...place });
    case 'fails':
      return t(reason.midi === null ? 'today.why.fails' : 'today.why.failsNote', {
        ...place,
        skill: t(`today.skill.${reason.skill}`),
        asWritten: reason.asWritten,
        judged: reason.judged,
        when: whenText(reason.days, t),
      });
    case 'last':
      return t(reason.midi === null ? 'today.why.last' : 'today.why.lastNote', {
        ...place,
        when: whenText(reason.days, t),
      });
  }
}
