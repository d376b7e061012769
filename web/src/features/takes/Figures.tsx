import { Box, chakra } from '@chakra-ui/react';
import type { TakeMeasures } from '@inner-hum/core/judge';
import { useTranslation } from 'react-i18next';
import { figureRows } from './figureRows.ts';

interface FiguresProps {
  measures: TakeMeasures;
  /** What loudness alone does to the colour, where it is known of this horn. */
  usualColourSlope: number | undefined;
  /** Another take's figures beside them, and what the two columns are called. */
  beside: { measures: TakeMeasures; here: string; there: string } | null;
}

/** Every figure of a take in words, with its unit. What has no answer is left out. */
export function Figures({ measures, usualColourSlope, beside }: FiguresProps) {
  const { t } = useTranslation();
  const there = beside && new Map(figureRows(beside.measures, t).map(({ name, text }) => [name, text]));
  const rows = figureRows(measures, t, usualColourSlope).filter(
    ({ name, text }) => text !== null || (there?.get(name) ?? null) !== null,
  );
  const cell = (text: string | null) => (
    <chakra.td fontWeight="700" textAlign="right" verticalAlign="top" py="1" pl="5">
      {text ?? t('figure.noAnswer')}
    </chakra.td>
  );
  return (
    <Box flex="1" minW="column" maxW="prose">
      <chakra.table w="full" borderCollapse="collapse">
        <chakra.caption position="absolute" w="1px" h="1px" overflow="hidden" clipPath="inset(50%)">
          {t('take.figures')}
        </chakra.caption>
        {beside && (
          <thead>
            <tr>
              <td />
              {[beside.here, beside.there].map((name) => (
                <chakra.th
                  key={name}
                  scope="col"
                  textAlign="right"
                  verticalAlign="bottom"
                  fontWeight="400"
                  fontSize="small"
                  color="muted"
                  pl="5"
                  pb="1"
                >
                  {name}
                </chakra.th>
              ))}
            </tr>
          </thead>
        )}
        <tbody>
          {rows.map(({ name, text }) => (
            <tr key={name} data-figure={name}>
              <chakra.th scope="row" textAlign="left" fontWeight="400" verticalAlign="top" py="1">
                {t(`measure.${name}`)}
              </chakra.th>
              {cell(text)}
              {there && cell(there.get(name) ?? null)}
            </tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  );
}
