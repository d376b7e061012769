import { FRAME_SECONDS } from '../hearing/index.ts';
import { smoothInto } from '../stats/index.ts';
import type { NoteMeasures } from './measures.ts';
import type { NoteTrack } from './noteTrack.ts';

const SLOWEST_HZ = 2.5;
const FASTEST_HZ = 8.5;
/** Shorter notes hold too few swings to know them by. */
const LEAST_FRAMES = Math.round(1 / FRAME_SECONDS);
const MOST_MISSING_SHARE = 0.2;
/** A Hann kernel whose first zero lies at the slowest vibrato takes away what is slower and leaves the rest. */
const DETREND_FRAMES = Math.round(2 / SLOWEST_HZ / FRAME_SECONDS);
/** Under these it is the wander that every tone has. */
const LEAST_REGULARITY = 0.4;
const LEAST_CENTS = 2;
/** A later peak is the period's own double unless it is higher by this. */
const FIRST_PEAK_SHARE = 0.85;

type Vibrato = Pick<NoteMeasures, 'vibratoHz' | 'vibratoCents' | 'vibratoRegularity'>;

const NONE: Vibrato = { vibratoHz: null, vibratoCents: null, vibratoRegularity: null };

/**
 * Vibrato of pitch: rate in Hz, half-width in cents, and regularity 0-1 - the height of the first peak of the
 * autocorrelation of the detrended curve between 2.5 and 8.5 Hz. The half-width is that of a sine with the periodic
 * part of the variance. Null for notes whose steady part is under
 * a second or a fifth missing, and where the swing is under 2 cents or its regularity under 0.4.
 */
export function measureVibrato({ cents }: NoteTrack): Vibrato {
  const missing = cents.filter(Number.isNaN).length;
  if (cents.length < LEAST_FRAMES || missing > MOST_MISSING_SHARE * cents.length) return NONE;
  const trend = new Float64Array(cents.length);
  smoothInto(trend, cents, DETREND_FRAMES);
  const swing = cents.map((value, i) => (Number.isNaN(value) ? 0 : value - trend[i]));
  const correlation = (lag: number) => {
    let sum = 0;
    let power = 0;
    for (let i = 0; i + lag < swing.length; i++) {
      sum += swing[i] * swing[i + lag];
      power += (swing[i] ** 2 + swing[i + lag] ** 2) / 2;
    }
    return power > 0 ? sum / power : 0;
  };
  const shortest = Math.floor(1 / FASTEST_HZ / FRAME_SECONDS) - 1;
  const longest = Math.ceil(1 / SLOWEST_HZ / FRAME_SECONDS) + 1;
  const heights = Array.from({ length: longest + 1 }, (_, lag) => (lag < shortest ? 0 : correlation(lag)));
  const peaks = heights.flatMap((height, lag) =>
    lag > shortest && lag < longest && height > heights[lag - 1] && height >= heights[lag + 1] ? [lag] : [],
  );
  const highest = Math.max(...peaks.map((lag) => heights[lag]), 0);
  const lag = peaks.find((each) => heights[each] >= FIRST_PEAK_SHARE * highest);
  if (lag === undefined) return NONE;
  const curve = heights[lag - 1] - 2 * heights[lag] + heights[lag + 1];
  const shift = curve < 0 ? (heights[lag - 1] - heights[lag + 1]) / (2 * curve) : 0;
  const vibratoHz = 1 / ((lag + shift) * FRAME_SECONDS);
  const vibratoRegularity = Math.min(1, heights[lag]);
  const variance = swing.reduce((sum, value) => sum + value * value, 0) / (swing.length - missing);
  const vibratoCents = Math.sqrt(2 * variance * Math.max(0, vibratoRegularity));
  return vibratoRegularity < LEAST_REGULARITY || vibratoCents < LEAST_CENTS
    ? NONE
    : { vibratoHz, vibratoCents, vibratoRegularity };
}
