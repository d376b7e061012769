import { Box, Flex } from '@chakra-ui/react';
import {
  familyOf,
  isAlone,
  spellingKey,
  type Exercise,
  type ExerciseItem,
  type NoteItem,
} from '@inner-hum/core/exercise';
import { registerOf, writtenMidi } from '@inner-hum/core/horn';
import type { TFunction } from 'i18next';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { NamedNoteGlyph, NoteGlyph, shownNote } from '../../notation/index.ts';
import type { VisitPhase } from '../../session/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import { FingeredLine } from './FingeredLine.tsx';
import { IntervalName } from './IntervalLine.tsx';
import { useShownNotes } from './useShownNotes.ts';

interface NoteColumnProps {
  phrase: Exercise;
  phase: VisitPhase;
  settings: SettingsRecord;
  busy: boolean;
}

/** What is to be done where no note is. */
const doingWord = (doing: ExerciseItem) => {
  if (doing.kind === 'rest' && doing.breath === 'none') return 'item.hold';
  return doing.kind === 'free' && doing.fingered ? 'item.freeFingered' : (`item.${doing.kind}` as const);
};

/** The tone and the vibrato that are asked for. */
function howToPlay({ tone, vibrato }: NoteItem, t: TFunction): string[] {
  return [...(tone ? [t(`tone.${tone}`)] : []), ...(vibrato ? [t(`vibrato.${vibrato}`)] : [])];
}

/** The note to play now, large, and the one after it. On a phone both are one row of a fixed height above the ribbon. */
export function NoteColumn({ phrase, phase, settings, busy }: NoteColumnProps) {
  const { t } = useTranslation();
  const { doing, now, next, word } = useShownNotes(phrase, phase);
  const spelledIn = spellingKey(phrase.phrases[0]);
  const shown = now && shownNote(now, phrase, settings.hornId);
  const line = (testId: string, children: ReactNode, key?: string) => (
    <Box
      key={key}
      fontFamily="heading"
      fontSize={{ base: 'title', md: 'next' }}
      lineHeight="1.05"
      aria-hidden="true"
      data-testid={testId}
    >
      {children}
    </Box>
  );
  return (
    <Flex
      w={{ md: 'noteColumn' }}
      h={{ base: 'noteRow', md: 'auto' }}
      flexShrink="0"
      overflow="hidden"
      direction={{ base: 'row', md: 'column' }}
      alignItems={{ base: 'center', md: 'flex-start' }}
      justifyContent={{ md: 'center' }}
      gap="3"
    >
      <Box
        fontFamily="heading"
        fontSize="note"
        lineHeight="1.05"
        flexShrink="0"
        aria-hidden="true"
        data-testid="note-now"
      >
        {shown !== null && <NoteGlyph midi={shown} naming={settings.naming} octave spelledIn={spelledIn} />}
      </Box>
      <Flex direction="column" gap={{ base: '1', md: '3' }} minW="0">
        {word !== null && (
          <Box
            fontFamily="heading"
            fontSize={{ base: 'display', md: 'beat' }}
            lineHeight="1.05"
            aria-hidden="true"
            data-testid="word"
          >
            {word}
          </Box>
        )}
        {doing.kind !== 'note' && line('doing', t(doingWord(doing)))}
        {now?.kind === 'note' && howToPlay(now, t).map((how) => line('tone', how, how))}
        {familyOf(phrase)?.headline === 'interval' && (
          <IntervalName exercise={phrase} settings={settings} busy={busy} />
        )}
        {now?.kind === 'note' && <FingeredLine note={now} naming={settings.naming} />}
        {next ? (
          <Box color="muted" aria-hidden="true" data-testid="note-next">
            <Box fontSize="small">{t('drill.next')}</Box>
            <Box
              fontFamily="heading"
              fontSize={next.fingered === null && !next.tone ? 'next' : 'title'}
              lineHeight="1.05"
            >
              <NamedNoteGlyph note={spelledIn ? { ...next, spelledIn } : next} naming={settings.naming} />
            </Box>
          </Box>
        ) : (
          <Box color="muted" fontSize="large">
            {isAlone(phrase)
              ? t('drill.sounding')
              : shown !== null && t(`register.${registerOf(writtenMidi(shown))}`)}
          </Box>
        )}
      </Flex>
    </Flex>
  );
}
