import { Box } from '@chakra-ui/react';
import { partialNote, type NoteNaming, type WrittenMidi } from '@inner-hum/core/horn';
import type { SurpriseAnswer } from '@inner-hum/core/tone';
import { useTranslation } from 'react-i18next';
import { noteText } from '../../notation/index.ts';
import { decimals } from '../../words/index.ts';
import type { SurpriseState } from './useSurprise.ts';

interface SurpriseLineProps {
  surprise: SurpriseState;
  lowest: WrittenMidi;
  naming: NoteNaming;
}

/** What came of the last call to drop to the lowest note, and how often it spoke. */
export function SurpriseLine({ surprise: { isCalled, answers }, lowest, naming }: SurpriseLineProps) {
  const { t } = useTranslation();
  const note = noteText(lowest, naming);
  const last = answers.at(-1);
  const told = ({ partial, afterSeconds }: SurpriseAnswer) =>
    partial === null || afterSeconds === null
      ? t('surprise.nothing', { note })
      : partial === 1
        ? t('surprise.spoke', { note, seconds: decimals(afterSeconds, 1) })
        : t('surprise.jumped', { note, other: noteText(partialNote(lowest, partial), naming) });
  return (
    <Box role="status" fontSize="large" my="3" data-testid="surprise">
      {isCalled ? t('surprise.now', { note }) : last ? told(last) : t('surprise.waits', { note })}
      {answers.length > 0 && (
        <Box as="span" color="muted" ml="4">
          {t('surprise.tally', {
            count: answers.length,
            spoke: answers.filter(({ partial }) => partial === 1).length,
          })}
        </Box>
      )}
    </Box>
  );
}
