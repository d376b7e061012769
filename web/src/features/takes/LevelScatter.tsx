import { Box } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import {
  CartesianGrid,
  ReferenceLine,
  ResponsiveContainer,
  Scatter as Dots,
  ScatterChart,
  XAxis,
  YAxis,
} from 'recharts';
import { LABEL_FAMILY, MARK_FAMILY, useRibbonPalette } from '../../ribbon/index.ts';
import { axisCents } from '../../notation/index.ts';
import { MARK_TICKS, type Scatter } from './scatterPoints.ts';

interface LevelScatterProps {
  here: Scatter;
  there: Scatter | null;
  label: string;
}

const HEIGHT = 280;
/** The axis reaches at least this far, so that a good take does not look wild. */
const LEAST_CENTS = 20;
const STEP_CENTS = 10;
/** Left and right of the outermost dots, as a share of the scale. */
const ROOM = 0.04;

/** Pitch against loudness: this take as dots of ink, the one laid over it as rings. Loaded when it is shown. */
export default function LevelScatter({ here, there, label }: LevelScatterProps) {
  const { t } = useTranslation();
  const palette = useRibbonPalette();
  const all = [...here.points, ...(there?.points ?? [])];
  const far = all.reduce((most, { cents }) => Math.max(most, Math.abs(cents)), LEAST_CENTS);
  const reach = STEP_CENTS * Math.ceil(far / STEP_CENTS);
  const left = Math.min(...all.map(({ loudness }) => loudness)) - ROOM;
  const right = Math.max(...all.map(({ loudness }) => loudness)) + ROOM;
  const ticks = MARK_TICKS.filter(({ at }) => at >= left && at <= right);
  const text = { fill: palette.muted, fontSize: 14, fontFamily: LABEL_FAMILY };
  const lineOf = ({ line }: Scatter, colour: string, dash: string) =>
    line && (
      <ReferenceLine
        segment={[
          { x: line[0].loudness, y: line[0].cents },
          { x: line[1].loudness, y: line[1].cents },
        ]}
        stroke={colour}
        strokeWidth={2.5}
        strokeDasharray={dash}
      />
    );
  return (
    <Box role="img" aria-label={label} h={`${HEIGHT}px`}>
      <ResponsiveContainer width="100%" height="100%">
        <ScatterChart accessibilityLayer={false} margin={{ top: 14, right: 12, bottom: 4, left: 0 }}>
          <CartesianGrid stroke={palette.line} strokeDasharray="2 5" vertical={false} />
          <XAxis
            type="number"
            dataKey="loudness"
            domain={[left, right]}
            ticks={ticks.map(({ at }) => at)}
            tickFormatter={(at: number) => MARK_TICKS.find((tick) => tick.at === at)?.mark ?? ''}
            tick={{ fill: palette.ink, fontSize: 18, fontFamily: MARK_FAMILY, fontStyle: 'italic' }}
            tickLine={false}
            axisLine={false}
            height={30}
          />
          <YAxis
            type="number"
            dataKey="cents"
            domain={[-reach, reach]}
            ticks={[-reach, -reach / 2, 0, reach / 2, reach]}
            tickFormatter={(cents: number) => axisCents(cents, t)}
            tick={text}
            tickLine={false}
            axisLine={false}
            width={84}
          />
          <ReferenceLine y={0} stroke={palette.brass} strokeWidth={1.5} />
          <Dots
            data={here.points}
            isAnimationActive={false}
            shape={({ cx = 0, cy = 0 }: { cx?: number | undefined; cy?: number | undefined }) => (
              <circle cx={cx} cy={cy} r={3} fill={palette.ink} fillOpacity={0.45} />
            )}
          />
          {there && (
            <Dots
              data={there.points}
              isAnimationActive={false}
              shape={({ cx = 0, cy = 0 }: { cx?: number | undefined; cy?: number | undefined }) => (
                <circle cx={cx} cy={cy} r={3} fill="none" stroke={palette.muted} strokeOpacity={0.7} />
              )}
            />
          )}
          {lineOf(here, palette.ink, '')}
          {there && lineOf(there, palette.muted, '7 5')}
        </ScatterChart>
      </ResponsiveContainer>
    </Box>
  );
}
