import { trialExercise, trialOrder } from '@inner-hum/core/trial';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Navigate, useParams } from 'react-router';
import { useSetup, type SessionSetup } from '../../session/index.ts';
import { readTrial, trialAddress, type TrialRecord } from '../../storage/index.ts';
import { ActionLink } from '../../ui/index.ts';
import { ExerciseView } from './ExerciseView.tsx';
import { StandControls } from './StandControls.tsx';
import { StartLine } from './StartLine.tsx';
import { useExercise } from './useExercise.ts';

/** A sitting of a cue trial: both cues in pairs, which of them first by chance. */
export function Component() {
  const { trialId = '' } = useParams();
  const setup = useSetup();
  const trial = useLiveQuery(() => readTrial(trialId), [trialId]);
  if (!setup || trial === undefined) return null;
  if (trial === null) return <Navigate to="/logbook/trials" replace />;
  return <TrialPlay key={trial.id} setup={setup} trial={trial} />;
}

function TrialPlay({ setup, trial }: { setup: SessionSetup; trial: TrialRecord }) {
  const { t } = useTranslation();
  const { settings } = setup;
  // Chance anew for every sitting.
  const [seed] = useState(() => crypto.getRandomValues(new Uint32Array(1))[0]);
  const name = t('trial.against', trial.cues);
  const exercise = useMemo(
    () => trialExercise(trial, trialOrder(trial.pairs, seed), name),
    [trial, seed, name],
  );
  const play = useExercise(setup, exercise, trialAddress(trial.id), '/logbook/trials');
  const { round, phase } = play;
  return (
    <ExerciseView
      setup={setup}
      play={play}
      title={name}
      aside={t('trial.aside', { count: trial.pairs })}
      label={t('drill.page', { name, index: round.index + 1, count: Math.max(1, round.count) })}
      after={
        phase === 'resting' &&
        round.over && <ActionLink to="/logbook/trials">{t('trial.toResult')}</ActionLink>
      }
      controls={
        <StandControls
          start={
            <StartLine
              exercise={exercise}
              settings={settings}
              phase={phase}
              paused={round.paused}
              offerCalibration={!setup.calibrated}
              onPrimary={play.onPrimary}
            />
          }
        />
      }
    />
  );
}
