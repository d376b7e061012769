// What every drill is asked, as a table: written, played otherwise, and what a teacher would say. For tests and its command alone.
export { HEADLINE_DRILLS, type HeadlineDrill, type HeadlineRow } from './headlineRows.ts';
export {
  byHand,
  onlyWanted,
  playAndJudge,
  runRow,
  writtenOf,
  type Ear,
  type SoundMaker,
  type VerdictRow,
} from './verdictTable.ts';
export { CLEAN_ROWS, FAULT_ROWS, VERDICT_ROWS } from './verdictRows.ts';
