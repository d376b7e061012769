import { Box } from '@chakra-ui/react';
import { type Exercise, familyOf, notesOf, scoreOf } from '@inner-hum/core/exercise';
import { memo, type ReactNode } from 'react';
import type { VisitPhase } from '../../session/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';
import { ClickCount } from './ClickCount.tsx';
import { HeldLine } from './HeldLine.tsx';
import { IntervalFields } from './IntervalLine.tsx';
import { TakeEnding } from './TakeEnding.tsx';
import type { ExercisePlay } from './useExercise.ts';

interface HeldWhileBusyProps {
  busy: boolean;
  children: ReactNode;
}

/** What is out of sight while a take runs is not drawn anew then: it would cost the first beats a third of their time. */
const HeldWhileBusy = memo(
  function HeldWhileBusy({ children }: HeldWhileBusyProps) {
    return children;
  },
  (_before, { busy }) => busy,
);

interface StandFootProps {
  play: ExercisePlay;
  phrase: Exercise;
  phase: VisitPhase;
  settings: SettingsRecord;
  busy: boolean;
  controls: ReactNode;
  after: ReactNode;
}

/** Where the question is for how many clicks, or on which one, they are counted. */
const countsClicks = (exercise: Exercise) => {
  const asked = familyOf(exercise)?.headline;
  return asked === 'beats' || notesOf(scoreOf(exercise)).some(({ item }) => item.open);
};

/**
 * Below the ribbon, as high in every phase: what to choose before, the beats while it sounds, and then how it was. What changes as a take
 * begins is said in the elements' own style: a rule that no element had before would have the whole page laid out anew, on the first beat.
 */
export function StandFoot({ play, phrase, phase, settings, busy, controls, after }: StandFootProps) {
  const isOwnTime = phrase.start === 'ownTime';
  return (
    <Box
      h={{ base: 'standFootNarrow', md: 'standFoot' }}
      pb="3"
      position="relative"
      overflowX="hidden"
      style={{ overflowY: busy ? 'hidden' : 'auto' }}
      data-testid="stand-foot"
    >
      <Box position="absolute" bottom="4" left="0">
        {isOwnTime && <HeldLine isOn={phase === 'playing'} />}
        {!isOwnTime && countsClicks(phrase) && <ClickCount exercise={phrase} isOn={phase === 'playing'} />}
      </Box>
      <Box h="full" style={{ visibility: busy ? 'hidden' : 'visible' }}>
        <HeldWhileBusy busy={busy}>
          {play.take ? (
            <TakeEnding settings={settings} play={play} take={play.take} after={after} />
          ) : (
            <>
              {after}
              {familyOf(phrase)?.headline === 'interval' && (
                <IntervalFields exercise={phrase} settings={settings} />
              )}
              {controls}
            </>
          )}
        </HeldWhileBusy>
      </Box>
    </Box>
  );
}
