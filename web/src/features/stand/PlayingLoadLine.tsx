import { Box } from '@chakra-ui/react';
import { cautionsFor, type Exercise } from '@inner-hum/core/exercise';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { usePlayingLoadToday } from '../../today/index.ts';
import type { SettingsRecord } from '../../storage/index.ts';

/** Before an exercise that is high or loud: how near the player's own limit of today is, once it is near. */
export function PlayingLoadLine({ exercise, settings }: { exercise: Exercise; settings: SettingsRecord }) {
  const { t } = useTranslation();
  const today = usePlayingLoadToday(settings);
  const kinds = useMemo(() => cautionsFor(exercise), [exercise]);
  const told = kinds.flatMap((kind) => today?.[kind] ?? []).filter(({ isNear }) => isNear);
  if (told.length === 0) return null;
  return (
    <Box as="ul" color="muted" mb="2" data-testid="playingLoad">
      {told.map(({ text, isOver }) => (
        <li key={text}>
          {text} {t(isOver ? 'playingLoad.over' : 'playingLoad.near')}
        </li>
      ))}
    </Box>
  );
}
