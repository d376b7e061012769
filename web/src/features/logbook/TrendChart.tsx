import { Box } from '@chakra-ui/react';
import type { TrendMeasure, TrendPoint } from '@inner-hum/core/practice';
import { useTranslation } from 'react-i18next';
import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { LABEL_FAMILY, useRibbonPalette } from '../../ribbon/index.ts';
import { dateText } from '../../words/index.ts';
import { markName } from './markText.ts';
import { measureText } from '../../notation/index.ts';
import { useNarrow } from '../../ui/index.ts';
import type { MarkedChange } from './useTrend.ts';

interface TrendChartProps {
  points: readonly TrendPoint[];
  changes: readonly MarkedChange[];
  measure: TrendMeasure;
  label: string;
}

const HEIGHT = 340;
const LEAST_DOT = 3;
const MOST_DOT = 8;
/** Names of changes stand over each other, so that neighbours do not run into one another. */
const NAME_ROWS = { wide: 2, narrow: 4 };
const NAME_PX = 16;

/** A dot a day, the bigger the more notes it rests on; changes as lines, with the mean of the days beside them. Loaded when it is shown. */
export default function TrendChart({ points, changes, measure, label }: TrendChartProps) {
  const { t } = useTranslation();
  const palette = useRibbonPalette();
  const text = { fill: palette.muted, fontSize: 13, fontFamily: LABEL_FAMILY };
  const most = Math.max(...points.map(({ count }) => count));
  const times = points.map(({ at }) => at);
  const [first, last] = [Math.min(...times), Math.max(...times)];
  const shown = changes.filter(({ mark }) => mark.at >= first && mark.at <= last);
  const rows = Math.min(shown.length, NAME_ROWS[useNarrow() ? 'narrow' : 'wide']);
  return (
    <Box role="img" aria-label={label} h={`${HEIGHT}px`}>
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart
          accessibilityLayer={false}
          data={[...points]}
          margin={{ top: 12 + NAME_PX * rows, right: 20, bottom: 20, left: 0 }}
        >
          <CartesianGrid stroke={palette.line} strokeDasharray="2 5" vertical={false} />
          <XAxis
            type="number"
            dataKey="at"
            domain={[first, last]}
            tickCount={6}
            tickFormatter={(at: number) => dateText(at, 'shortDay')}
            tick={text}
            tickLine={false}
            axisLine={false}
            tickMargin={8}
          />
          <YAxis
            type="number"
            domain={['auto', 'auto']}
            tickFormatter={(value: number) => measureText(value, measure, t)}
            tick={text}
            tickLine={false}
            axisLine={false}
            width={86}
          />
          {shown.map(({ mark }, i) => (
            <ReferenceLine
              key={mark.key}
              x={mark.at}
              stroke={palette.brass}
              label={{
                value: markName(mark, t),
                position: 'top',
                offset: 6 + NAME_PX * (i % rows),
                fill: palette.ink,
                fontSize: 13,
                fontFamily: LABEL_FAMILY,
              }}
            />
          ))}
          {shown.flatMap(({ mark, change }) =>
            change
              ? [
                  <ReferenceLine
                    key={`${mark.key} mean`}
                    segment={[
                      { x: mark.at, y: change.after },
                      { x: endOfSide(points, mark.at, change.daysAfter), y: change.after },
                    ]}
                    stroke={palette.ink}
                    strokeWidth={2}
                  />,
                  <ReferenceLine
                    key={`${mark.key} before`}
                    segment={[
                      { x: startOfSide(points, mark.at, change.daysBefore), y: change.before },
                      { x: mark.at, y: change.before },
                    ]}
                    stroke={palette.ink}
                    strokeWidth={2}
                  />,
                ]
              : [],
          )}
          <Line
            dataKey="value"
            stroke={palette.line}
            strokeWidth={1}
            isAnimationActive={false}
            dot={({ cx = 0, cy = 0, payload }: { cx?: number; cy?: number; payload?: TrendPoint }) => (
              <circle
                key={payload?.at}
                cx={cx}
                cy={cy}
                r={LEAST_DOT + (MOST_DOT - LEAST_DOT) * Math.sqrt((payload?.count ?? 1) / most)}
                fill={palette.ink}
                fillOpacity={0.65}
                stroke="none"
              />
            )}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </Box>
  );
}

const startOfSide = (points: readonly TrendPoint[], at: number, days: number) =>
  points.filter((point) => point.at < at).at(-days)?.at ?? at;
const endOfSide = (points: readonly TrendPoint[], at: number, days: number) =>
  points.filter((point) => point.at >= at).at(days - 1)?.at ?? at;
