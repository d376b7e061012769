import type { FamilyId } from '../exercise/index.ts';
import type { SheetLine } from './todaySheet.ts';

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

const DAY_MS = 24 * 3600_000;

/** The routine in its own order. Where it is longer than the time, what has waited longest is played. */
export function ownRoutine(
  routine: readonly RoutineItem[],
  seconds: number,
  notToday: readonly string[],
  now: number,
): SheetLine[] {
  const chosen = new Set<RoutineItem>();
  let left = seconds;
  for (const item of routine
    .filter(({ key }) => !notToday.includes(key))
    .toSorted((a, b) => (a.lastAt ?? 0) - (b.lastAt ?? 0)))
    if (item.seconds <= left) {
      chosen.add(item);
      left -= item.seconds;
    }
  return routine
    .filter((item) => chosen.has(item))
    .map(({ key, family, exerciseId, seconds: each, lastAt }) => ({
      key,
      slot: key,
      family,
      item: null,
      exerciseId,
      seconds: each,
      reason: { kind: 'routine', days: lastAt === null ? null : Math.floor((now - lastAt) / DAY_MS) },
    }));
}
