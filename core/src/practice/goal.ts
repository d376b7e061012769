import { figureRow } from '../figures/index.ts';
import type { PractisedNote } from './practisedNotes.ts';
import { spansBack } from './spansBack.ts';
import { isInScope, measuredIn, measuredOver, type TrendMeasure, type TrendScope } from './trend.ts';

/** An aim as a measure with its target. */
export interface Goal {
  measure: TrendMeasure;
  scope: TrendScope;
  /** To be reached from above (`less`) or below (`more`), in the unit of the measure; of pitch either side counts alike. */
  target: number;
  wants: 'less' | 'more';
}

export interface GoalWeek {
  /** When its first note was played, in ms. */
  at: number;
  value: number;
  count: number;
}

export interface GoalProgress {
  /** Oldest first; weeks without an answer have none. */
  weeks: GoalWeek[];
  /** Over the latest notes; null without any. */
  now: number | null;
  /** How far from the target, 0 where it is met; null without notes. */
  distance: number | null;
  /** The latest notes meet it, on two days at least. */
  isReached: boolean;
}

const LATEST = 8;
const LEAST_DAYS = 2;
const WEEK_MS = 7 * 24 * 3600_000;

/** How far an aim is, week by week and now. `notes` in any order. */
export function goalProgress(notes: readonly PractisedNote[], goal: Goal): GoalProgress {
  const { measure, target, wants } = goal;
  const played = notes
    .filter((note) => isInScope(note, goal.scope))
    .flatMap((note) => {
      const value = measuredIn(note, measure);
      if (value === null) return [];
      return [{ day: note.day, at: note.at, value: figureRow(measure).sides ? Math.abs(value) : value }];
    })
    .toSorted((a, b) => a.at - b.at);
  const valueOf = (some: typeof played) =>
    measuredOver(
      some.map(({ value }) => value),
      measure,
    );
  const latest = played.slice(-LATEST);
  const now = valueOf(latest);
  const short = now === null ? null : Math.max(0, wants === 'less' ? now - target : target - now);
  const days = new Set(latest.map(({ day }) => day)).size;
  return {
    weeks: spansBack(played, WEEK_MS).flatMap((week) => {
      const value = valueOf(week);
      return value === null ? [] : [{ at: week[0].at, value, count: week.length }];
    }),
    now,
    distance: short,
    isReached: short === 0 && days >= LEAST_DAYS,
  };
}
