export const DYNAMIC_MARKS = ['ppp', 'pp', 'p', 'mp', 'mf', 'f', 'ff', 'fff'] as const;
export type DynamicMark = (typeof DYNAMIC_MARKS)[number];

/**
 * The player's own loudness scale at this microphone place: ppp at the floor, fff at the ceiling, the marks
 * between them evenly spaced in dB. Never sound pressure level.
 */
export interface DynamicScale {
  floorDb: number;
  ceilingDb: number;
  /** `assumed` until the player calibrates or enough takes were heard. */
  source: 'assumed' | 'calibrated' | 'takes';
}

/** A middling horn a metre from a middling microphone; its 30 dB from ppp to fff is what players reach. */
export const DEFAULT_SCALE: DynamicScale = { floorDb: -46, ceilingDb: -16, source: 'assumed' };

/** Nearer together than this soft and loud were not both played. */
const LEAST_SPAN_DB = 8;

/** The scale of a player whose softest and loudest were heard, in dBFS; null: they are less than 8 dB apart. */
export const calibratedScale = (softDb: number, loudDb: number): DynamicScale | null =>
  loudDb - softDb < LEAST_SPAN_DB ? null : { floorDb: softDb, ceilingDb: loudDb, source: 'calibrated' };

/** Place of a mark on the scale: 0 at ppp, 1 at fff. */
export function markFraction(mark: DynamicMark): number {
  return DYNAMIC_MARKS.indexOf(mark) / (DYNAMIC_MARKS.length - 1);
}

/** Level in dBFS at a place on the scale: 0 is ppp, 1 fff; with the usual scale 0.5 is -31. */
export function levelAtFraction(fraction: number, { floorDb, ceilingDb }: DynamicScale): number {
  return floorDb + fraction * (ceilingDb - floorDb);
}

/** Inverse of `levelAtFraction`; goes under 0 and over 1 where the sound does. */
export function fractionAtLevel(levelDb: number, { floorDb, ceilingDb }: DynamicScale): number {
  return (levelDb - floorDb) / (ceilingDb - floorDb);
}

/** The mark a level is nearest to. */
export function nearestMark(levelDb: number, scale: DynamicScale): DynamicMark {
  const last = DYNAMIC_MARKS.length - 1;
  const step = Math.round(fractionAtLevel(levelDb, scale) * last);
  return DYNAMIC_MARKS[Math.max(0, Math.min(last, step))];
}
