import type { Experience, FamilyId, Gate, PathPlace, Skill } from '../exercise/index.ts';
import type { Horn, WrittenMidi } from '../horn/index.ts';
import type { PractisedNote, Zone } from '../practice/index.ts';
import type { RoutineItem } from './routineItem.ts';
import type { PlanWish } from './planWish.ts';
import type { Aim } from './schools.ts';

/** What an aim is about; null: any. */
export interface Focus {
  skill: Skill | null;
  zone: Zone | null;
  midi: WrittenMidi | null;
  family: string | null;
}

/** Everything a sheet is planned from. */
export interface SheetRequest {
  horn: Horn;
  minutes: number;
  aim: Aim;
  /** Of the school of one family. */
  family: FamilyId | null;
  /** Of the player's own routine, in its order. */
  routine: readonly RoutineItem[];
  history: readonly PractisedNote[];
  /** In ms; the day is that of `dayNumber` and began at `dayStart`. */
  now: number;
  dayStart: number;
  dayNumber: number;
  /** What is left of today's limits; null: no limit. */
  highSeconds: number | null;
  loudSeconds: number | null;
  /** Keys of lines that stay; slots that are not wanted today. */
  kept: readonly string[];
  notToday: readonly string[];
  /** What the player's own aims are about. */
  focus: readonly Focus[];
  /** How long the player has played; null: not asked. */
  experience: Experience | null;
  /** Opened by the player's own wish. */
  openGates: readonly Gate[];
  /** Where the player stands on the path that the aim is; null: at its beginning, or it is none. */
  path: PathPlace | null;
  /** What the player wants more or less of than the plan found. */
  wishes: readonly PlanWish[];
}
