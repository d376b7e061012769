import { WITHIN_90, type MouthpieceAdvice } from '@inner-hum/core/tendency';
import type { TFunction } from 'i18next';
import { decimals } from '../../words/index.ts';

/** The advice in a sentence; what is missing where there is none. */
export function adviceText(advice: MouthpieceAdvice | null, t: TFunction): string {
  if (!advice) return t('advise.tooLittle');
  const { pullOutMm, errorMm, beforeCents, afterCents } = advice;
  if (pullOutMm === 0) return t('advise.leaveIt', { cents: Math.round(beforeCents) });
  return t(pullOutMm > 0 ? 'advise.out' : 'advise.in', {
    mm: decimals(Math.abs(pullOutMm), 1),
    error: decimals(WITHIN_90 * errorMm, 1),
    before: Math.round(beforeCents),
    after: Math.round(afterCents),
  });
}
