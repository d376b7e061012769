import type { Why } from '@inner-hum/core/signal';
import type { TFunction } from 'i18next';

/** What is wrong with something from outside, and what to do: in the player's language where it is known, else as the program says it. */
export const whyText = ({ reason, text }: Why, t: TFunction): string =>
  reason ? t(`why.${reason.name}`, { ...reason.values }) : text;
