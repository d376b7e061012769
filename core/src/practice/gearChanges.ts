/** A day of practice with what was played on. */
export interface GearDay {
  /** `yyyy-MM-dd`. */
  day: string;
  reedId: string;
  mouthpieceId: string;
}

/** From this day on something else was played on. */
export interface GearChange {
  day: string;
  kind: 'reed' | 'mouthpiece';
  /** What was put on. */
  id: string;
}

/** A reed that is only played in now and then is no change: on so many of the next days it must be on. */
const OF_NEXT_DAYS = 5;
const LEAST_DAYS = 3;

/**
 * Where the days of one horn change their reed or mouthpiece for another for good: on its first day, if it is played on at least three
 * of five days from then. What was on at the beginning is no change, nor is a reed after days on which nobody said which.
 */
export function gearChanges(days: readonly GearDay[]): GearChange[] {
  const sorted = days.toSorted((a, b) => a.day.localeCompare(b.day));
  return (['mouthpieceId', 'reedId'] as const)
    .flatMap((name) => {
      const seen = new Set<string>();
      return sorted.flatMap((each, i): GearChange[] => {
        const id = each[name];
        if (id === '' || seen.has(id)) return [];
        seen.add(id);
        const before = sorted.slice(0, i).some((other) => other[name] !== '');
        const next = [
          ...new Map(sorted.slice(i).map((other) => [`${other.day} ${other[name]}`, other])).values(),
        ]
          .slice(0, OF_NEXT_DAYS)
          .filter((other) => other[name] === id);
        if (!before || next.length < LEAST_DAYS) return [];
        return [{ day: each.day, kind: name === 'reedId' ? 'reed' : 'mouthpiece', id }];
      });
    })
    .toSorted((a, b) => a.day.localeCompare(b.day));
}
