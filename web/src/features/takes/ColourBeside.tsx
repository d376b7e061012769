import { Box, chakra, Heading } from '@chakra-ui/react';
import type { FrameColumns } from '@inner-hum/core/hearing';
import { toneColour, type ToneColour } from '@inner-hum/core/judge';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import { measureText } from '../../notation/index.ts';

interface ColourBesideProps {
  here: FrameColumns;
  there: FrameColumns;
}

const WIDTH = 340;
const HEIGHT = 150;
const FOOT = 20;
const LEAST_DB = -60;
const BAR = 9;

/** The colour of two sounds side by side: how bright, how airy, and their harmonics, solid and outlined. */
export function ColourBeside({ here, there }: ColourBesideProps) {
  const { t } = useTranslation();
  const colours = useMemo(() => [toneColour(here), toneColour(there)] as const, [here, there]);
  const line = (name: 'centroidHarmonics' | 'noiseToHarmonicDb') => {
    const [a, b] = colours.map((colour) => colour[name]);
    return a === null || b === null
      ? null
      : t(`compare.${name}`, { here: measureText(a, name, t), there: measureText(b, name, t) });
  };
  const hasBars = colours.every(({ harmonicsDb }) => harmonicsDb.length > 0);
  return (
    <Box as="section" mt="6" data-testid="colour">
      <Heading as="h2" fontSize="large" mb="2">
        {t('compare.colour')}
      </Heading>
      <Box>{line('centroidHarmonics')}</Box>
      <Box>{line('noiseToHarmonicDb')}</Box>
      {hasBars && <Harmonics colours={colours} label={t('compare.harmonics')} />}
      <Box color="muted" fontSize="small" maxW="prose">
        {t('compare.colourHow')}
      </Box>
    </Box>
  );
}

function Harmonics({ colours, label }: { colours: readonly [ToneColour, ToneColour]; label: string }) {
  const step = WIDTH / colours[0].harmonicsDb.length;
  const high = (db: number) => ((db - LEAST_DB) / -LEAST_DB) * (HEIGHT - FOOT);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width={WIDTH}
      style={{ maxWidth: '100%' }}
      role="img"
      aria-label={label}
    >
      {colours[0].harmonicsDb.map((_, k) => (
        <g key={k}>
          {colours.map(({ harmonicsDb }, which) => {
            const db = harmonicsDb[k];
            if (db === null || db < LEAST_DB) return null;
            return (
              <chakra.rect
                key={which}
                x={k * step + step / 2 - BAR + which * BAR}
                width={BAR - 1}
                y={HEIGHT - FOOT - high(db)}
                height={high(db)}
                fill={which === 0 ? 'ink' : 'none'}
                stroke="ink"
                strokeWidth="1px"
              />
            );
          })}
          <chakra.text
            x={k * step + step / 2}
            y={HEIGHT - 4}
            textAnchor="middle"
            fontSize="12px"
            fill="muted"
          >
            {k + 1}
          </chakra.text>
        </g>
      ))}
    </svg>
  );
}
