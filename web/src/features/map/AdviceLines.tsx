import { Box } from '@chakra-ui/react';
import { adviseMouthpiece } from '@inner-hum/core/tendency';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { ActionLink } from '../../ui/index.ts';
import { adviceText } from './adviceText.ts';
import { modelOf } from './moves.ts';
import type { HornMap } from './useHornMap.ts';

/** What a move of the mouthpiece would do, in a sentence, and the way to all of it. */
export function AdviceLines({ data }: { data: HornMap }) {
  const { t } = useTranslation();
  const { map, horn, moves } = data;
  const advice = useMemo(() => adviseMouthpiece(map, horn, modelOf(moves, horn)), [map, horn, moves]);
  return (
    <>
      <Box mb="1">{adviceText(advice, t)}</Box>
      {advice && (
        <ActionLink look="plain" to="/map/mouthpiece">
          {t('map.adviceMore')}
        </ActionLink>
      )}
    </>
  );
}
