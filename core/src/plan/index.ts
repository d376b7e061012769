// What to play next and how: from judged takes to proposals. Reads measures; hears and judges nothing itself.
export { holdOf, placeOf, proposeTempo, type Hold, type TempoProposal } from './breathBudget.ts';
export { rungTries, type RungTry } from './rungTries.ts';
export { ladder, nextRung, rungChance, rungOf, type Rung, type RungState } from './ladder.ts';
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
export { practisedOf, zoneOf, type Practised, type Zone } from './practised.ts';
export { AIMS, todaySheet, type Aim, type Reason, type SheetLine, type SheetRequest } from './todaySheet.ts';
