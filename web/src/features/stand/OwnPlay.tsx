import { Box, Flex } from '@chakra-ui/react';
import { waitsBefore, type Exercise } from '@inner-hum/core/exercise';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { useSearchParams } from 'react-router';
import type { SessionSetup } from '../../session/index.ts';
import { exerciseName } from '../../notation/index.ts';
import { ActionLink, nextTempo, NumberField } from '../../ui/index.ts';
import { BudgetLine } from './BudgetLine.tsx';
import { ExerciseView } from './ExerciseView.tsx';
import { SheetPart } from './SheetPart.tsx';
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
  const step = (by: 1 | -1) => setTempo(Math.max(slowest, Math.min(fastest, nextTempo(tempoBpm, by))));
  return (
    <ExerciseView
      setup={setup}
      play={play}
      title={name}
      label={t('drill.page', { name, index: round.index + 1, count: Math.max(1, round.count) })}
      after={line !== null && <SheetPart line={line} play={play} settings={settings} />}
      controls={
        <Box>
          <Flex columnGap="7" wrap="wrap" alignItems="flex-start">
            <StartLine
              exercise={exercise}
              settings={settings}
              phase={phase}
              paused={round.paused}
              offerCalibration={!setup.calibrated}
              onPrimary={play.onPrimary}
            />
            {round.paused && waitsBefore(exercise, round.index) && <WaitsLine />}
            <BudgetLine exercise={exercise} budget={budget} onTake={setTempo} />
          </Flex>
          <Flex columnGap="7" rowGap="3" wrap="wrap" alignItems="flex-end">
            <NumberField
              label={t('free.tempo')}
              less={t('free.slower')}
              more={t('free.faster')}
              onLess={() => step(-1)}
              onMore={() => step(1)}
              shown={String(tempoBpm)}
            />
            <ActionLink look="plain" to={`/shelf/own/${id}`}>
              {t('drill.changeOwn')}
            </ActionLink>
          </Flex>
        </Box>
      }
    />
  );
}
