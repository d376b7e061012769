import { Box, Flex } from '@chakra-ui/react';
import type { Pace } from '@inner-hum/core/exercise';
import { type ReactNode, useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { EndedRoundHeadline, TakeHeadline } from '../../listing/index.ts';
import { CallWords } from '../../notation/index.ts';
import { ActionButton, ActionLink, Key } from '../../ui/index.ts';
import type { SettingsRecord, TakeRecord } from '../../storage/index.ts';
import { CallIt } from './CallIt.tsx';
import type { ExercisePlay } from './useExercise.ts';
import { useSession } from '../../session/index.ts';

interface TakeEndingProps {
  settings: SettingsRecord;
  play: ExercisePlay;
  take: TakeRecord;
  /** What comes after all of it is played. */
  after: ReactNode;
}

/** How it was, and what comes next: the call first, where the take was a blind one. */
export function TakeEnding({ settings, play, take, after }: TakeEndingProps) {
  const { t } = useTranslation();
  const { round, phrase, asks } = play;
  const isRound = round.count > 1;
  const key = (name: 'pause' | 'skip') => settings.singleKeys && <Key>{settings.keys[name]}</Key>;
  return (
    <Flex h="full" gap="7" direction={{ base: 'column', md: 'row' }}>
      {round.restUntil !== null && (
        <Box flexShrink="0" w={{ md: 'noteColumn' }}>
          <RestCount until={round.restUntil} />
        </Box>
      )}
      <Flex flex="1" minW="0" minH="0" direction="column" gap="3">
        {after}
        <Box flex="1" minH="0" overflowY="auto">
          {asks ? (
            <CallIt ends={asks} onCall={play.onCall} onShow={play.onShow} />
          ) : (
            <Box role="status" maxW="page">
              {take.call && take.analysis && <CallWords call={take.call} measures={take.analysis.measures} />}
              {isRound && round.over && round.id ? (
                <EndedRoundHeadline roundId={round.id} take={take} naming={settings.naming} />
              ) : (
                <TakeHeadline take={take} naming={settings.naming} />
              )}
            </Box>
          )}
        </Box>
        {/* What to press keeps its place, however much there is to say, and however late it comes. */}
        <Flex columnGap="5" rowGap="1" wrap="wrap" alignItems="center" flexShrink="0">
          {!isRound && !asks && <Box fontSize="medium">{t(againHint(phrase.start, settings))}</Box>}
          {round.over && round.id && (
            <ActionLink look="main" to={`/takes/round/${round.id}`}>
              {t('drill.result')}
            </ActionLink>
          )}
          {!asks && (
            <ActionButton onClick={isRound ? play.onAgain : play.onPrimary}>
              {t(isRound ? 'drill.again' : 'swell.again')} <Key>←</Key>
            </ActionButton>
          )}
          {isRound && !round.over && (
            <>
              <ActionButton onClick={play.onPause}>
                {t('drill.pause')} {key('pause')}
              </ActionButton>
              <ActionButton onClick={play.onSkip}>
                {t('drill.skip')} {key('skip')}
              </ActionButton>
            </>
          )}
          {!asks && (!isRound || round.over) && (
            <>
              <ActionButton onClick={play.onChangeIt}>{t('swell.change')}</ActionButton>
              <Box visibility={play.takeIsStored ? 'visible' : 'hidden'}>
                <ActionLink look="plain" to={`/takes/${take.id}`}>
                  {t('swell.closer')}
                </ActionLink>
              </Box>
            </>
          )}
        </Flex>
      </Flex>
    </Flex>
  );
}

function againHint(start: Pace, { source }: SettingsRecord) {
  if (source === 'standIn') return 'swell.againSimulated' as const;
  return start === 'countIn' ? ('swell.againCount' as const) : ('swell.againPlay' as const);
}

/** How long the rest still lasts, by the audio clock. Not read out: the beat says when it is over. */
function RestCount({ until }: { until: number }) {
  const { t } = useTranslation();
  const { desk } = useSession();
  const [seconds, setSeconds] = useState(() => until - desk.now());
  useEffect(() => {
    const timer = setInterval(() => setSeconds(until - desk.now()), 200);
    return () => clearInterval(timer);
  }, [until, desk]);
  return (
    <Box fontFamily="heading" fontSize={{ base: 'title', md: 'next' }} lineHeight="1.1" aria-hidden="true">
      {t('drill.restUntil', { seconds: Math.max(0, Math.ceil(seconds)) })}
    </Box>
  );
}
