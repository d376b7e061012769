import { plainName, type HornId } from '../horn/index.ts';
import type { ChartedNote } from '../plan/index.ts';
import { rounded, toCsv, type CsvStyle } from './csv.ts';

interface ChartOf {
  hornId: HornId;
  mouthpiece: string;
  notes: readonly ChartedNote[];
}

/** One row a fingering; units are in the names, null is no answer. */
function chartRows({ notes }: Pick<ChartOf, 'notes'>) {
  return notes.flatMap(({ writtenMidi, fingerings }) =>
    fingerings.map(({ word, figures, preferred }) => ({
      writtenMidi,
      note: plainName(writtenMidi),
      keys: word.replaceAll('.', ' '),
      preferred,
      tries: figures.tries,
      spoke: figures.spoke,
      speakRatePercent: rounded(figures.rate === null ? null : 100 * figures.rate, 1),
      speakRateLowPercent: rounded(figures.interval && 100 * figures.interval.low, 1),
      speakRateHighPercent: rounded(figures.interval && 100 * figures.interval.high, 1),
      centsMedian: rounded(figures.cents, 1),
      spreadCents: rounded(figures.spreadCents, 1),
      bendRangeCents: rounded(figures.bendRangeCents, 0),
    })),
  );
}

/** The chart as JSON, its fingerings as rows; see docs/formats.md. */
export function chartToJson(chart: ChartOf): string {
  const { hornId, mouthpiece } = chart;
  const document = {
    format: 'inner-hum-high-notes',
    version: 1,
    hornId,
    mouthpiece,
    fingerings: chartRows(chart),
  };
  return `${JSON.stringify(document, null, 2)}\n`;
}

const CHART_COLUMNS = [
  'writtenMidi',
  'note',
  'keys',
  'preferred',
  'tries',
  'spoke',
  'speakRatePercent',
  'speakRateLowPercent',
  'speakRateHighPercent',
  'centsMedian',
  'spreadCents',
  'bendRangeCents',
] as const;

/** The chart as CSV (RFC 4180); nothing in it is read as a formula. */
export function chartToCsv(chart: ChartOf, style?: CsvStyle): string {
  const rows = chartRows(chart);
  return toCsv([CHART_COLUMNS, ...rows.map((row) => CHART_COLUMNS.map((name) => row[name]))], {
    style,
    isFile: true,
  });
}
