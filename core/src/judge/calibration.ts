import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { halfWidth16to84, median } from '../stats/index.ts';
import { findToneSpan } from '../tone/index.ts';

export interface SteadyTone {
  f0Hz: number;
  levelDb: number;
  /** 16-84 half-width of the level: how steady it was. */
  levelSpreadDb: number;
}

const LEAST_FRAMES = Math.round(1 / FRAME_SECONDS);
const EDGE_FRAMES = Math.round(0.15 / FRAME_SECONDS);

/** The steady middle of a calibration note; null where less than a second of tone was heard. */
export function measureSteadyTone(track: FrameTrack, roomFloorDb: number | null): SteadyTone | null {
  const span = findToneSpan(track, roomFloorDb);
  if (span === null || span.last - span.first < LEAST_FRAMES) return null;
  const levels: number[] = [];
  const pitches: number[] = [];
  for (let i = span.first + EDGE_FRAMES; i <= span.last - EDGE_FRAMES; i++) {
    const f0Hz = columnValue(track.columns.f0Hz, i);
    if (f0Hz === null) continue;
    pitches.push(f0Hz);
    levels.push(track.columns.levelDb[i]);
  }
  const f0Hz = median(pitches);
  const levelDb = median(levels);
  const levelSpreadDb = halfWidth16to84(levels);
  return f0Hz === null || levelDb === null || levelSpreadDb === null
    ? null
    : { f0Hz, levelDb, levelSpreadDb };
}
