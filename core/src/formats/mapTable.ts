import { plainName, type WrittenMidi } from '../horn/index.ts';
import { headed, rounded, toCsv, type Cell, type CsvStyle } from './csv.ts';

/** A note of the horn map as a table needs it; null where nothing is known of it. */
export interface MappedNote {
  writtenMidi: WrittenMidi;
  /** Days on which it was heard. */
  days: number;
  centsAtPp: number | null;
  centsAtMedium: number | null;
  centsAtFf: number | null;
  /** Half of the interval that holds the medium in nine of ten cases. */
  withinCents: number | null;
  responseMs: number | null;
  holdSeconds: number | null;
  noiseToHarmonicDb: number | null;
  centroidHarmonics: number | null;
}

const COLUMNS = [
  ['centsAtPp', 'cents', 1],
  ['centsAtMedium', 'cents', 1],
  ['centsAtFf', 'cents', 1],
  ['withinCents', 'cents', 1],
  ['responseMs', 'ms', 0],
  ['holdSeconds', 's', 1],
  ['noiseToHarmonicDb', 'dB', 1],
  ['centroidHarmonics', 'harmonic number', 2],
] as const;

/** The horn map as CSV, one row a note: units in the header, no answer is empty. */
export function mapToCsv(notes: readonly MappedNote[], style?: CsvStyle): string {
  const header = ['note', 'writtenMidi', 'days', ...COLUMNS.map(([name, unit]) => headed(name, unit))];
  const rows = notes.map((note): Cell[] => [
    plainName(note.writtenMidi),
    note.writtenMidi,
    note.days,
    ...COLUMNS.map(([name, , digits]) => rounded(note[name], digits)),
  ]);
  return toCsv([header, ...rows], { style, isFile: true });
}
