import type { DynamicScale, Exercise } from '../exercise/index.ts';
import type { HornId } from '../horn/index.ts';
import type { RoomNoise } from '../tone/index.ts';
import type { FullTone, SubtoneWindow } from './subtone.ts';
import type { ToleranceId } from './tolerances.ts';

/** Everything a take is judged by, fixed when it was played and kept with it. */
export interface TakeContext {
  exercise: Exercise;
  hornId: HornId;
  a4Hz: number;
  scale: DynamicScale;
  toleranceId: ToleranceId;
  roomFloorDb: number | null;
  /** The room as it was heard before the player; absent or null: its quietest stretch in the take itself. */
  room?: RoomNoise | null;
  /** This player's recent full tones with this set-up, by written note: what a subtone is held against where its phrase has none. */
  fullTones?: Readonly<Record<number, FullTone>>;
  /** Noise against tone that is usual for this player where a swell is softest, in dB. */
  usualSoftBreathDb?: number | null;
  /** What loudness alone does to the colour on this horn, by the player's takes, in harmonic numbers per 10 dB. */
  usualColourSlope?: number | null;
  /** Beat 0 on the take's clock for a counted take; null where the first tone sets the beat. */
  beatZeroSeconds: number | null;
  /** What counted as a subtone; absent: the usual window. */
  subtoneWindow?: SubtoneWindow;
  /** A drone was heard from the loudspeaker: pitch and onset cannot be told from it. */
  droneSpoils?: boolean;
}
