import { Box, Flex, Heading } from '@chakra-ui/react';
import type { NoteNaming } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { noteText } from '../../notation/index.ts';
import { trialAddress } from '../../storage/index.ts';
import { ActionButton, ActionLink } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { PairPicture } from './PairPicture.tsx';
import { resultText } from './trialText.ts';
import type { PlayedTrial } from './useTrials.ts';

interface TrialRowProps {
  played: PlayedTrial;
  naming: NoteNaming;
  onDelete(id: string): void;
}

/** One trial: what was tried, what it showed, its pairs. */
export function TrialRow({ played, naming, onDelete }: TrialRowProps) {
  const { t } = useTranslation();
  const { trial, result, sittings } = played;
  return (
    <Box py="4" borderTopWidth="1px" borderTopStyle="solid" borderTopColor="line">
      <Flex gap="6" wrap="wrap">
        <Box flex="1" minW="column">
          <Heading as="h2" fontSize="large">
            {t('trial.against', trial.cues)}
          </Heading>
          <Box color="muted" fontSize="small" mb="2">
            {[
              dateText(trial.createdAt, 'dayYear'),
              t(`horn.${trial.hornId}`),
              `${t(`trial.tones.${trial.tone}`)}, ${noteText(trial.writtenMidi, naming)}`,
              t(`trial.measure.${trial.measure}`),
              t('trial.sittings', { count: sittings }),
            ].join(' · ')}
          </Box>
          <Box maxW="prose" data-result={result.less}>
            {resultText(played, t)}
          </Box>
          {result.unmeasured > 0 && (
            <Box color="muted" maxW="prose">
              {t('trial.leftOut', { count: result.unmeasured })}
            </Box>
          )}
          <Flex gap="4" mt="2" wrap="wrap">
            <ActionLink to={trialAddress(trial.id)}>
              {t(result.less === 'open' ? 'trial.play' : 'trial.again')}
            </ActionLink>
            <ActionButton look="plain" onClick={() => onDelete(trial.id)}>
              {t('take.delete')}
            </ActionButton>
          </Flex>
        </Box>
        {result.less !== 'open' && result.pairs.length > 0 && trial.measure !== 'spokeAtOnce' && (
          <PairPicture played={played} />
        )}
      </Flex>
    </Box>
  );
}
