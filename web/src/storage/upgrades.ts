import { MAX_PARTIAL } from '@inner-hum/core/hearing';

/** Figures that version 2 added. Of an older take they are not known; its verdict stays as it was. */
const ADDED = [
  'driftCentsPerSecond',
  'levelDb',
  'levelSpreadDb',
  'levelDriftDbPerSecond',
  'brightness',
  'breathDb',
  'colourShift',
  'vibratoHz',
  'vibratoCents',
  'vibratoRegularity',
];

/** Version 1 to 2: bendWithLevel becomes two plain numbers, and figures that were not measured are null. */
export function giveNoteMeasures(take: { analysis: { measures: Record<string, unknown> } | null }): void {
  if (!take.analysis) return;
  const { measures } = take.analysis;
  const bend = measures.bendWithLevel as { centsPer10Db: number; r2: number } | null;
  measures.bendWithLevel = bend?.centsPer10Db ?? null;
  measures.bendWithLevelR2 = bend?.r2 ?? null;
  for (const name of ADDED) measures[name] = null;
}

/** Version 2 to 3: frames have air, harmonics and what was heard unaided; of an older take they are not known. */
export function giveNewColumns({ columns }: { columns: Record<string, Float32Array> }): void {
  const frames = columns.f0Hz.length;
  for (const name of ['airDb', 'unaidedHz']) columns[name] = new Float32Array(frames).fill(NaN);
  columns.partialsDb = new Float32Array(frames * MAX_PARTIAL).fill(NaN);
}

/** Version 2 to 3: how long the air went before the tone was not measured. */
export function giveResponse(take: { analysis: { measures: Record<string, unknown> } | null }): void {
  if (take.analysis) take.analysis.measures.responseMs = null;
}
