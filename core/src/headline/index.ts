// The answer to what a drill is asked, from what was judged: statements with their figures. The interface has the words.
export { headlineOf, type Fault, type Headline } from './headline.ts';
export { notesIn, type PlayedTake } from './played.ts';
export { hasSlipped, lastHairpins, SORTS, sortOf, type Sort } from './sorted.ts';
export { recordOf, type DrillRecord, type Past } from './record.ts';
export {
  SAME_CENTS,
  STATEMENTS,
  wordingOf,
  type NamedNote,
  type Statement,
  type StatementKind,
} from './statement.ts';
export { clicksIn } from './holds.ts';
