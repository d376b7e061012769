import { Box } from '@chakra-ui/react';
import { CartesianGrid, Line, LineChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { LABEL_FAMILY, useRibbonPalette } from '../ribbon/index.ts';
import { dateText } from '../words/index.ts';

const HEIGHT = 180;

interface DayTrendProps {
  /** In order of time. */
  points: readonly { at: number; value: number | null }[];
  label: string;
  /** The axis reaches at least this far, so that what is good does not look wild. */
  least: number;
  textOf(value: number): string;
}

/** One figure, try after try or day after day, from zero up. Loaded when it is shown. */
export default function DayTrend({ points: given, label, least, textOf }: DayTrendProps) {
  const palette = useRibbonPalette();
  const points = given.map(({ at, value }, index) => ({ index, day: dateText(at, 'shortDay'), value }));
  const text = { fill: palette.muted, fontSize: 14, fontFamily: LABEL_FAMILY };
  return (
    <Box role="img" aria-label={label} h={`${HEIGHT}px`}>
      <ResponsiveContainer width="100%" height="100%">
        <LineChart
          data={points}
          accessibilityLayer={false}
          margin={{ top: 12, right: 16, bottom: 4, left: 0 }}
        >
          <CartesianGrid stroke={palette.line} strokeDasharray="2 5" vertical={false} />
          <XAxis
            dataKey="index"
            tickFormatter={(index: number) => points[index]?.day ?? ''}
            tick={text}
            tickLine={false}
            axisLine={false}
            interval="preserveStartEnd"
          />
          <YAxis
            domain={[0, (most: number) => Math.max(least, Math.ceil(most))]}
            tickFormatter={textOf}
            tick={text}
            tickLine={false}
            axisLine={false}
            width={60}
          />
          <Line
            dataKey="value"
            stroke={palette.ink}
            strokeWidth={2}
            dot={{ r: 4, fill: palette.ink }}
            isAnimationActive={false}
            connectNulls
          />
        </LineChart>
      </ResponsiveContainer>
    </Box>
  );
}
