import { Box } from '@chakra-ui/react';
import { useLiveQuery } from 'dexie-react-hooks';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { readRound, readRoundTakes, readSettings } from '../../storage/index.ts';
import { ActionLink, RoomHeading } from '../../ui/index.ts';
import { RoundView } from './RoundView.tsx';

/** A round with its phrases, as they were played. */
export function Component() {
  const { t } = useTranslation();
  const { roundId = '' } = useParams();
  const settings = useLiveQuery(readSettings);
  const round = useLiveQuery(() => readRound(roundId), [roundId]);
  const takes = useLiveQuery(() => readRoundTakes(roundId), [roundId]);
  if (!settings || round === undefined || !takes) return null;
  if (round === null || round.id !== roundId)
    return (
      <Box maxW="prose">
        <RoomHeading title={t('round.missing')} />
        <ActionLink to="/takes">{t('take.toList')}</ActionLink>
      </Box>
    );
  return <RoundView key={roundId} round={round} takes={takes} naming={settings.naming} />;
}
