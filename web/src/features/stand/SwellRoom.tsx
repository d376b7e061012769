import { buildSwell } from '@inner-hum/core/exercise';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import { readSwell, swellSearch } from '../../addresses/index.ts';
import { useSetup } from '../../session/index.ts';
import { noteText } from '../../notation/index.ts';
import { useUrlState } from '../../ui/index.ts';
import { ExerciseView } from './ExerciseView.tsx';
import { SwellControls } from './SwellControls.tsx';
import { useExercise } from './useExercise.ts';

/** The Stand with the single swell. The exercise is in the address. */
export function Component() {
  const { t } = useTranslation();
  const setup = useSetup();
  const [search] = useSearchParams();
  const hornId = setup?.settings.hornId ?? 'alto';
  const request = useMemo(() => readSwell(search, hornId), [search, hornId]);
  const exercise = useMemo(() => buildSwell(request), [request]);
  const play = useExercise(setup, exercise, `/stand/swell?${swellSearch(request)}`);
  const [, go] = useUrlState((address) => readSwell(address, hornId), swellSearch);

  if (!setup) return null;
  const { settings } = setup;
  const shape = t(`shape.${request.shape}`);
  return (
    <ExerciseView
      setup={setup}
      play={play}
      title={shape}
      label={t('swell.page', { note: noteText(request.note, settings.naming), shape })}
      controls={
        <SwellControls
          request={request}
          exercise={exercise}
          settings={settings}
          phase={play.phase}
          offerCalibration={!setup.calibrated}
          onChange={(change) => go(change)}
          onPrimary={play.onPrimary}
        />
      }
    />
  );
}
