import { Box, Flex } from '@chakra-ui/react';
import type { NoteItem } from '@inner-hum/core/exercise';
import { regularFingering, type NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { FingeringDiagram, noteText } from '../../notation/index.ts';
import { useNarrow } from '../../ui/index.ts';

const DESK_PX = 108;
const PHONE_PX = 64;

/** What the fingers hold, where it is not the fingering of the note. */
export function FingeredLine({ note, naming }: { note: NoteItem; naming: NoteNaming }) {
  const { t } = useTranslation();
  const narrow = useNarrow();
  if (note.fingered === null && !note.keys) return null;
  return (
    <Flex gap="3" alignItems="center" data-testid="fingered">
      <FingeringDiagram
        fingering={note.keys ?? regularFingering(note.fingered ?? note.writtenMidi)}
        height={narrow ? PHONE_PX : DESK_PX}
      />
      {note.fingered !== null && (
        <Box fontSize="large" lineHeight="1.2" aria-hidden="true">
          {t('fingering.fingered', { note: noteText(note.fingered, naming) })}
        </Box>
      )}
    </Flex>
  );
}
