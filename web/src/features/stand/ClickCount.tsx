import { Box } from '@chakra-ui/react';
import { scoreOf, secondsPerBeat, type Exercise } from '@inner-hum/core/exercise';
import { useEffect, useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSession } from '../../session/index.ts';

const EVERY_MS = 60;

interface ClickCountProps {
  exercise: Exercise;
  /** A take is played. */
  isOn: boolean;
}

/** How many clicks the present note has lasted, counted as a player counts: the click it begins on is one. Seen, never said. */
export function ClickCount({ exercise, isOn }: ClickCountProps) {
  const { t } = useTranslation();
  const { live, desk } = useSession();
  const score = useMemo(() => scoreOf(exercise), [exercise]);
  const [count, setCount] = useState<number | null>(null);
  useEffect(() => {
    if (!isOn) return undefined;
    const beat = secondsPerBeat(exercise);
    const timer = setInterval(() => {
      const beats = (desk.now() - live.startSeconds - (live.beatZeroSeconds ?? Infinity)) / beat;
      const here = score.find(({ startBeat, endBeat }) => beats >= startBeat && beats < endBeat);
      setCount(here?.item.kind === 'note' ? Math.floor(beats - here.startBeat) + 1 : null);
    }, EVERY_MS);
    return () => {
      clearInterval(timer);
      setCount(null);
    };
  }, [isOn, score, exercise, live, desk]);
  return (
    // Its place is kept, so that nothing jumps.
    <Box fontFamily="heading" fontSize="beat" lineHeight="1.05" aria-hidden="true" data-testid="clicks">
      {count !== null && t('drill.clicks', { count })}
    </Box>
  );
}
