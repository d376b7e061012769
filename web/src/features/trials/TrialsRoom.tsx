import { Box, Heading } from '@chakra-ui/react';
import type { Horn } from '@inner-hum/core/horn';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate } from 'react-router';
import { playersHorn } from '../../addresses/index.ts';
import { ShownRow } from '../../listing/index.ts';
import { addTrial, deleteTrial, trialAddress, type TrialRecord } from '../../storage/index.ts';
import { ActionLink, LogbookLinks, RoomHeading, UndoBar } from '../../ui/index.ts';
import { NewTrial } from './NewTrial.tsx';
import { TrialRow } from './TrialRow.tsx';
import { type Trials, useTrials } from './useTrials.ts';

/** Two cues tried against each other, and what they showed. */
export function Component() {
  const trials = useTrials();
  const navigate = useNavigate();
  const [deletedId, setDeleted] = useState<string | null>(null);
  if (!trials) return null;
  return (
    <TrialsView
      trials={trials}
      horn={playersHorn(trials.settings)}
      deletedId={deletedId}
      onFix={(trial) =>
        void addTrial({ ...trial, createdAt: Date.now() }).then((id) => navigate(trialAddress(id)))
      }
      onDelete={(id) => {
        void deleteTrial(id, Date.now());
        setDeleted(id);
      }}
      onUndo={() => {
        if (deletedId) void deleteTrial(deletedId, null);
        setDeleted(null);
      }}
    />
  );
}

interface TrialsViewProps {
  trials: Trials;
  horn: Horn;
  deletedId: string | null;
  onFix(trial: Omit<TrialRecord, 'id' | 'deletedAt' | 'createdAt'>): void;
  onDelete(id: string): void;
  onUndo(): void;
}

function TrialsView({ trials: { settings, trials }, horn, ...props }: TrialsViewProps) {
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
        {trials.map((played) => (
          <li key={played.trial.id}>
            <ShownRow table="trials" id={played.trial.id}>
              <TrialRow played={played} naming={settings.naming} onDelete={props.onDelete} />
            </ShownRow>
          </li>
        ))}
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
