import { Box } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { CartesianGrid, Line, LineChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { LABEL_FAMILY, useRibbonPalette } from '../../ribbon/index.ts';
import { dateText } from '../../words/index.ts';
import type { PlayedMatch } from './matchPairs.ts';

const HEIGHT = 180;
/** The axis reaches at least this far, so that a good pair does not look wild. */
const LEAST_DB = 8;

/** How far the colours of a pair were apart, try after try. Loaded when it is shown. */
export default function MatchTrend({ tries, label }: { tries: readonly PlayedMatch[]; label: string }) {
  const { t } = useTranslation();
  const palette = useRibbonPalette();
  const points = tries.map(({ startedAt, matchDb }, index) => ({
    index,
    day: dateText(startedAt, 'shortDay'),
    db: matchDb,
  }));
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
            domain={[0, (most: number) => Math.max(LEAST_DB, Math.ceil(most))]}
            tickFormatter={(db: number) => t('figure.db', { db })}
            tick={text}
            tickLine={false}
            axisLine={false}
            width={60}
          />
          <Line
            dataKey="db"
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
