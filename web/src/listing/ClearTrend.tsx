import { Box } from '@chakra-ui/react';
import { AT_ONCE_SECONDS } from '@inner-hum/core/judge';
import { clearByDay, type Rung, type RungTry } from '@inner-hum/core/plan';
import { lazy, Suspense } from 'react';
import { useTranslation } from 'react-i18next';
import { dayOf } from '../storage/index.ts';
import { decimals } from '../words/index.ts';

const DayTrend = lazy(() => import('./DayTrend.tsx'));

/** The axis of seconds reaches at least this far. */
const LEAST_SECONDS = 2;
/** One day is no trend. */
const LEAST_DAYS = 2;

interface ClearTrendProps {
  rung: Pick<Rung, 'fingered' | 'partial'>;
  tries: readonly RungTry[];
  /** What is shown, in words. */
  label: string;
}

/** How long a partial takes to stand clear, over the days it was played on; nothing before the second of them. */
export function ClearTrend({ rung, tries, label }: ClearTrendProps) {
  const { t } = useTranslation();
  const days = clearByDay(rung, tries, dayOf);
  // What was always clear at once has no way to go.
  if (days.length < LEAST_DAYS || days.every(({ seconds }) => seconds < AT_ONCE_SECONDS)) return null;
  const textOf = (seconds: number) => t('line.seconds', { seconds: decimals(seconds, 1) });
  return (
    <Box mb="5" data-testid="clear-trend">
      <Box color="muted" fontSize="small">
        {label}
      </Box>
      <Suspense fallback={null}>
        <DayTrend
          points={days.map(({ at, seconds }) => ({ at, value: seconds }))}
          label={label}
          least={LEAST_SECONDS}
          textOf={textOf}
        />
      </Suspense>
    </Box>
  );
}
