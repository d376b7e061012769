import { Box, chakra, Flex } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import type { ChartedFingering, ChartedNote } from '@inner-hum/core/plan';
import { useTranslation } from 'react-i18next';
import { FingeringDiagram, fingeringText, NoteGlyph } from '../../notation/index.ts';
import { pitchText, speaksText } from './highText.ts';
import { SpeakMark } from './SpeakMark.tsx';

interface HighNoteRowProps {
  note: ChartedNote;
  naming: NoteNaming;
  /** The fingering that is looked at, where it is one of this note's. */
  looked: string | null;
  onLook(word: string): void;
}

/** A note of the chart and every fingering of it, side by side. */
export function HighNoteRow({ note, naming, looked, onLook }: HighNoteRowProps) {
  return (
    <Flex
      as="li"
      gap={{ base: '3', md: '5' }}
      py="2"
      borderTopWidth="1px"
      borderTopStyle="solid"
      borderTopColor="line"
    >
      <Box fontFamily="heading" fontSize="display" lineHeight="1.1" w="routeStep" flexShrink="0">
        <NoteGlyph midi={note.writtenMidi} naming={naming} octave />
      </Box>
      <Flex as="ul" gap="2" wrap="wrap">
        {note.fingerings.map((each) => (
          <li key={each.word}>
            <FingeringOfNote
              fingering={each}
              isLooked={each.word === looked}
              onLook={() => onLook(each.word)}
            />
          </li>
        ))}
      </Flex>
    </Flex>
  );
}

interface FingeringOfNoteProps {
  fingering: ChartedFingering;
  isLooked: boolean;
  onLook(): void;
}

const DIAGRAM_PX = 96;

function FingeringOfNote({ fingering, isLooked, onLook }: FingeringOfNoteProps) {
  const { t } = useTranslation();
  const { figures, preferred, isStart } = fingering;
  const pitch = pitchText(figures, t);
  return (
    <chakra.button
      type="button"
      aria-pressed={isLooked}
      aria-label={[
        fingeringText(figures.fingering, t),
        preferred && t('high.preferred'),
        speaksText(figures, t),
        pitch,
      ]
        .filter(Boolean)
        .join('; ')}
      onClick={onLook}
      display="flex"
      alignItems="center"
      gap="2"
      textAlign="left"
      w="tryColumn"
      minH="touch"
      px="2"
      py="2"
      cursor="pointer"
      borderRadius="small"
      borderWidth="2px"
      borderStyle="solid"
      borderColor={isLooked ? 'brass' : 'transparent'}
      bg={preferred ? 'cane' : 'transparent'}
      data-preferred={preferred || undefined}
    >
      <FingeringDiagram fingering={figures.fingering} height={DIAGRAM_PX} />
      <Box fontSize="small" lineHeight="1.3">
        <SpeakMark rate={figures.rate} interval={figures.interval} />
        {isStart ? t('high.startHere') : speaksText(figures, t)}
        {pitch !== null && (
          <Box as="span" display="block" color="muted">
            {pitch}
          </Box>
        )}
      </Box>
    </chakra.button>
  );
}
