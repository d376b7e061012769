import type { TFunction } from 'i18next';
import { decimals } from '../../words/index.ts';
import type { Mark } from './marks.ts';

/** What was done, short enough for a picture. */
export function markName({ kind, pulledMm }: Mark, t: TFunction): string {
  if (kind === 'moved')
    return t((pulledMm ?? 0) >= 0 ? 'logbook.mark.out' : 'logbook.mark.in', {
      mm: decimals(Math.abs(pulledMm ?? 0), 1),
    });
  return t(`logbook.mark.${kind}`);
}

/** With the player's own words. */
export const markText = (mark: Mark, t: TFunction) =>
  mark.text === '' ? markName(mark, t) : `${markName(mark, t)}: ${mark.text}`;
