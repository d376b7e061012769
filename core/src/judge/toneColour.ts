import { columnValue, MAX_PARTIAL, type FrameColumns } from '../hearing/index.ts';
import { median } from '../stats/index.ts';

/** The colour of a sound over all its frames with a pitch; null where there is no answer. */
export interface ToneColour {
  /** Median harmonic number. */
  centroidHarmonics: number | null;
  noiseToHarmonicDb: number | null;
  /** Harmonics 1-12 against the loudest of them, in dB; empty where they were not kept. */
  harmonicsDb: (number | null)[];
}

const HARMONICS = 12;

/** Medians, so that beginnings and ends do not tell; centroidHarmonics and harmonics are compared on one pitch only. */
export function toneColour(columns: FrameColumns): ToneColour {
  const voiced: number[] = [];
  columns.f0Hz.forEach((hz, i) => {
    if (!Number.isNaN(hz)) voiced.push(i);
  });
  const of = (column: Float32Array) => median(voiced.flatMap((i) => columnValue(column, i) ?? []));
  const levels = Array.from({ length: HARMONICS }, (_, k) =>
    median(voiced.flatMap((i) => columnValue(columns.partialsDb, i * MAX_PARTIAL + k) ?? [])),
  );
  const loudest = Math.max(...levels.map((level) => level ?? -Infinity));
  return {
    centroidHarmonics: of(columns.centroidHarmonics),
    noiseToHarmonicDb: of(columns.noiseToHarmonicDb),
    harmonicsDb: Number.isFinite(loudest)
      ? levels.map((level) => (level === null ? null : level - loudest))
      : [],
  };
}
