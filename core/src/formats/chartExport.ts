import Papa from 'papaparse';
import { nameNote, type HornId } from '../horn/index.ts';
import type { ChartedNote } from '../plan/index.ts';

interface ChartOf {
  hornId: HornId;
  mouthpiece: string;
  notes: readonly ChartedNote[];
}

const round = (value: number | null, digits: number) =>
  value === null ? null : Number(value.toFixed(digits));

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
      speakRatePercent: round(figures.rate === null ? null : 100 * figures.rate, 1),
      speakRateLowPercent: round(figures.interval && 100 * figures.interval.low, 1),
      speakRateHighPercent: round(figures.interval && 100 * figures.interval.high, 1),
      centsMedian: round(figures.cents, 1),
      spreadCents: round(figures.spreadCents, 1),
      bendRangeCents: round(figures.bendRangeCents, 0),
    })),
  );
}

const SIGNS = { '': '', sharp: '#', flat: 'b' };

function plainName(midi: number): string {
  const { stem, accidental, octave } = nameNote(midi, 'letters');
  return `${stem}${SIGNS[accidental]}${octave}`;
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

/** The chart as CSV (RFC 4180); nothing in it is read as a formula. */
export function chartToCsv(chart: ChartOf): string {
  return `${Papa.unparse(chartRows(chart), { newline: '\r\n', escapeFormulae: true })}\r\n`;
}
