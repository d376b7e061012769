import { Box, Flex, Grid } from '@chakra-ui/react';
import { playedExercise } from '@inner-hum/core/judge';
import { useMemo, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { type SessionSetup } from '../../session/index.ts';
import { PedalKeys, usePageTitle } from '../../ui/index.ts';
import { LivePage } from './LivePage.tsx';
import { NoteColumn } from './NoteColumn.tsx';
import { StandFoot } from './StandFoot.tsx';
import { StandHeader } from './StandHeader.tsx';
import { StandNotices } from './StandNotices.tsx';
import type { ExercisePlay } from './useExercise.ts';

interface ExerciseViewProps {
  setup: SessionSetup;
  play: ExercisePlay;
  title: string;
  /** Beside the title; absent: horn and pace. */
  aside?: string;
  /** What the page shows, for screen readers. */
  label: string;
  /** What to play, chosen before and after. */
  controls: ReactNode;
  /** What comes after all of it is played. */
  after?: ReactNode;
}

/** A drawing that is lower than this says nothing: a low window scrolls. */
const ROWS = 'auto minmax(200px, 1fr) auto';

/**
 * An exercise on the Stand. One layout in every phase, so that nothing moves while one plays: the header, the note
 * and its page as large as the window lets them be, and the foot.
 */
export function ExerciseView({ setup, play, title, aside, label, controls, after }: ExerciseViewProps) {
  const { t } = useTranslation();
  const { settings } = setup;
  usePageTitle(title);
  const { phase, phrase, take, asks } = play;
  // An ended take stays drawn by the scale it was judged by.
  const scale = take?.context?.scale ?? setup.scale;
  // What was played in one's own time is laid over what was played, once that is known.
  const shownPhrase = useMemo(() => {
    if (phase !== 'resting' || !take?.context || !take.analysis) return phrase;
    return playedExercise(take.context.exercise, take.analysis);
  }, [phase, take, phrase]);
  const isOwnTime = phrase.start === 'ownTime';
  const horn = t(`horn.${settings.hornId}`);
  const pace = isOwnTime
    ? t('drill.asideOwnTime', { horn })
    : t('swell.aside', { horn, tempo: play.exercise.tempoBpm });
  const busy = phase === 'playing' || phase === 'counting' || phase === 'judging';
  return (
    <PedalKeys value>
      <Grid
        as="main"
        templateColumns="minmax(0, 1fr)"
        templateRows={ROWS}
        h="screen"
        px={{ base: '4', md: '7' }}
        data-phase={phase}
      >
        <StandHeader
          title={title}
          aside={aside ?? pace}
          play={play}
          settings={settings}
          isOwnTime={isOwnTime}
        />
        <Flex position="relative" minH="0" direction={{ base: 'column', md: 'row' }} gap={{ md: '5' }} pt="2">
          <StandNotices play={play} settings={settings} busy={busy} />
          <NoteColumn phrase={phrase} phase={phase} settings={settings} busy={busy} />
          <Box flex="1" minW="0" minH="0">
            <LivePage
              exercise={shownPhrase}
              hornId={settings.hornId}
              a4Hz={settings.a4Hz}
              scale={scale}
              phase={phase}
              hidden={settings.eyes === 'blind' && (phase !== 'resting' || asks !== null)}
              naming={settings.naming}
              beatsSeen={settings.click === 'seen' || settings.click === 'both'}
              label={label}
            />
          </Box>
        </Flex>
        <StandFoot
          play={play}
          phrase={phrase}
          phase={phase}
          settings={settings}
          busy={busy}
          controls={controls}
          after={after}
        />
      </Grid>
    </PedalKeys>
  );
}
