import Papa from 'papaparse';
import { columnValue, FRAME_SECONDS, MAX_PARTIAL, type FrameColumns } from '../hearing/index.ts';

/** One frame as it is written to files; null where there is no answer. */
export interface FrameRow {
  timeSeconds: number;
  f0Hz: number | null;
  clarity: number;
  levelDb: number;
  centroidHarmonics: number | null;
  noiseToHarmonicDb: number | null;
  /** Partial of the fingered tube. */
  partial: number | null;
  /** Level of 2-8 kHz where no pitch is heard. */
  airDb: number | null;
  /** What was heard without the expected note, 0 for no pitch; null where nothing was expected or both agree. */
  unaidedHz: number | null;
  /** Levels of harmonics 1-16. */
  partialsDb: (number | null)[];
}

const FIELDS = [
  'timeSeconds',
  'f0Hz',
  'clarity',
  'levelDb',
  'centroidHarmonics',
  'noiseToHarmonicDb',
  'partial',
  'airDb',
  'unaidedHz',
] as const;
const PARTIAL_FIELDS = Array.from({ length: MAX_PARTIAL }, (_, i) => `partial${i + 1}Db`);

/** Digits that are worth writing: a hundredth of a cent at 50 Hz, a hundredth of a decibel. */
function rounded(value: number, digits: number): number {
  const scale = 10 ** digits;
  return Math.round(value * scale) / scale;
}

/** All frames as rows. `partials` one a frame, or null where the fingering is unknown. */
export function frameRows(columns: FrameColumns, partials: readonly (number | null)[] | null): FrameRow[] {
  const optional = (column: Float32Array, i: number, digits: number) => {
    const value = columnValue(column, i);
    return value === null ? null : rounded(value, digits);
  };
  return Array.from(columns.levelDb, (levelDb, i) => ({
    timeSeconds: rounded(i * FRAME_SECONDS, 2),
    f0Hz: optional(columns.f0Hz, i, 4),
    clarity: rounded(columns.clarity[i], 4),
    levelDb: rounded(levelDb, 2),
    centroidHarmonics: optional(columns.centroidHarmonics, i, 3),
    noiseToHarmonicDb: optional(columns.noiseToHarmonicDb, i, 2),
    partial: partials?.[i] ?? null,
    airDb: optional(columns.airDb, i, 2),
    unaidedHz: optional(columns.unaidedHz, i, 4),
    partialsDb: Array.from({ length: MAX_PARTIAL }, (_, k) =>
      optional(columns.partialsDb, i * MAX_PARTIAL + k, 1),
    ),
  }));
}

/** Frames of several files as one CSV table with a header line; fields without an answer are empty. */
export function framesToCsv(
  files: readonly { file: string; frames: readonly FrameRow[] }[],
  header = true,
): string {
  const rows = files.flatMap(({ file, frames }) =>
    frames.map((frame) => [file, ...FIELDS.map((field) => frame[field]), ...frame.partialsDb]),
  );
  const table = header ? [['file', ...FIELDS, ...PARTIAL_FIELDS], ...rows] : rows;
  return `${Papa.unparse(table, { newline: '\n' })}\n`;
}
