import type { Extent } from '@inner-hum/core/exercise';
import type { NoteNaming } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import { shortNote } from './NoteGlyph.tsx';

/** What an exercise takes, in one line: "6 min · B flat 3 – F6 · breaths of 12 s". `shift`: half steps from stored to read. */
export function extentText(
  { seconds, lowest, highest, breathSeconds }: Extent,
  naming: NoteNaming,
  t: TFunction,
  shift = 0,
): string {
  const minutes = Math.max(1, Math.round(seconds / 60));
  const range =
    lowest === null || highest === null
      ? []
      : lowest === highest
        ? [shortNote(lowest + shift, naming)]
        : [`${shortNote(lowest + shift, naming)} – ${shortNote(highest + shift, naming)}`];
  const breath =
    breathSeconds === null
      ? t('shelf.breathFree')
      : t('shelf.breath', { seconds: Math.round(breathSeconds) });
  return [t('shelf.minutes', { minutes }), ...range, breath].join(' · ');
}
