import { Box, Flex, Heading } from '@chakra-ui/react';
import type { Horn } from '@inner-hum/core/horn';
import { useTranslation } from 'react-i18next';
import { trialAddress, type TrialRecord } from '../../storage/index.ts';
import { noteText } from '../../notation/index.ts';
import { ActionButton, ActionLink, LogbookLinks, RoomHeading, UndoBar } from '../../ui/index.ts';
import { dateText } from '../../words/index.ts';
import { NewTrial } from './NewTrial.tsx';
import { PairPicture } from './PairPicture.tsx';
import { resultText } from './trialText.ts';
import type { Trials } from './useTrials.ts';

interface TrialsViewProps {
  trials: Trials;
  horn: Horn;
  deletedId: string | null;
  onFix(trial: Omit<TrialRecord, 'id' | 'deletedAt' | 'createdAt'>): void;
  onDelete(id: string): void;
  onUndo(): void;
}

export function TrialsView({ trials: { settings, trials }, horn, ...props }: TrialsViewProps) {
  const { t } = useTranslation();
  return (
    <Box maxW="page">
      <RoomHeading title={t('trial.title')} help="trials" end={<LogbookLinks />} />
      <Box maxW="prose" mb="4">
        {t('trial.how')}
      </Box>
      <NewTrial horn={horn} settings={settings} onFix={props.onFix} />
      {props.deletedId && <UndoBar key={props.deletedId} text={t('trial.deleted')} onUndo={props.onUndo} />}
      <Box as="ul" data-testid="trials">
        {trials.map((played) => {
          const { trial, result, sittings } = played;
          return (
            <Box
              as="li"
              key={trial.id}
              py="4"
              borderTopWidth="1px"
              borderTopStyle="solid"
              borderTopColor="line"
            >
              <Flex gap="6" wrap="wrap">
                <Box flex="1" minW="column">
                  <Heading as="h2" fontSize="large">
                    {t('trial.against', trial.cues)}
                  </Heading>
                  <Box color="muted" fontSize="small" mb="2">
                    {[
                      dateText(trial.createdAt, 'dayYear'),
                      t(`horn.${trial.hornId}`),
                      `${t(`trial.tones.${trial.tone}`)}, ${noteText(trial.writtenMidi, settings.naming)}`,
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
                    <ActionButton look="plain" onClick={() => props.onDelete(trial.id)}>
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
        })}
      </Box>
      <Box as="section" mt="6" maxW="prose">
        <Heading as="h2" fontSize="large" mb="2">
          {t('trial.beforeAfter')}
        </Heading>
        <Box mb="3">{t('trial.beforeAfterHow')}</Box>
        <ActionLink to="/stand/drill/beforeAfter">{t('trial.beforeAfterPlay')}</ActionLink>
      </Box>
    </Box>
  );
}
