import { DYNAMIC_MARKS, fractionAtLevel, levelAtFraction } from '@inner-hum/core/exercise';
import { CLICK_SECONDS, FrameTrack, type FrameColumns } from '@inner-hum/core/hearing';
import { centsAgainstLevel } from '@inner-hum/core/judge';
import type { TakeRecord } from '../../storage/index.ts';

/** Dots that can be told apart in a drawing of this size. */
const MOST_POINTS = 220;

/** Marks where loudness is written along the axis: 0 at ppp, 1 at fff. */
export const MARK_TICKS = DYNAMIC_MARKS.map((mark, i) => ({ mark, at: i / (DYNAMIC_MARKS.length - 1) }));

export interface Scatter {
  /** Loudness on the scale the take was judged by, and cents from the written note. */
  points: { loudness: number; cents: number }[];
  /** The robust line from the softest to the loudest point; null where there is none. */
  line: [{ loudness: number; cents: number }, { loudness: number; cents: number }] | null;
}

/** Pitch against loudness of a kept take, thinned to what can be drawn. Empty for free playing. */
export function scatterPoints(take: TakeRecord, columns: FrameColumns): Scatter {
  const { context } = take;
  if (!context) return { points: [], line: null };
  const clicks = take.foundClickSeconds.map((timeSeconds) => ({ timeSeconds, lengthSeconds: CLICK_SECONDS }));
  const { points, line } = centsAgainstLevel(FrameTrack.from(columns), context, clicks);
  const step = Math.max(1, Math.ceil(points.length / MOST_POINTS));
  const drawn = points
    .filter((_, i) => i % step === 0)
    .map(({ levelDb, cents }) => ({ loudness: fractionAtLevel(levelDb, context.scale), cents }));
  if (drawn.length === 0 || line === null) return { points: drawn, line: null };
  const end = (loudness: number) => ({
    loudness,
    cents: line.intercept + line.slope * levelAtFraction(loudness, context.scale),
  });
  const loudness = drawn.map((point) => point.loudness);
  return { points: drawn, line: [end(Math.min(...loudness)), end(Math.max(...loudness))] };
}
