import type { Skill } from '../exercise/index.ts';
import type { Unit } from './units.ts';

export interface UsualGoal {
  target: number;
  wants: 'less' | 'more';
}

/** What is said of a figure in one place; all else about it is derived from here. */
export interface FigureRow {
  /** What it can be said of, as its type in `judge/measures.ts` has it; `derived`: of no note by itself. */
  of: 'note' | 'start' | 'swell' | 'entry' | 'line' | 'asked' | 'derived';
  unit: Unit;
  /** Decimals that a player is told. */
  digits: number;
  /** What its two sides are called; null where there is one side. Of a figure with two sides an aim counts the size alone. */
  sides: readonly [below: string, above: string] | null;
  /** What is usually wanted of it, in its unit, and which way; null: it is no aim. */
  goal: UsualGoal | null;
  /** The skill that moves it; null where any may. */
  skill: Skill | null;
  /** Its place in the rows that are kept for trends; null: not kept. The rows are stored: new ones are added at the end. */
  kept: number | null;
  /** Whether the table of notes has a column of it, in the order of the rows here. */
  column: boolean;
}
