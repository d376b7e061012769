// The horn map: from judged takes to what is known of every note of a horn - its pitch at each loudness, how it speaks, where
// it sticks out, what may be the cause. Reads measures; hears and judges nothing itself.
export { observationsIn, type CentsAtLevel, type NoteObservation } from './observations.ts';
export {
  CELL,
  CELL_MEASURES,
  cellsOfDay,
  type CellMeasure,
  type DayCells,
  type ObservedTake,
} from './cells.ts';
export { fitMap, type Estimate, type NoteTendency, type TendencyMap } from './fitMap.ts';
export { noteSums, type NoteSums, type Starts } from './noteSums.ts';
export {
  adviseMouthpiece,
  centsPerMm,
  measureMouthpiece,
  usualModel,
  type MouthpieceAdvice,
  type MouthpieceModel,
  type RetestedNote,
} from './mouthpiece.ts';
export { WITHIN_90 } from './interval.ts';
export { REGISTER_BORDERS } from './prior.ts';
export { evennessOf, type Evenness, type NoteEvenness, type NoteValue } from './evenness.ts';
export { chartRun } from './chartRun.ts';
export { CAUSES, findingsOf, type Cause, type Evidence, type MapFinding } from './findings.ts';
