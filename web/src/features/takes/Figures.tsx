import { Box, chakra, Flex } from '@chakra-ui/react';
import type { SwellMeasures } from '@inner-hum/core/judge';
import type { TFunction } from 'i18next';
import { useTranslation } from 'react-i18next';

const decibels = (value: number | null, t: TFunction) =>
  value === null ? null : t('figure.db', { db: value.toFixed(1) });

function cents(value: number | null, t: TFunction): string | null {
  if (value === null) return null;
  const count = Math.round(Math.abs(value));
  return t(count === 0 ? 'figure.inTune' : value > 0 ? 'figure.sharp' : 'figure.flat', { count });
}

function bend({ bendWithLevel }: SwellMeasures, t: TFunction): string | null {
  if (bendWithLevel === null) return null;
  const count = Math.round(Math.abs(bendWithLevel));
  return t(bendWithLevel < 0 ? 'figure.flatter' : 'figure.sharper', { count });
}

function stairs({ stairs: { count, worstDb } }: SwellMeasures, t: TFunction): string {
  return worstDb === null ? t('figure.none') : t('figure.stairs', { count, db: worstDb.toFixed(1) });
}

function peak({ peakOffsetBeats }: SwellMeasures, t: TFunction): string | null {
  if (peakOffsetBeats === null) return null;
  const beats = Math.abs(peakOffsetBeats).toFixed(2);
  return t(peakOffsetBeats >= 0 ? 'figure.late' : 'figure.early', { beats });
}

function hold({ holdSeconds, holdCause }: SwellMeasures, t: TFunction): string | null {
  if (holdSeconds === null || holdCause === null) return null;
  return t('figure.hold', { seconds: holdSeconds.toFixed(1), cause: t(`cause.${holdCause}`) });
}

/** Every figure of a take in words, with its unit. What has no answer here is left out. */
export function Figures({ measures: m }: { measures: SwellMeasures }) {
  const { t } = useTranslation();
  const isSwell = m.wrongWayPercent !== null;
  const rows = [
    ['swellErrorDb', decibels(m.swellErrorDb, t)],
    ['dynamicSpanDb', decibels(m.dynamicSpanDb, t)],
    ['centsMean', cents(m.centsMean, t)],
    ['centsSpread', m.centsSpread === null ? null : t('figure.spread', { count: Math.round(m.centsSpread) })],
    ['loudEndCents', cents(m.loudEndCents, t)],
    ['softEndCents', cents(m.softEndCents, t)],
    ['bendWithLevel', bend(m, t)],
    ['stairs', isSwell ? stairs(m, t) : null],
    [
      'wrongWay',
      m.wrongWayPercent === null ? null : t('figure.percent', { percent: Math.round(m.wrongWayPercent) }),
    ],
    ['peakOffset', peak(m, t)],
    ['holdSeconds', hold(m, t)],
  ] as const;
  return (
    <Box as="dl" flex="1" minW="column" maxW="prose">
      {rows.map(
        ([name, text]) =>
          text !== null && (
            <Flex key={name} justifyContent="space-between" gap="5" py="1" data-figure={name}>
              <chakra.dt>{t(`measure.${name}`)}</chakra.dt>
              <chakra.dd fontWeight="700" textAlign="right">
                {text}
              </chakra.dd>
            </Flex>
          ),
      )}
    </Box>
  );
}
