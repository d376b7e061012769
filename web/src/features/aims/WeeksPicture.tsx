import { chakra } from '@chakra-ui/react';
import type { Goal, GoalProgress } from '@inner-hum/core/practice';
import { useTranslation } from 'react-i18next';
import { measureText } from '../../ui/index.ts';

const WIDTH = 260;
const HEIGHT = 72;
const MARGIN = 8;

/** An aim week by week: a dot each, and the rule that is to be reached. */
export function WeeksPicture({ goal, progress: { weeks } }: { goal: Goal; progress: GoalProgress }) {
  const { t } = useTranslation();
  const values = [...weeks.map(({ value }) => value), goal.target];
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const y = (value: number) =>
    HEIGHT - MARGIN - ((value - least) / Math.max(1e-9, most - least)) * (HEIGHT - 2 * MARGIN);
  const x = (i: number) => MARGIN + (i / Math.max(1, weeks.length - 1)) * (WIDTH - 2 * MARGIN);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width={WIDTH}
      style={{ maxWidth: '100%' }}
      role="img"
      aria-label={t('aim.picture', {
        count: weeks.length,
        first: measureText(weeks[0]?.value ?? 0, goal.measure, t),
        last: measureText(weeks.at(-1)?.value ?? 0, goal.measure, t),
      })}
    >
      <chakra.line
        x1={0}
        x2={WIDTH}
        y1={y(goal.target)}
        y2={y(goal.target)}
        stroke="brass"
        strokeWidth="1.5px"
      />
      <chakra.polyline
        points={weeks.map(({ value }, i) => `${x(i)},${y(value)}`).join(' ')}
        fill="none"
        stroke="line"
        strokeWidth="1.5px"
      />
      {weeks.map(({ value, at }, i) => (
        <chakra.circle key={at} cx={x(i)} cy={y(value)} r={4} fill="ink" />
      ))}
    </svg>
  );
}
