import { Box, chakra } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { trialFigure } from './trialText.ts';
import type { PlayedTrial } from './useTrials.ts';

const WIDTH = 260;
const HEIGHT = 150;
const SIDES = { a: 70, b: 190 } as const;
const TOP = 12;
const BOTTOM = 118;

/** Every pair as a line from one cue to the other: what leans one way again and again is a difference. */
export function PairPicture({ played: { trial, result } }: { played: PlayedTrial }) {
  const { t } = useTranslation();
  const { pairs } = result;
  const values = pairs.flatMap(({ a, b }) => [a, b]);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const y = (value: number) => BOTTOM - ((value - least) / Math.max(1e-9, most - least)) * (BOTTOM - TOP);
  return (
    <Box maxW="column">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width="100%"
        role="img"
        aria-label={t('trial.picture', { count: pairs.length, a: trial.cues.a, b: trial.cues.b })}
      >
        {pairs.map(({ a, b }, i) => (
          <g key={i}>
            <chakra.line x1={SIDES.a} y1={y(a)} x2={SIDES.b} y2={y(b)} stroke="ink" strokeWidth="1.5px" />
            <chakra.circle cx={SIDES.a} cy={y(a)} r={3.5} fill="ink" />
            <chakra.circle cx={SIDES.b} cy={y(b)} r={3.5} fill="ink" />
          </g>
        ))}
        {(['a', 'b'] as const).map((side) => (
          <chakra.text
            key={side}
            x={SIDES[side]}
            y={HEIGHT - 8}
            textAnchor="middle"
            fill="ink"
            fontSize="13px"
          >
            {trial.cues[side]}
          </chakra.text>
        ))}
        {[least, most].map((value) => (
          <chakra.text key={value} x={4} y={y(value) + 4} fill="muted" fontSize="11px">
            {trialFigure(value, trial.measure, t)}
          </chakra.text>
        ))}
      </svg>
    </Box>
  );
}
