import type { PractisedNote } from './practisedNotes.ts';
import type { Skill } from './skill.ts';
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

/** The side of pitch does not matter to an aim, its size does. */
const EITHER_SIDE: ReadonlySet<TrendMeasure> = new Set([
  'centsMean',
  'driftCentsPerSecond',
  'softEndCents',
  'loudEndCents',
  'bendWithLevel',
  'onsetOffsetMs',
  'landingCents',
  'humCents',
]);
const LATEST = 8;
const LEAST_DAYS = 2;
const WEEK_MS = 7 * 24 * 3600_000;

/** What of each measure is usually wanted, and a target to begin with. */
export const USUAL_GOALS: Record<TrendMeasure, Pick<Goal, 'target' | 'wants'>> = {
  asWrittenPercent: { target: 80, wants: 'more' },
  centsMean: { target: 10, wants: 'less' },
  centsSpread: { target: 3, wants: 'less' },
  driftCentsPerSecond: { target: 1, wants: 'less' },
  softEndCents: { target: 10, wants: 'less' },
  loudEndCents: { target: 10, wants: 'less' },
  bendWithLevel: { target: 5, wants: 'less' },
  levelSpreadDb: { target: 1, wants: 'less' },
  dynamicSpanDb: { target: 20, wants: 'more' },
  swellErrorDb: { target: 2, wants: 'less' },
  responseMs: { target: 150, wants: 'less' },
  onsetOffsetMs: { target: 60, wants: 'less' },
  landingCents: { target: 10, wants: 'less' },
  slurMs: { target: 80, wants: 'less' },
  holdSeconds: { target: 15, wants: 'more' },
  breathDb: { target: -20, wants: 'less' },
  brightness: { target: 4, wants: 'less' },
  matchDb: { target: 4, wants: 'less' },
  subtoneAirierDb: { target: 8, wants: 'more' },
  bendRangeCents: { target: 200, wants: 'more' },
  vibratoHz: { target: 5, wants: 'more' },
  humCents: { target: 25, wants: 'less' },
};

/** The skill that moves a measure; null where any may. */
export const SKILL_OF: Partial<Record<TrendMeasure, Skill>> = {
  responseMs: 'start',
  onsetOffsetMs: 'start',
  holdSeconds: 'hold',
  centsSpread: 'hold',
  levelSpreadDb: 'hold',
  driftCentsPerSecond: 'hold',
  softEndCents: 'swell',
  loudEndCents: 'swell',
  bendWithLevel: 'swell',
  swellErrorDb: 'swell',
  dynamicSpanDb: 'swell',
  landingCents: 'ear',
  humCents: 'ear',
  slurMs: 'line',
  matchDb: 'overtone',
  subtoneAirierDb: 'subtone',
  bendRangeCents: 'voicing',
};

/** How far an aim is, week by week and now. `notes` in any order. */
export function goalProgress(notes: readonly PractisedNote[], goal: Goal): GoalProgress {
  const { measure, target, wants } = goal;
  const played = notes
    .filter((note) => isInScope(note, goal.scope))
    .flatMap((note) => {
      const value = measuredIn(note, measure);
      if (value === null) return [];
      return [{ day: note.day, at: note.at, value: EITHER_SIDE.has(measure) ? Math.abs(value) : value }];
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
