import { columnValue, type FrameTrack } from '../hearing/index.ts';
import { partialOf, type ToneSpan } from '../tone/index.ts';

/** It sounded for most of the time. */
const MOST = 0.6;
const LEAST_FRAMES = 10;

/** The partial of a tube that sounded for most of a span; null where none did, or hardly anything sounded. */
export function heardPartial(
  { columns }: Pick<FrameTrack, 'columns'>,
  { first, last }: ToneSpan,
  tubeHz: number,
): number | null {
  const counts = new Map<number | null, number>();
  let pitched = 0;
  for (let i = first; i <= last; i++) {
    const hz = columnValue(columns.f0Hz, i);
    if (hz === null) continue;
    pitched++;
    const partial = partialOf(hz, tubeHz);
    counts.set(partial, (counts.get(partial) ?? 0) + 1);
  }
  if (pitched < LEAST_FRAMES || pitched < (last - first + 1) / 2) return null;
  for (const [partial, count] of counts) if (count >= MOST * pitched) return partial;
  return null;
}
