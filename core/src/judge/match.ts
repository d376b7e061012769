import { columnValue, FRAME_SECONDS, MAX_PARTIAL, type FrameTrack } from '../hearing/index.ts';
import { median } from '../stats/index.ts';
import type { ToneSpan } from '../tone/index.ts';

/** As many partials as tell two sounds of one pitch apart. */
export const PROFILE_PARTIALS = 12;
/** The attack and the release are no colour; of a short tone they are this share. */
const EDGE_FRAMES = Math.round(0.15 / FRAME_SECONDS);
const EDGE_SHARE = 0.25;
const LEAST_COMMON = 3;

/** Levels of harmonics 1-12 in dBFS over the steady part of a tone, medians; null where one is under the noise in half of it. */
export type Profile = (number | null)[];

/** The profile of a tone, without the 0.15 s, or the quarter, at either end. */
export function profileOf({ columns }: Pick<FrameTrack, 'columns'>, { first, last }: ToneSpan): Profile {
  const edge = Math.min(EDGE_FRAMES, Math.floor(EDGE_SHARE * (last - first + 1)));
  return Array.from({ length: PROFILE_PARTIALS }, (_, k) => {
    const levels: number[] = [];
    let frames = 0;
    for (let i = first + edge; i <= last - edge; i++) {
      if (columnValue(columns.f0Hz, i) === null) continue;
      frames++;
      const level = columnValue(columns.partialsDb, i * MAX_PARTIAL + k);
      if (level !== null) levels.push(level);
    }
    return levels.length > 0 && levels.length >= frames / 2 ? median(levels) : null;
  });
}

/**
 * matchDb: RMS difference of two profiles in dB after their levels are aligned (the mean difference over the partials that both
 * have is taken out); null where fewer than three are common.
 */
export function matchDb(a: Profile, b: Profile): number | null {
  const differences = a.flatMap((level, k) => {
    const other = b.at(k) ?? null;
    return level === null || other === null ? [] : [other - level];
  });
  if (differences.length < LEAST_COMMON) return null;
  const mean = differences.reduce((sum, each) => sum + each, 0) / differences.length;
  return Math.sqrt(differences.reduce((sum, each) => sum + (each - mean) ** 2, 0) / differences.length);
}
