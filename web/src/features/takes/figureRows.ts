import { USUAL_COLOUR_SLOPE, type TakeMeasures } from '@inner-hum/core/judge';
import type { TFunction } from 'i18next';
import { centsText } from '../../notation/index.ts';
import { decimals } from '../../words/index.ts';

/** A level or a difference of levels in words; null where there is no answer. */
export const decibels = (value: number | null, t: TFunction) =>
  value === null ? null : t('figure.db', { db: decimals(value, 1) });

/** A deviation in words, with its side; null where there is no answer. */
export const cents = (value: number | null, t: TFunction) => (value === null ? null : centsText(value, t));

function bend({ pitchSlopeCentsPer10Db }: TakeMeasures, t: TFunction): string | null {
  if (pitchSlopeCentsPer10Db === null) return null;
  const count = Math.round(Math.abs(pitchSlopeCentsPer10Db));
  if (count === 0) return t('figure.bendNone');
  return t(pitchSlopeCentsPer10Db < 0 ? 'figure.flatter' : 'figure.sharper', { count });
}

function stairs({ stairs: { count, worstDb }, wrongWayPercent }: TakeMeasures, t: TFunction): string | null {
  if (wrongWayPercent === null) return null;
  return worstDb === null ? t('figure.none') : t('figure.stairs', { count, db: decimals(worstDb, 1) });
}

function peak({ peakOffsetBeats }: TakeMeasures, t: TFunction): string | null {
  if (peakOffsetBeats === null) return null;
  const beats = decimals(Math.abs(peakOffsetBeats), 2);
  return t(peakOffsetBeats >= 0 ? 'figure.late' : 'figure.early', { beats });
}

function hold({ holdSeconds, holdCause }: TakeMeasures, t: TFunction): string | null {
  if (holdSeconds === null || holdCause === null) return null;
  return t('figure.hold', { seconds: decimals(holdSeconds, 1), cause: t(`cause.${holdCause}`) });
}

/** How the pitch went from the soft end to the loud one. */
function endToEnd({ endToEndCents }: TakeMeasures, t: TFunction): string | null {
  if (endToEndCents === null || endToEndCents === undefined) return null;
  const count = Math.round(Math.abs(endToEndCents));
  if (count === 0) return t('figure.bendNone');
  return t(endToEndCents < 0 ? 'figure.lowerLoud' : 'figure.higherLoud', { count });
}

/** How the colour went with loudness, beside what loudness alone does. */
function colour({ centroidSlopeHarmonicsPer10Db: slope }: TakeMeasures, usual: number, t: TFunction) {
  if (slope === null) return null;
  return t('figure.colour', { slope: decimals(slope, 1), usual: decimals(usual, 1) });
}

/**
 * The figures of a take as words with units, in the order they are read; null where there is no answer. `usualColourSlope`: what loudness
 * alone does to the colour, in harmonic numbers per 10 dB.
 */
export function figureRows(m: TakeMeasures, t: TFunction, usualColourSlope = USUAL_COLOUR_SLOPE) {
  const spread = m.centsSpread === null ? null : t('figure.spread', { count: Math.round(m.centsSpread) });
  const wrongWay =
    m.wrongWayPercent === null ? null : t('figure.percent', { percent: Math.round(m.wrongWayPercent) });
  const rows = [
    ['endToEndCents', endToEnd(m, t)],
    ['swellErrorDb', decibels(m.swellErrorDb, t)],
    ['dynamicSpanDb', decibels(m.dynamicSpanDb, t)],
    ['centsMean', cents(m.centsMean, t)],
    ['centsSpread', spread],
    ['loudEndCents', cents(m.loudEndCents, t)],
    ['softEndCents', cents(m.softEndCents, t)],
    ['pitchSlopeCentsPer10Db', bend(m, t)],
    ['firstToLastCents', cents(m.firstToLastCents ?? null, t)],
    ['centroidSlopeHarmonicsPer10Db', colour(m, usualColourSlope, t)],
    ['softEndBreathDb', decibels(m.softEndBreathDb ?? null, t)],
    ['noiseToHarmonicDb', decibels(m.noiseToHarmonicDb, t)],
    ['responseMs', m.responseMs === null ? null : t('figure.ms', { ms: Math.round(m.responseMs / 5) * 5 })],
    ['stairs', stairs(m, t)],
    ['wrongWay', wrongWay],
    ['peakOffset', peak(m, t)],
    ['holdSeconds', hold(m, t)],
  ] as const;
  return rows.map(([name, text]) => ({ name, text }));
}
