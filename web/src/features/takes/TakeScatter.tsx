import { Box, Heading } from '@chakra-ui/react';
import type { TakeMeasures } from '@inner-hum/core/judge';
import { lazy, Suspense, useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { TakeRecord } from '../../storage/index.ts';
import { scatterPoints } from './scatterPoints.ts';
import type { TakeDrawing } from '../../listing/index.ts';
import type { OtherTake } from './useOtherTake.ts';

const LevelScatter = lazy(() => import('./LevelScatter.tsx'));

interface TakeScatterProps {
  take: TakeRecord;
  measures: TakeMeasures;
  drawing: TakeDrawing;
  other: OtherTake | null;
}

/** Does the pitch go with the loudness? */
export function TakeScatter({ take, measures, drawing, other }: TakeScatterProps) {
  const { t } = useTranslation();
  const here = useMemo(() => scatterPoints(take, drawing.track.columns), [take, drawing]);
  const there = useMemo(() => other && scatterPoints(other.take, other.drawing.track.columns), [other]);
  const bend = measures.pitchSlopeCentsPer10Db;
  const count = Math.round(Math.abs(bend ?? 0));
  const told =
    bend === null
      ? t('scatter.noBend')
      : count === 0
        ? t('scatter.stays')
        : t(bend < 0 ? 'scatter.sinks' : 'scatter.rises', {
            count,
            percent: Math.round(100 * Math.max(0, measures.pitchSlopeR2 ?? 0)),
          });
  if (here.points.length === 0) return null;
  return (
    <Box mt="7">
      <Heading as="h2" fontFamily="heading" fontSize="medium" mb="1">
        {t('scatter.title')}
      </Heading>
      <Box color="muted" mb="3" maxW="prose">
        {told}
      </Box>
      <Suspense fallback={<Box minH="chart" />}>
        <LevelScatter here={here} there={there} label={`${t('scatter.title')}. ${told}`} />
      </Suspense>
    </Box>
  );
}
