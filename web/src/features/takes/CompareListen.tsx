import { Box, Flex } from '@chakra-ui/react';
import { secondsPerBeat } from '@inner-hum/core/exercise';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { createTakePlayer, type TakePlayer } from '../../audio/index.ts';
import type { TakeRecord } from '../../storage/index.ts';
import { soundOfTake } from '../../workers/index.ts';
import { ActionButton, Key, useFreeKeys, useBlindAB } from '../../ui/index.ts';
import type { TakeDrawing } from '../../listing/index.ts';

interface Heard {
  take: TakeRecord;
  drawing: TakeDrawing;
}

interface CompareListenProps {
  here: Heard;
  there: Heard;
  onCursor(seconds: number): void;
}

/** What is left of a take after a change must last this long to be compared. */
const LEAST_HEARD_SECONDS = 2;

type Which = 'here' | 'there';
const other = (which: Which): Which => (which === 'here' ? 'there' : 'here');

/** Where the music of a take begins on its own clock, and how long its beat is; of what has none, its first sound and a second. */
function clockOf({ take: { context, analysis }, drawing }: Heard) {
  return {
    zero: analysis?.beatZeroSeconds ?? drawing.fromSeconds,
    beat: context ? secondsPerBeat(context.exercise) : 1,
  };
}

/** Two takes by ear: equally loud, changed over in the same place of the music; and unnamed, to be told apart. */
export function CompareListen({ here, there, onCursor }: CompareListenProps) {
  const { t } = useTranslation();
  const players = useRef<Partial<Record<Which, TakePlayer>>>({});
  const [sounding, setSounding] = useState<Which | null>(null);
  const [heardLast, setHeardLast] = useState<Which | null>(null);
  const { hidden, told, score, ask, answer } = useBlindAB<Which>('here', 'there');
  const heard = { here, there };
  useEffect(() => () => Object.values(players.current).forEach((player) => player.close()), []);
  const showPlace = useEffectEvent((which: Which) => {
    const player = players.current[which];
    if (player?.playing) onCursor(placed(player.positionSeconds(), which, 'here'));
  });
  useEffect(() => {
    if (sounding === null || hidden !== null) return undefined;
    let request = 0;
    const follow = () => {
      request = requestAnimationFrame(follow);
      showPlace(sounding);
    };
    follow();
    return () => cancelAnimationFrame(request);
  }, [sounding, hidden]);

  /** A place of the music, from the clock of one take to that of the other. */
  function placed(seconds: number, from: Which, to: Which): number {
    if (from === to) return seconds;
    const [a, b] = [clockOf(heard[from]), clockOf(heard[to])];
    return b.zero + ((seconds - a.zero) * b.beat) / a.beat;
  }
  async function playerOf(which: Which): Promise<TakePlayer> {
    const { take } = heard[which];
    players.current[which] ??= createTakePlayer(
      await soundOfTake(take.id),
      take.sampleRateHz,
      () => setSounding((now) => (now === which ? null : now)),
      1,
      true,
    );
    return players.current[which];
  }
  async function play(which: Which, fromSeconds: number) {
    const player = await playerOf(which);
    players.current[other(which)]?.pause();
    player.play(Math.max(0, fromSeconds));
    setSounding(which);
    setHeardLast(which);
  }
  function stop() {
    Object.values(players.current).forEach((player) => player.pause());
    setSounding(null);
  }
  const begin = (which: Which) => void play(which, heard[which].drawing.fromSeconds);
  /** To the other one in the same place; where that is at its end, or nothing sounds any more, from its beginning. */
  function changeOver() {
    if (heardLast === null || hidden !== null) return;
    const to = other(heardLast);
    const at =
      sounding === null ? Infinity : placed(players.current[sounding]?.positionSeconds() ?? 0, sounding, to);
    if (at > heard[to].drawing.toSeconds - LEAST_HEARD_SECONDS) begin(to);
    else void play(to, at);
  }
  useFreeKeys('x', changeOver);
  const names: Record<Which, string> = { here: t('compare.here'), there: t('compare.other') };
  return (
    <Box mt="4" data-testid="compare-listen">
      <Flex gap="4" wrap="wrap" alignItems="center">
        {(['here', 'there'] as const).map((which) => (
          <ActionButton
            key={which}
            disabled={hidden !== null}
            aria-pressed={hidden === null && sounding === which}
            onClick={() => begin(which)}
          >
            {t('compare.hear', { name: names[which] })}
          </ActionButton>
        ))}
        <ActionButton disabled={heardLast === null || hidden !== null} onClick={changeOver}>
          {t('compare.changeOver')} <Key>x</Key>
        </ActionButton>
        <ActionButton look="plain" disabled={sounding === null} onClick={stop}>
          {t('compare.stop')}
        </ActionButton>
        {hidden === null ? (
          <ActionButton look="plain" onClick={() => begin(ask())}>
            {t('compare.unnamed')}
          </ActionButton>
        ) : (
          <>
            <Box>{t('match.whichWas')}</Box>
            {(['here', 'there'] as const).map((which) => (
              <ActionButton
                key={which}
                look="plain"
                onClick={() => {
                  answer(which);
                  stop();
                }}
              >
                {names[which]}
              </ActionButton>
            ))}
          </>
        )}
      </Flex>
      <Box role="status" mt="1" minH="6" color="muted">
        {hidden === null && sounding !== null && t('compare.sounding', { name: names[sounding] })}
        {told && t(told.right ? 'match.right' : 'match.wrong', { name: names[told.was] })}{' '}
        {score.asked > 1 && t('match.score', score)}
      </Box>
    </Box>
  );
}
