import { pureCents, type NoteNaming } from '@inner-hum/core/horn';
import { AT_ONCE_SECONDS } from '@inner-hum/core/judge';
import type { Rung } from '@inner-hum/core/plan';
import type { TFunction } from 'i18next';
import { centsText, noteText } from '../../notation/index.ts';
import { decimals } from '../../words/index.ts';
import type { Tuning } from './ladderAddress.ts';

/** Cents of a rung from what it is measured by; null where it has not spoken. */
export function centsFrom({ cents, partial }: Rung, tuning: Tuning): number | null {
  return cents === null ? null : cents - (tuning === 'pure' ? pureCents(partial) : 0);
}

function clearText({ clearSeconds: seconds }: Rung, t: TFunction): string[] {
  if (seconds === null) return [];
  return [
    seconds < AT_ONCE_SECONDS
      ? t('ladder.clearAtOnce')
      : t('ladder.clear', { seconds: decimals(seconds, 1) }),
  ];
}

/** How a rung speaks: "spoke 9 of 12 (56 to 93 %) · 6 cents flat · holds 4 s". */
export function rungFigures(rung: Rung, tuning: Tuning, t: TFunction): string {
  if (rung.tries === 0 || !rung.interval) return t('ladder.untried');
  const cents = centsFrom(rung, tuning);
  const percent = (share: number) => Math.round(100 * share);
  return [
    t('ladder.spoke', {
      spoke: rung.spoke,
      tries: rung.tries,
      low: percent(rung.interval.low),
      high: percent(rung.interval.high),
    }),
    ...(cents === null ? [] : [centsText(cents, t)]),
    ...clearText(rung, t),
    ...(rung.holdSeconds === null ? [] : [t('ladder.holds', { seconds: decimals(rung.holdSeconds, 1) })]),
    ...(rung.slipsTo === null ? [] : [t('ladder.slipsTo', { partial: rung.slipsTo })]),
  ].join(' · ');
}

/** A rung in words, for those who do not see the picture. */
export function rungLabel(rung: Rung, tuning: Tuning, naming: NoteNaming, t: TFunction): string {
  return t('ladder.rung', {
    fingered: noteText(rung.fingered, naming),
    partial: rung.partial,
    sounding: noteText(rung.sounding, naming),
    state: t(`ladder.state.${rung.state}`),
    figures: rungFigures(rung, tuning, t),
  });
}
