import { Box } from '@chakra-ui/react';
import { Troubles } from '../../session/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import { CautionLine } from './CautionLine.tsx';
import { PlayingLoadLine } from './PlayingLoadLine.tsx';
import type { ExercisePlay } from './useExercise.ts';

interface StandNoticesProps {
  play: ExercisePlay;
  settings: SettingsRecord;
  /** No sentences while a note sounds: what went wrong meanwhile is told after it. */
  busy: boolean;
}

/** What is to be known before playing. It lies over the margin above the ribbon, on a phone over the foot of the page, and moves nothing. */
export function StandNotices({ play, settings, busy }: StandNoticesProps) {
  return (
    <Box
      position={{ base: 'fixed', md: 'absolute' }}
      top={{ md: '2' }}
      bottom={{ base: '0', md: 'auto' }}
      px={{ base: '4', md: '0' }}
      pb={{ base: '3', md: '0' }}
      left={{ base: '0', md: '{sizes.noteColumn}' }}
      right="0"
      zIndex="1"
      maxH="full"
      overflowY="auto"
      bg="paper"
      fontSize={{ base: 'small', md: 'normal' }}
    >
      <Troubles quiet={busy} onRetry={play.onRetry} onSimulated={play.onSimulated} />
      <div hidden={busy}>
        <CautionLine exercise={play.exercise} readAt={settings.cautionsReadAt} playing={busy} />
        <PlayingLoadLine exercise={play.exercise} settings={settings} />
      </div>
    </Box>
  );
}
