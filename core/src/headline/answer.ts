import type { FindingKind } from '../judge/index.ts';
import type { PlayedTake } from './played.ts';
import type { Statement } from './statement.ts';

/** What a drill's question is answered with. */
export interface Answer {
  /** None where nothing was heard that answers it. */
  statements: Statement[];
  /** What stands out and is said by that already. */
  tells: readonly FindingKind[];
}

/** The answer that takes of one drill give to its question. */
export type Answers = (takes: readonly PlayedTake[]) => Answer;

/** Nothing that was asked for was heard. */
export const NO_ANSWER: Answer = { statements: [], tells: [] };
