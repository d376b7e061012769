// What to play next and how: from judged takes to proposals. Reads measures; hears and judges nothing itself.
export { holdOf, placeOf, proposeTempo, type Hold, type TempoProposal } from './breathBudget.ts';
export { rungTries, type RungTry } from './rungTries.ts';
export {
  clearByDay,
  fifthRungs,
  ladder,
  nextRung,
  rungChance,
  rungOf,
  type Rung,
  type RungState,
} from './ladder.ts';
export { matchTries, type MatchSound, type MatchTry } from './matchTries.ts';
export {
  highFigures,
  highTriesIn,
  speaksBest,
  type HighFigures,
  type HighOutcome,
  type HighTry,
} from './highTries.ts';
export { failsEverywhere, subtoneTries, type SubtoneTry } from './subtoneTries.ts';
export { highChart, type ChartedFingering, type ChartedNote, type HighDecision } from './highChart.ts';
export { needOf, wentBadly, type Need } from './need.ts';
export { practiceHistory, type PracticeHistory, type Tries } from './practiceHistory.ts';
export { gateStates, type GateState } from './gates.ts';
export { AIMS, pathOf, type Aim } from './schools.ts';
export { PATHS, pathProgress, type PathProgress } from './paths.ts';
export { hearingProposal, hearings, type Hearing, type HearingProposal } from './hearing.ts';
export { learned, type Learned } from './learned.ts';
export type { PlanWish } from './planWish.ts';
export type { RoutineItem } from './routineItem.ts';
export type { Focus, SheetRequest } from './sheetRequest.ts';
export type { Reason } from './reason.ts';
export type { SheetLine } from './sheetLine.ts';
export { todaySheet } from './todaySheet.ts';
