import type { RoutineItem } from './routineItem.ts';
import type { SheetRequest } from './sheetRequest.ts';
import type { SheetLine } from './sheetLine.ts';
import { REST_SECONDS } from './schools.ts';

const DAY_MS = 24 * 3600_000;

/** The routine in its own order. Where it is longer than the time, what has waited longest is played; what is kept (or done) stays. */
export function ownRoutine(
  routine: readonly RoutineItem[],
  seconds: number,
  { notToday, kept, now }: Pick<SheetRequest, 'notToday' | 'kept' | 'now'>,
): SheetLine[] {
  const chosen = new Set<RoutineItem>();
  let left = seconds;
  for (const item of routine
    .filter(({ key }) => !notToday.includes(key))
    .toSorted(
      (a, b) =>
        Number(kept.includes(b.key)) - Number(kept.includes(a.key)) || (a.lastAt ?? 0) - (b.lastAt ?? 0),
    ))
    if (item.seconds <= left) {
      chosen.add(item);
      left -= item.seconds;
    }
  return routine
    .filter((item) => chosen.has(item))
    .map(({ key, family, exerciseId, seconds: each, lastAt }) => ({
      key,
      familyAndZone: key,
      family,
      item: null,
      exerciseId,
      seconds: each,
      restSeconds: REST_SECONDS.light,
      reason: { kind: 'routine', days: lastAt === null ? null : Math.floor((now - lastAt) / DAY_MS) },
    }));
}
