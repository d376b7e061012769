import { Box } from '@chakra-ui/react';
import { readSofts } from '@inner-hum/core/exercise';
import type { NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { noteText } from '../notation/index.ts';
import { Choice } from './Choice.tsx';

interface SoftestFieldProps {
  label: string;
  /** The marks by note that are chosen, as one word; empty: one mark for all notes. */
  value: string;
  /** Those that were lately reached; empty: none yet. */
  lately: string;
  naming: NoteNaming;
  onChange(value: string): void;
}

/** Whether every note begins or ends at one mark, or each at the softest that speaks on it. */
export function SoftestField({ label, value, lately, naming, onChange }: SoftestFieldProps) {
  const { t } = useTranslation();
  const marks = [...readSofts(value)].map(([midi, mark]) => `${noteText(midi, naming)} ${mark}`);
  return (
    <Box maxW="prose">
      <Choice
        legend={label}
        value={value === '' ? 'oneMark' : 'whatSpeaks'}
        onChange={(chosen) => onChange(chosen === 'oneMark' ? '' : lately)}
        options={[
          { value: 'oneMark', label: t('chosen.oneMark') },
          ...(lately === '' && value === '' ? [] : [{ value: 'whatSpeaks', label: t('chosen.whatSpeaks') }]),
        ]}
      />
      <Box color="muted" fontSize="small">
        {marks.length > 0
          ? t('option.softsAre', { marks: marks.join(', ') })
          : lately === ''
            ? t('option.softsUnknown')
            : null}
      </Box>
    </Box>
  );
}
