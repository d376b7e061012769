import { columnValue, MAX_PARTIAL, type FrameTrack } from '../hearing/index.ts';
import { median } from '../stats/index.ts';

/** Partials that every note of the horn has. */
const PARTIALS = 6;
const LEAST_PARTIALS = 3;
const LEAST_SHARE = 0.6;

/**
 * How far the partials of a tone move by themselves, from its frame `first` on for `length` frames: root of the mean square, in dB, of what is left
 * of each when its own straight line over the level is taken off; of the first six the middle one. A louder tone moves them together; what moves
 * them apart is the place of the microphone in a room, or the colour of the tone, and either makes its level uncertain by about as much.
 * Null where they do not stand out.
 */
export function partialsApartDb(
  { columns: { levelDb, partialsDb } }: FrameTrack,
  first: number,
  length: number,
): number | null {
  const apart: number[] = [];
  for (let k = 0; k < PARTIALS; k++) {
    let [count, sumX, sumY, sumXX, sumXY, sumYY] = [0, 0, 0, 0, 0, 0];
    for (let i = first; i < first + length; i++) {
      const y = columnValue(partialsDb, i * MAX_PARTIAL + k);
      const x = levelDb[i];
      if (y === null || Number.isNaN(x)) continue;
      count++;
      sumX += x;
      sumY += y;
      sumXX += x * x;
      sumXY += x * y;
      sumYY += y * y;
    }
    if (count === 0 || count < LEAST_SHARE * length) continue;
    const along = sumXX - sumX ** 2 / count;
    const both = sumXY - (sumX * sumY) / count;
    const own = sumYY - sumY ** 2 / count;
    // A level that does not move explains nothing.
    const left = along > 1e-6 * count ? own - both ** 2 / along : own;
    apart.push(Math.sqrt(Math.max(0, left) / count));
  }
  return apart.length < LEAST_PARTIALS ? null : median(apart);
}
