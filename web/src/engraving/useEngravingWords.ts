import type { NoteNaming } from '@inner-hum/core/horn';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { signedNote } from '../notation/index.ts';
import type { EngravingWords } from './engraved.ts';

/** The words that stand in the music, in the player's language. */
export function useEngravingWords(naming: NoteNaming): EngravingWords {
  const { t } = useTranslation();
  return useMemo(
    () => ({
      hear: t('item.hear'),
      hum: t('item.hum'),
      air: t('item.air'),
      imagine: t('item.imagine'),
      free: t('item.free'),
      hold: t('item.hold'),
      subtone: t('tone.subtone'),
      vibrato: { off: t('vibrato.off'), normal: t('vibrato.normal'), slow: t('vibrato.slow') },
      fingered: (midi) => signedNote(midi, naming),
      times: (count) => t('engraving.times', { count }),
    }),
    [t, naming],
  );
}
