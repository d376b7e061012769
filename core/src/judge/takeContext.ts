import type { DynamicScale, Exercise } from '../exercise/index.ts';
import type { HornId } from '../horn/index.ts';
import type { SubtoneWindow } from './subtone.ts';
import type { ToleranceId } from './tolerances.ts';

/** Everything a take is judged by, fixed when it was played and kept with it. */
export interface TakeContext {
  exercise: Exercise;
  hornId: HornId;
  a4Hz: number;
  scale: DynamicScale;
  toleranceId: ToleranceId;
  roomFloorDb: number | null;
  /** Beat 0 on the take's clock for a counted take; null where the first tone sets the beat. */
  beatZeroSeconds: number | null;
  /** What counted as a subtone; absent: the usual window. */
  subtoneWindow?: SubtoneWindow;
  /** A drone was heard from the loudspeaker: pitch and onset cannot be told from it. */
  droneSpoils?: boolean;
}
