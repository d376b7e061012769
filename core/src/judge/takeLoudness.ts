import { columnValue, type FrameTrack } from '../hearing/index.ts';
import { percentile } from '../stats/index.ts';
import type { TakeLoudness } from './learnScale.ts';

/** How soft and how loud a take was where it had a pitch; null where it had none. */
export function takeLoudness({ columns, count }: FrameTrack): TakeLoudness | null {
  const levels: number[] = [];
  for (let i = 0; i < count; i++) if (columnValue(columns.f0Hz, i) !== null) levels.push(columns.levelDb[i]);
  const softDb = percentile(levels, 5);
  const loudDb = percentile(levels, 95);
  return softDb === null || loudDb === null ? null : { softDb, loudDb };
}
