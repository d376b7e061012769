import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { createTakePlayer, type TakePlayer } from '../../audio/index.ts';
import { soundOfTake } from '../../workers/index.ts';
import { ActionButton, useBlindAB } from '../../ui/index.ts';
import type { PlayedMatch } from './matchPairs.ts';

interface BlindListenProps {
  match: PlayedMatch;
  names: readonly [string, string];
}

/** One's own two sounds, equally loud, one of them at a time and unnamed: can the ear tell which it was? */
export function BlindListen({ match, names }: BlindListenProps) {
  const { t } = useTranslation();
  const players = useRef<TakePlayer[]>([]);
  const { hidden, told, score, ask, answer } = useBlindAB<0 | 1>(0, 1);
  useEffect(() => () => players.current.forEach((player) => player.close()), []);

  async function load(): Promise<TakePlayer[]> {
    if (players.current.length > 0) return players.current;
    const samples = await soundOfTake(match.takeId);
    players.current = [match.first, match.second].map(({ startSeconds, endSeconds }) => {
      const at = (seconds: number) => Math.round(seconds * match.sampleRateHz);
      // Each is brought to the same loudest moment, so that loudness does not tell.
      return createTakePlayer(
        samples.slice(at(startSeconds), at(endSeconds)),
        match.sampleRateHz,
        () => undefined,
      );
    });
    return players.current;
  }
  async function play(which: 0 | 1) {
    const [first, second] = await load();
    first.pause();
    second.pause();
    (which === 0 ? first : second).play(0);
  }
  return (
    <Box borderTopWidth="1px" borderTopStyle="solid" borderTopColor="line" pt="4">
      <Flex gap="4" wrap="wrap" alignItems="center">
        {hidden === null ? (
          <ActionButton onClick={() => void play(ask())}>{t('match.blind')}</ActionButton>
        ) : (
          <>
            <Box>{t('match.whichWas')}</Box>
            {([0, 1] as const).map((which) => (
              <ActionButton key={which} onClick={() => answer(which)}>
                {names[which]}
              </ActionButton>
            ))}
            <ActionButton look="plain" onClick={() => void play(hidden)}>
              {t('match.hearAgain')}
            </ActionButton>
          </>
        )}
        {([0, 1] as const).map((which) => (
          <ActionButton
            key={`hear ${which}`}
            look="plain"
            disabled={hidden !== null}
            onClick={() => void play(which)}
          >
            {t('match.hear', { name: names[which] })}
          </ActionButton>
        ))}
      </Flex>
      <Box role="status" mt="2" minH="touch">
        {told && t(told.right ? 'match.right' : 'match.wrong', { name: names[told.was] })}{' '}
        {score.asked > 1 && t('match.score', score)}
      </Box>
    </Box>
  );
}
