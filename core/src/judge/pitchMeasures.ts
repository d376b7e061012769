import { FRAME_SECONDS } from '../hearing/index.ts';
import { median, percentile, percentiles, smoothInto, theilSen } from '../stats/index.ts';
import type { NoteMeasures } from './measures.ts';
import { present, type NoteTrack } from './noteTrack.ts';

const END_WITHIN_DB = 3;
const SMOOTHING_FRAMES = Math.round(0.25 / FRAME_SECONDS);
const LEAST_SPAN_DB = 6;

/**
 * centsMean and centsSpread: median and 16-84 half-width of cents over the steady part; withinCents: the distance from the target that
 * holds for 95 % of it. Null where no frame counts.
 */
export function centsOverall({
  cents,
}: NoteTrack): Pick<NoteMeasures, 'centsMean' | 'centsSpread' | 'withinCents'> {
  const values = present(cents);
  const [low, centsMean, high] = percentiles(values, [16, 50, 84]);
  return {
    centsMean,
    centsSpread: low === null || high === null ? null : (high - low) / 2,
    withinCents: percentile(values.map(Math.abs), 95),
  };
}

const THIRDS_SECONDS = 1.5;

/** firstToLastCents: median cents of the last third less those of the first. Null under 1.5 s of steady part, or without pitch in either. */
export function firstToLastCents({ cents }: NoteTrack): number | null {
  if (cents.length * FRAME_SECONDS < THIRDS_SECONDS) return null;
  const third = Math.floor(cents.length / 3);
  const first = median(present(cents.subarray(0, third)));
  const last = median(present(cents.subarray(cents.length - third)));
  return first === null || last === null ? null : last - first;
}

/**
 * softEndBreathDb: median noise against tone of the frames within 3 dB of the 5th percentile of level. Null where none has a pitch, and where
 * most of them tell nothing: where breath drowns in the room's noise, what is left are its clicks and knocks.
 */
export function softEndBreathDb({ noiseToHarmonicDb, levelDb }: NoteTrack): number | null {
  const edge = percentile(present(levelDb), 5);
  if (edge === null) return null;
  const soft = noiseToHarmonicDb.filter((_value, i) => Math.abs(levelDb[i] - edge) <= END_WITHIN_DB);
  const told = present(soft);
  return told.length < soft.length / 2 ? null : median(told);
}

/**
 * softEndCents or loudEndCents: median cents of the frames within 3 dB of the 5th or 95th percentile of level.
 * Null where no such frame has a pitch.
 */
export function centsAtEnd({ cents, levelDb }: NoteTrack, end: 'soft' | 'loud'): number | null {
  const edge = percentile(present(levelDb), end === 'soft' ? 5 : 95);
  if (edge === null) return null;
  return median(
    cents.filter((value, i) => !Number.isNaN(value) && Math.abs(levelDb[i] - edge) <= END_WITHIN_DB),
  );
}

/**
 * Theil-Sen slope of a column against level, both smoothed over 250 ms, per 10 dB louder, with R2. Null where the
 * level spans less than 6 dB: there is nothing to read.
 */
function againstLevel(note: NoteTrack, column: Float64Array): { per10Db: number; r2: number } | null {
  const span = dynamicSpanDb(note);
  if (span === null || span < LEAST_SPAN_DB) return null;
  const value = new Float64Array(column.length);
  const level = new Float64Array(column.length);
  smoothInto(value, column, SMOOTHING_FRAMES);
  smoothInto(level, note.levelDb, SMOOTHING_FRAMES);
  const usable = Array.from(column.keys()).filter((i) => !Number.isNaN(column[i]) && !Number.isNaN(level[i]));
  const fit = theilSen(
    usable.map((i) => level[i]),
    usable.map((i) => value[i]),
  );
  return fit && { per10Db: 10 * fit.slope, r2: fit.r2 };
}

/** pitchSlopeCentsPer10Db: cents per 10 dB louder, and the share of the variance it explains. Null under 6 dB of span. */
export function pitchSlopeCentsPer10Db(
  note: NoteTrack,
): Pick<NoteMeasures, 'pitchSlopeCentsPer10Db' | 'pitchSlopeR2'> {
  const fit = againstLevel(note, note.cents);
  return { pitchSlopeCentsPer10Db: fit?.per10Db ?? null, pitchSlopeR2: fit?.r2 ?? null };
}

/** What loudness alone does to the colour where nothing is known of a horn, in harmonic numbers per 10 dB: middling notes of the bench. */
export const USUAL_COLOUR_SLOPE = 0.5;

/** centroidSlopeHarmonicsPer10Db: harmonic numbers per 10 dB louder. Null under 6 dB of span. */
export function centroidSlopeHarmonicsPer10Db(note: NoteTrack): number | null {
  return againstLevel(note, note.centroidHarmonics)?.per10Db ?? null;
}

/** Robust slope of a column over time, per second; null with fewer than three values. */
export function driftPerSecond({ timeSeconds }: NoteTrack, column: Float64Array): number | null {
  const usable = Array.from(column.keys()).filter((i) => !Number.isNaN(column[i]));
  const fit = theilSen(
    usable.map((i) => timeSeconds[i]),
    usable.map((i) => column[i]),
  );
  return fit && fit.slope;
}

/** dynamicSpanDb: 95th minus 5th percentile of level over the steady part. Null where there is none. */
export function dynamicSpanDb({ levelDb }: NoteTrack): number | null {
  const values = present(levelDb);
  const high = percentile(values, 95);
  const low = percentile(values, 5);
  return high === null || low === null ? null : high - low;
}
