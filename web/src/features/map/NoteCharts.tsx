import { Box, Flex } from '@chakra-ui/react';
import type { CentsAtLevel } from '@inner-hum/core/tendency';
import { useTranslation } from 'react-i18next';
import {
  CartesianGrid,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
} from 'recharts';
import { LABEL_FAMILY, useRibbonPalette } from '../../ribbon/index.ts';
import { axisCents } from '../../notation/index.ts';
import { dateText } from '../../words/index.ts';

/** One pitch of the note, and when it was played. */
export interface PlayedPoint extends CentsAtLevel {
  takeId: string;
  at: number;
}

interface NoteChartsProps {
  points: readonly PlayedPoint[];
  label: string;
  /** Cents per 10 dB, and at medium loudness, as the map has them. */
  bend: number;
  medium: number;
}

const HEIGHT = 220;
const LEAST_CENTS = 20;
const STEP_CENTS = 10;

/** The note over time, and its pitch against loudness with the line the map has found. Loaded when it is shown. */
export default function NoteCharts({ points, label, bend, medium }: NoteChartsProps) {
  const { t } = useTranslation();
  const palette = useRibbonPalette();
  const reach =
    STEP_CENTS * Math.ceil(Math.max(LEAST_CENTS, ...points.map(({ cents }) => Math.abs(cents))) / STEP_CENTS);
  const text = { fill: palette.muted, fontSize: 13, fontFamily: LABEL_FAMILY };
  const levels = points.map(({ level }) => level);
  const [left, right] = [Math.min(-1, ...levels), Math.max(1, ...levels)];
  const yAxis = (
    <YAxis
      type="number"
      dataKey="cents"
      domain={[-reach, reach]}
      ticks={[-reach, 0, reach]}
      tickFormatter={(cents: number) => axisCents(cents, t)}
      tick={text}
      tickLine={false}
      axisLine={false}
      width={70}
    />
  );
  const dots = (
    <Scatter
      data={[...points]}
      isAnimationActive={false}
      shape={({ cx = 0, cy = 0 }: { cx?: number | undefined; cy?: number | undefined }) => (
        <circle cx={cx} cy={cy} r={4} fill={palette.ink} fillOpacity={0.6} />
      )}
    />
  );
  return (
    <Flex gap="4" wrap="wrap" role="img" aria-label={label}>
      <Box flex="1" minW="quarter" h={`${HEIGHT}px`}>
        <ResponsiveContainer width="100%" height="100%">
          <ScatterChart accessibilityLayer={false} margin={{ top: 10, right: 10, bottom: 22, left: 0 }}>
            <CartesianGrid stroke={palette.line} strokeDasharray="2 5" vertical={false} />
            <XAxis
              type="number"
              dataKey="at"
              domain={['dataMin', 'dataMax']}
              tickCount={4}
              tickFormatter={(at: number) => dateText(at, 'shortDay')}
              tick={text}
              tickLine={false}
              axisLine={false}
              tickMargin={8}
            />
            {yAxis}
            <ReferenceLine y={0} stroke={palette.brass} />
            {dots}
          </ScatterChart>
        </ResponsiveContainer>
      </Box>
      <Box flex="1" minW="quarter" h={`${HEIGHT}px`}>
        <ResponsiveContainer width="100%" height="100%">
          <ScatterChart accessibilityLayer={false} margin={{ top: 10, right: 10, bottom: 22, left: 0 }}>
            <CartesianGrid stroke={palette.line} strokeDasharray="2 5" vertical={false} />
            <XAxis
              type="number"
              dataKey="level"
              domain={[left, right]}
              ticks={[left, 0, right]}
              tickFormatter={(level: number) =>
                t(level < 0 ? 'map.softer' : level > 0 ? 'map.louder' : 'map.medium')
              }
              tick={text}
              tickLine={false}
              axisLine={false}
            />
            {yAxis}
            <ReferenceLine y={0} stroke={palette.brass} />
            <ReferenceLine
              segment={[
                { x: left, y: medium + bend * left },
                { x: right, y: medium + bend * right },
              ]}
              stroke={palette.ink}
              strokeWidth={2}
            />
            {dots}
          </ScatterChart>
        </ResponsiveContainer>
      </Box>
    </Flex>
  );
}
