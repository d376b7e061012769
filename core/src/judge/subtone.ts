import type { NoteMeasures, SubtoneDepth, ToneKind } from './measures.ts';

/** Where a subtone lies against the full tone of its note; beyond it the tone is weak or still full. */
export interface SubtoneWindow {
  /** Breath against tone, more than the full tone's by at least this, in dB. */
  leastAirierDb: number;
  /** More noise than this against the tone is air with a hint of note. */
  mostBreathDb: number;
  /** Level under the full tone's. */
  softerDb: readonly [number, number];
  /** Brightness as a share of the full tone's: a subtone is round. */
  mostBrightness: number;
}

export const SUBTONE_WINDOW: SubtoneWindow = {
  leastAirierDb: 6,
  mostBreathDb: -3,
  softerDb: [3, 24],
  mostBrightness: 0.9,
};

/** What a subtone is held against. */
export type FullTone = Tone;

type Tone = Pick<NoteMeasures, 'noiseToHarmonicDb' | 'levelDb' | 'centroidHarmonics'>;

/** Null where the breath, the level or the colour of either is not known. */
export function subtoneDepth(tone: Tone, full: Tone, window: SubtoneWindow): SubtoneDepth | null {
  const { noiseToHarmonicDb, levelDb, centroidHarmonics } = tone;
  if (noiseToHarmonicDb === null || levelDb === null || centroidHarmonics === null) return null;
  if (full.noiseToHarmonicDb === null || full.levelDb === null || full.centroidHarmonics === null)
    return null;
  const depth = {
    airierDb: noiseToHarmonicDb - full.noiseToHarmonicDb,
    softerDb: full.levelDb - levelDb,
    centroidShare: centroidHarmonics / full.centroidHarmonics,
  };
  return { ...depth, noiseToHarmonicDb, kind: kindOf(depth, noiseToHarmonicDb, window) };
}

function kindOf(
  { airierDb, softerDb, centroidShare }: Omit<SubtoneDepth, 'kind' | 'noiseToHarmonicDb'>,
  noiseToHarmonicDb: number,
  window: SubtoneWindow,
): ToneKind {
  const [least, most] = window.softerDb;
  const isAiry = airierDb >= window.leastAirierDb;
  if (!isAiry && softerDb < least) return 'full';
  const isTone = noiseToHarmonicDb <= window.mostBreathDb && softerDb <= most;
  return isAiry && isTone && softerDb >= least && centroidShare <= window.mostBrightness ? 'subtone' : 'weak';
}
