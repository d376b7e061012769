import { Box } from '@chakra-ui/react';
import type { SubtoneWindow } from '@inner-hum/core/judge';
import type { SubtoneTry } from '@inner-hum/core/plan';
import { median } from '@inner-hum/core/stats';
import { useTranslation } from 'react-i18next';
import {
  CartesianGrid,
  Label,
  ReferenceArea,
  ReferenceDot,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
} from 'recharts';
import { LABEL_FAMILY, useRibbonPalette } from '../../ribbon/index.ts';

interface SubtonePictureProps {
  /** Of the note that is looked at, oldest first. */
  tries: readonly SubtoneTry[];
  /** Of the other notes. */
  others: readonly SubtoneTry[];
  window: SubtoneWindow;
  label: string;
}

interface DotProps {
  cx?: number | undefined;
  cy?: number | undefined;
  payload?: { became: boolean };
}

const HEIGHT = 500;
const STEP_DB = 6;
/** The axes reach at least this far. */
const LEAST_AIRIER_DB = 24;
const LEAST_SOFTER_DB = 24;

const place = ({ depth: { airierDb, softerDb, kind } }: SubtoneTry) => ({
  airier: airierDb,
  softer: softerDb,
  became: kind === 'subtone',
});

/** Where air drowns the tone: as far over the full tone as the window's own noise limit lies; null where that is not known. */
function mostAirier(tries: readonly SubtoneTry[], { mostBreathDb }: SubtoneWindow): number | null {
  const full = median(
    tries.flatMap(({ depth: { noiseToHarmonicDb, airierDb } }) =>
      noiseToHarmonicDb === undefined ? [] : [noiseToHarmonicDb - airierDb],
    ),
  );
  return full === null ? null : mostBreathDb - full;
}

/** How much airier and softer each subtone was than the full tone of its note, and the window it was to reach. */
export default function SubtonePicture({ tries, others, window, label }: SubtonePictureProps) {
  const { t } = useTranslation();
  const palette = useRibbonPalette();
  const all = [...tries, ...others].map(place);
  const reach = (values: readonly number[], least: number) =>
    STEP_DB * Math.ceil(Math.max(least, ...values) / STEP_DB);
  const right = reach(
    all.map(({ airier }) => airier),
    LEAST_AIRIER_DB,
  );
  const bottom = reach(
    all.map(({ softer }) => softer),
    LEAST_SOFTER_DB,
  );
  const text = { fill: palette.muted, fontSize: 14, fontFamily: LABEL_FAMILY };
  const words = { ...text, fontSize: 16 };
  const ticks = (most: number) => Array.from({ length: most / STEP_DB + 1 }, (_, i) => i * STEP_DB);
  const [least, most] = window.softerDb;
  const newest = tries.at(-1);
  const dots = (of: readonly SubtoneTry[], radius: number, colour: string) => (
    <Scatter
      data={of.map(place)}
      isAnimationActive={false}
      shape={({ cx = 0, cy = 0, payload }: DotProps) => (
        <circle
          cx={cx}
          cy={cy}
          r={radius}
          fill={payload?.became ? colour : palette.paper}
          stroke={colour}
          strokeWidth={1.6}
        />
      )}
    />
  );
  return (
    <Box role="img" aria-label={label} h={`${HEIGHT}px`}>
      <ResponsiveContainer width="100%" height="100%">
        <ScatterChart accessibilityLayer={false} margin={{ top: 12, right: 16, bottom: 24, left: 8 }}>
          <CartesianGrid stroke={palette.line} strokeDasharray="2 5" />
          <XAxis
            type="number"
            dataKey="airier"
            domain={[-STEP_DB, right]}
            ticks={ticks(right)}
            allowDataOverflow
            tick={text}
            tickLine={false}
            axisLine={false}
          >
            <Label value={t('subtone.airier')} position="bottom" style={text} />
          </XAxis>
          <YAxis
            type="number"
            dataKey="softer"
            domain={[-STEP_DB, bottom]}
            ticks={ticks(bottom)}
            allowDataOverflow
            reversed
            tick={text}
            tickLine={false}
            axisLine={false}
            width={52}
          >
            <Label
              value={t('subtone.softer')}
              angle={-90}
              position="insideLeft"
              style={{ ...text, textAnchor: 'middle' }}
            />
          </YAxis>
          <ReferenceArea
            x1={window.leastAirierDb}
            x2={Math.min(right, mostAirier(tries.length > 0 ? tries : others, window) ?? right)}
            y1={least}
            y2={Math.min(most, bottom)}
            fill={palette.cane}
            fillOpacity={0.7}
            stroke={palette.brass}
            label={{ value: t('subtone.window'), position: 'insideTopRight', ...words }}
          />
          <ReferenceDot x={0} y={0} r={7} fill={palette.ink} stroke={palette.ink}>
            <Label value={t('subtone.fullTone')} position="right" offset={10} style={words} />
          </ReferenceDot>
          {dots(others, 3.5, palette.muted)}
          {dots(tries, 6.5, palette.ink)}
          {newest && (
            <ReferenceDot
              x={newest.depth.airierDb}
              y={newest.depth.softerDb}
              r={11}
              fill="none"
              stroke={palette.ink}
              strokeWidth={2}
            >
              <Label value={t('subtone.newest')} position="bottom" offset={12} style={words} />
            </ReferenceDot>
          )}
        </ScatterChart>
      </ResponsiveContainer>
    </Box>
  );
}
