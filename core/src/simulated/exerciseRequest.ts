import type { DynamicScale, Exercise } from '../exercise/index.ts';
import type { HornId } from '../horn/index.ts';
import type { ItemFault } from './faults.ts';
import type { SimulatedProfile } from './profile.ts';

/** What the simulated player is to play, and how well. */
export interface ExerciseRequest {
  exercise: Exercise;
  hornId: HornId;
  a4Hz: number;
  scale: DynamicScale;
  profile: SimulatedProfile;
  /** What goes wrong where, besides what the profile does to every tone. */
  faults?: readonly ItemFault[];
  sampleRateHz: number;
  seed: number;
  leadSeconds: number;
  tailSeconds: number;
}

/** Silence around what is played for keeps when nobody waits for it. */
export const DEMO_LEAD_SECONDS = 0.5;
export const DEMO_TAIL_SECONDS = 0.8;
