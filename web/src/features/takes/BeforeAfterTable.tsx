import { Box, chakra, Heading } from '@chakra-ui/react';
import type { KeptFigure } from '@inner-hum/core/figures';
import { figureOf, practisedNotes } from '@inner-hum/core/practice';
import { mean } from '@inner-hum/core/stats';
import { beforeAfter } from '@inner-hum/core/trial';
import { playedPhrases } from '@inner-hum/core/exercise';
import { useTranslation } from 'react-i18next';
import type { RoundRecord, TakeRecord } from '../../storage/index.ts';
import { figureText, measureText } from '../../notation/index.ts';

const SHOWN = [
  'centsMean',
  'centsSpread',
  'levelSpreadDb',
  'centroidHarmonics',
  'noiseToHarmonicDb',
  'responseMs',
] as const satisfies readonly KeptFigure[];

/** The same tone before and after something: every change beside what equal takes differ by. */
export function BeforeAfterTable({ round, takes }: { round: RoundRecord; takes: readonly TakeRecord[] }) {
  const { t } = useTranslation();
  const half = playedPhrases(round.exercise).length / 2;
  const valuesOf = (name: KeptFigure, isAfter: boolean) =>
    takes
      .filter(({ phrase }) => phrase >= half === isAfter)
      .flatMap((take) => {
        const { context, analysis } = take;
        const note = context && analysis && practisedNotes(context, analysis, take).at(0);
        return (note && figureOf(note, name)) ?? [];
      });
  const rows = SHOWN.flatMap((name) => {
    const [before, after] = [valuesOf(name, false), valuesOf(name, true)];
    const result = beforeAfter(before, after);
    return result ? [{ name, before: mean(before), after: mean(after), ...result }] : [];
  });
  return (
    <Box as="section" my="5" overflowX="auto" data-testid="before-after">
      <Heading as="h2" fontSize="large" mb="2">
        {t('beforeAfter.title')}
      </Heading>
      {rows.length === 0 ? (
        t('beforeAfter.missing')
      ) : (
        <chakra.table borderCollapse="collapse">
          <thead>
            <tr>
              <td />
              {(['before', 'after', 'change', 'equal'] as const).map((name) => (
                <chakra.th
                  key={name}
                  scope="col"
                  textAlign="left"
                  fontWeight="400"
                  color="muted"
                  fontSize="small"
                  pr="5"
                >
                  {t(`beforeAfter.${name}`)}
                </chakra.th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ name, before, after, change, equalTakes, isMore }) => (
              <tr key={name} data-figure={name}>
                <chakra.th scope="row" textAlign="left" fontWeight="400" pr="5" py="1">
                  {t(`trend.measure.${name}`)}
                </chakra.th>
                <chakra.td pr="5">{measureText(before, name, t)}</chakra.td>
                <chakra.td pr="5">{measureText(after, name, t)}</chakra.td>
                <chakra.td pr="5" fontWeight={isMore ? '700' : '400'}>
                  {t('beforeAfter.cell', {
                    change: measureText(change.mean, name, t),
                    low: figureText(change.low, name),
                    high: figureText(change.high, name),
                  })}
                  {', '}
                  {t(isMore ? 'beforeAfter.more' : 'beforeAfter.notMore')}
                </chakra.td>
                <td>{measureText(equalTakes, name, t)}</td>
              </tr>
            ))}
          </tbody>
        </chakra.table>
      )}
    </Box>
  );
}
