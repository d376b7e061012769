import { chakra } from '@chakra-ui/react';
import type { Goal, GoalProgress } from '@inner-hum/core/practice';
import { useTranslation } from 'react-i18next';
import { measureText } from '../../notation/index.ts';
import { weeksLayout } from './weeksLayout.ts';

const WIDTH = 260;
const HEIGHT = 72;
const MARGIN = 8;

/** An aim week by week: a dot each, and the rule that is to be reached. */
export function WeeksPicture({ goal, progress: { weeks } }: { goal: Goal; progress: GoalProgress }) {
  const { t } = useTranslation();
  const { x, y } = weeksLayout(weeks, goal.target, { width: WIDTH, height: HEIGHT, margin: MARGIN });
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
