import { columnValue, MAX_PARTIAL, type FrameTrack } from '../hearing/index.ts';
import { median } from '../stats/index.ts';
import type { ToneSpan } from '../tone/index.ts';
import { LEAST_SHARE, partialLevels, PARTIALS } from './partialLevels.ts';

const EDGE_FRAMES = 15;
const EVERY = 3;

/**
 * How loud a tone is by its partials, each counting alike: their mean level in dBFS. In a room that rings the place of the microphone makes
 * one partial louder and another softer by several dB from note to note; of six together little of that is left. Compare within a take, and
 * never by itself: a brighter tone is louder by it. Null where its partials do not stand out.
 */
export function evenLevelDb({ columns }: FrameTrack, { first, last }: ToneSpan): number | null {
  const [from, to] =
    last - first > 3 * EDGE_FRAMES ? [first + EDGE_FRAMES, last - EDGE_FRAMES] : [first, last];
  const levels: number[] = [];
  for (let k = 0; k < PARTIALS; k++) {
    const own: number[] = [];
    let frames = 0;
    for (let i = from; i <= to; i += EVERY) {
      frames++;
      const db = columnValue(columns.partialsDb, i * MAX_PARTIAL + k);
      if (db !== null) own.push(db);
    }
    const level = own.length < LEAST_SHARE * frames ? null : median(own);
    if (level !== null) levels.push(level);
  }
  return levels.length < PARTIALS / 2 ? null : levels.reduce((sum, db) => sum + db, 0) / levels.length;
}

/**
 * How the level of a tone moves from its frame `first` on for `length` frames, by its partials alike: the mean of how far each is from its own
 * middle, in dB. Null where its partials do not stand out.
 */
export function evenLevelMoves(track: FrameTrack, first: number, length: number): Float64Array | null {
  const moves = new Float64Array(length);
  const counts = new Uint8Array(length);
  for (const own of partialLevels(track, first, length)) {
    const middle = median(own.filter((db) => !Number.isNaN(db)));
    if (middle === null) continue;
    own.forEach((db, i) => {
      if (Number.isNaN(db)) return;
      moves[i] += db - middle;
      counts[i]++;
    });
  }
  if (Math.max(...counts) < PARTIALS / 2) return null;
  return moves.map((sum, i) => (counts[i] === 0 ? Number.NaN : sum / counts[i]));
}

/** The smaller of two opinions of how far a level is off: none where they disagree on the side. */
export function agreedDb(one: number, other: number | null): number {
  if (other === null) return one;
  if (one * other <= 0) return 0;
  return Math.abs(one) < Math.abs(other) ? one : other;
}
