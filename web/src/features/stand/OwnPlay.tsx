import { waitsBefore, type Exercise } from '@inner-hum/core/exercise';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import type { SessionSetup } from '../../session/index.ts';
import { exerciseName } from '../../notation/index.ts';
import { ActionLink, TempoField } from '../../ui/index.ts';
import { BudgetLine } from './BudgetLine.tsx';
import { ExerciseView } from './ExerciseView.tsx';
import { SheetPart } from './SheetPart.tsx';
import { StandControls } from './StandControls.tsx';
import { StartLine } from './StartLine.tsx';
import { WaitsLine } from './WaitsLine.tsx';
import { useBreathBudget } from './useBreathBudget.ts';
import { useExercise } from './useExercise.ts';

interface OwnPlayProps {
  setup: SessionSetup;
  exercise: Exercise;
  id: string;
}

/** An own exercise on the Stand. The tempo may be another today; everything else is written in the builder. */
export function OwnPlay({ setup, exercise: written, id }: OwnPlayProps) {
  const { t } = useTranslation();
  const { settings } = setup;
  const [tempoBpm, setTempo] = useState(written.tempoBpm);
  const [slowest, fastest] = written.tempoRangeBpm ?? [20, 300];
  const exercise = useMemo(() => ({ ...written, tempoBpm }), [written, tempoBpm]);
  const [search] = useSearchParams();
  const line = search.get('sheet');
  const play = useExercise(
    setup,
    exercise,
    `/stand/own/${id}`,
    line === null ? `/shelf/own/${id}` : '/today',
  );
  const budget = useBreathBudget(exercise, settings.source);
  const { round, phase } = play;
  const name = exerciseName(exercise, t);
  return (
    <ExerciseView
      setup={setup}
      play={play}
      title={name}
      label={t('drill.page', { name, index: round.index + 1, count: Math.max(1, round.count) })}
      after={line !== null && <SheetPart line={line} play={play} settings={settings} />}
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
          notes={
            <>
              {round.paused && waitsBefore(exercise, round.index) && <WaitsLine />}
              <BudgetLine exercise={exercise} budget={budget} onTake={setTempo} />
            </>
          }
          fields={
            <>
              <TempoField
                tempoBpm={tempoBpm}
                min={slowest}
                max={fastest}
                tapKey={settings.singleKeys ? settings.keys.tap : null}
                onChange={setTempo}
              />
              <ActionLink look="plain" alignSelf="flex-end" to={`/shelf/own/${id}`}>
                {t('drill.changeOwn')}
              </ActionLink>
            </>
          }
        />
      }
    />
  );
}
