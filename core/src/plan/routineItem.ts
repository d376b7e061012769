import type { FamilyId } from '../exercise/index.ts';

/** Something of the player's own routine: a family as it usually is, or an own exercise. */
export interface RoutineItem {
  key: string;
  family: FamilyId | null;
  exerciseId: string | null;
  /** With its rests. */
  seconds: number;
  /** When it was last played, in ms; null: never. */
  lastAt: number | null;
}
