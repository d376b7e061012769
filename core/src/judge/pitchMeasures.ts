import { FRAME_SECONDS } from '../hearing/index.ts';
import { halfWidth16to84, median, percentile, smoothInto, theilSen } from '../stats/index.ts';
import { present, type NoteTrack } from './noteTrack.ts';

const END_WITHIN_DB = 3;
const SMOOTHING_FRAMES = Math.round(0.25 / FRAME_SECONDS);
const LEAST_SPAN_DB = 6;

/** centsMean and centsSpread: median and 16-84 half-width of cents over the steady part. Null where no frame counts. */
export function centsOverall({ cents }: NoteTrack): { centsMean: number | null; centsSpread: number | null } {
  const values = present(cents);
  return { centsMean: median(values), centsSpread: halfWidth16to84(values) };
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
 * bendWithLevel: Theil-Sen slope of cents against level, both smoothed over 250 ms, in cents per 10 dB, with
 * R2. Null where the level spans less than 6 dB: there is no bend to read.
 */
export function bendWithLevel(note: NoteTrack): { centsPer10Db: number; r2: number } | null {
  const span = dynamicSpanDb(note);
  if (span === null || span < LEAST_SPAN_DB) return null;
  const cents = new Float64Array(note.cents.length);
  const level = new Float64Array(note.cents.length);
  smoothInto(cents, note.cents, SMOOTHING_FRAMES);
  smoothInto(level, note.levelDb, SMOOTHING_FRAMES);
  const usable = Array.from(note.cents.keys()).filter(
    (i) => !Number.isNaN(note.cents[i]) && !Number.isNaN(level[i]),
  );
  const fit = theilSen(
    usable.map((i) => level[i]),
    usable.map((i) => cents[i]),
  );
  return fit && { centsPer10Db: 10 * fit.slope, r2: fit.r2 };
}

/** dynamicSpanDb: 95th minus 5th percentile of level over the steady part. Null where there is none. */
export function dynamicSpanDb({ levelDb }: NoteTrack): number | null {
  const values = present(levelDb);
  const high = percentile(values, 95);
  const low = percentile(values, 5);
  return high === null || low === null ? null : high - low;
}
