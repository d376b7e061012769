import { FAMILIES, familyById, type FamilyRequest } from '@inner-hum/core/exercise';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { drillAddress, readDrill, useSetup } from '../../session/index.ts';
import { familyName } from '../../ui/index.ts';
import { DrillControls } from './DrillControls.tsx';
import { ExerciseView } from './ExerciseView.tsx';
import { useBreathBudget } from './useBreathBudget.ts';
import { useExercise } from './useExercise.ts';

/** The Stand with a drill of a family, phrase by phrase. What was chosen is in the address. */
export function Component() {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const setup = useSetup();
  const { familyId = '' } = useParams();
  const [search] = useSearchParams();
  const family = familyById(familyId) ?? FAMILIES[0];
  const hornId = setup?.settings.hornId ?? 'alto';
  const request = useMemo(() => readDrill(search, family, hornId), [search, family, hornId]);
  const exercise = useMemo(() => family.build(request), [family, request]);
  const play = useExercise(setup, exercise, drillAddress(family, request));
  const budget = useBreathBudget(exercise, setup?.settings.source ?? null);
  const go = (change: Partial<FamilyRequest>) =>
    void navigate(drillAddress(family, { ...request, ...change }), { replace: true });

  if (!setup) return null;
  const { settings } = setup;
  const name = familyName(family.id, t);
  const { round } = play;
  return (
    <ExerciseView
      setup={setup}
      play={play}
      title={name}
      aside={t('swell.aside', { horn: t(`horn.${settings.hornId}`), tempo: exercise.tempoBpm })}
      label={t('drill.page', { name, index: round.index + 1, count: Math.max(1, round.count) })}
      controls={
        <DrillControls
          family={family}
          request={request}
          exercise={exercise}
          settings={settings}
          phase={play.phase}
          paused={round.paused}
          budget={budget}
          offerCalibration={!setup.calibrated}
          onChange={go}
          onPrimary={play.onPrimary}
        />
      }
    />
  );
}
