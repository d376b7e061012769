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
  mostBreathDb: -1,
  softerDb: [3, 24],
  mostBrightness: 0.8,
};

type Tone = Pick<NoteMeasures, 'breathDb' | 'levelDb' | 'brightness'>;

/** Null where the breath, the level or the colour of either is not known. */
export function subtoneDepth(tone: Tone, full: Tone, window: SubtoneWindow): SubtoneDepth | null {
  const { breathDb, levelDb, brightness } = tone;
  if (breathDb === null || levelDb === null || brightness === null) return null;
  if (full.breathDb === null || full.levelDb === null || full.brightness === null) return null;
  const depth = {
    airierDb: breathDb - full.breathDb,
    softerDb: full.levelDb - levelDb,
    brightnessShare: brightness / full.brightness,
  };
  return { ...depth, breathDb, kind: kindOf(depth, breathDb, window) };
}

function kindOf(
  { airierDb, softerDb, brightnessShare }: Omit<SubtoneDepth, 'kind' | 'breathDb'>,
  breathDb: number,
  window: SubtoneWindow,
): ToneKind {
  const [least, most] = window.softerDb;
  const isAiry = airierDb >= window.leastAirierDb;
  if (!isAiry && softerDb < least) return 'full';
  const isTone = breathDb <= window.mostBreathDb && softerDb <= most;
  return isAiry && isTone && softerDb >= least && brightnessShare <= window.mostBrightness
    ? 'subtone'
    : 'weak';
}
