// What was practised: judged takes as practice of notes and skills, packed day by day; minutes, trends, changes, milestones.
// Plans nothing, and judges nothing itself.
export { zoneOf, zoneOfNote, ZONES, type Zone } from './zone.ts';
export { figureOf, NO_FIGURES, type Figures } from './figures.ts';
export { practisedNotes, type PractisedNote } from './practisedNotes.ts';
export { packNotes, unpackNotes, type PackedNotes } from './packedNotes.ts';
export { practiceOf, type Practice } from './minutes.ts';
export { trendOf, TREND_MEASURES, type TrendMeasure, type TrendPoint, type TrendScope } from './trend.ts';
export { changeAt, type Change } from './change.ts';
export { milestonesOf, type Milestone } from './milestones.ts';
export { gearChanges, type GearChange } from './gearChanges.ts';
export { goalProgress, type Goal, type GoalProgress, type GoalWeek } from './goal.ts';
export { callsMade, earScore, type CallMade, type EarScore, type HumScore, type Share } from './earScore.ts';
export { softestMarks } from './softestMarks.ts';
