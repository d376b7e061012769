import type { FrameTrack } from '../hearing/index.ts';
import { median } from '../stats/index.ts';
import { LEAST_SHARE, partialLevels, PARTIALS } from './partialLevels.ts';

/**
 * How far the partials of a tone move by themselves, from its frame `first` on for `length` frames: root of the mean square, in dB, of what is left
 * of each when its own straight line over the level is taken off; of the first six the middle one. A louder tone moves them together; what moves
 * them apart is the place of the microphone in a room, or the colour of the tone, and either makes its level uncertain by about as much.
 * Null where they do not stand out.
 */
export function partialsApartDb(track: FrameTrack, first: number, length: number): number | null {
  const { levelDb } = track.columns;
  const apart = partialLevels(track, first, length).flatMap((own) => {
    let [count, sumX, sumY, sumXX, sumXY, sumYY] = [0, 0, 0, 0, 0, 0];
    own.forEach((y, i) => {
      const x = levelDb[first + i];
      if (Number.isNaN(x) || Number.isNaN(y)) return;
      count++;
      sumX += x;
      sumY += y;
      sumXX += x * x;
      sumXY += x * y;
      sumYY += y * y;
    });
    if (count === 0 || count < LEAST_SHARE * length) return [];
    const along = sumXX - sumX ** 2 / count;
    const both = sumXY - (sumX * sumY) / count;
    const ofItself = sumYY - sumY ** 2 / count;
    // A level that does not move explains nothing.
    const left = along > 1e-6 * count ? ofItself - both ** 2 / along : ofItself;
    return [Math.sqrt(Math.max(0, left) / count)];
  });
  return apart.length < PARTIALS / 2 ? null : median(apart);
}
