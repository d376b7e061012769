import type { FamilyId } from '../exercise/index.ts';
import type { Reason } from './reason.ts';
import type { SheetItem } from './sheetItems.ts';

/** One line of a day's sheet. */
export interface SheetLine {
  /** What it is known by on this sheet; and family and zone: what is put aside for the day. */
  key: string;
  familyAndZone: string;
  /** Null for free playing and own exercises. */
  family: FamilyId | null;
  item: SheetItem | null;
  /** An exercise of the player's own. */
  exerciseId: string | null;
  /** With the rest after it. */
  seconds: number;
  restSeconds: number;
  reason: Reason;
}
