import {
  afterRepeats,
  phraseBeats,
  phraseExercise,
  playedPhrases,
  restAfter,
  restBeats,
  secondsPerBeat,
  type Exercise,
  type Phrase,
} from '@inner-hum/core/exercise';
import type { TakeAnalysis } from '@inner-hum/core/judge';
import type { RoundRecord } from '../storage/index.ts';
import type { Moment } from './moment.ts';
import type { SessionSetup } from './setup.ts';

/** A phrase that breaks is tried so often before the round moves on. */
const MOST_TRIES = 3;

/** An exercise that is gone through phrase by phrase. */
export interface Round {
  exercise: Exercise;
  /** What is stored of it; null for a single swell, which is a take without a round. */
  record: RoundRecord | null;
  /** The phrase that is ready or played, and how many there are. */
  index: number;
  count: number;
  /** When the first of these repeats began, on the desk's clock, where they go on for a time; null: none has. */
  sinceSeconds: number | null;
  /** How often this phrase was tried and broke. */
  tries: number;
  /** The phrase whose verdict is up; null while none is. */
  ended: number | null;
  /** Every phrase was played. */
  over: boolean;
}

export function newRound(
  { settings: { hornId } }: SessionSetup,
  exercise: Exercise,
  address: string | null,
  { roundId, dateMs }: Moment,
): Round {
  return {
    exercise,
    record: address === null ? null : { id: roundId, startedAt: dateMs, hornId, exercise, address },
    index: 0,
    sinceSeconds: null,
    count: playedPhrases(exercise).length,
    tries: 0,
    ended: null,
    over: false,
  };
}

/** The phrase that is ready or played, as an exercise of its own. */
export const phraseOf = ({ exercise, index }: Round): Exercise => phraseExercise(exercise, index);

/** The round at another phrase, or at the same anew. */
export const atPhrase = (round: Round, index: number): Round => ({
  ...round,
  index: Math.max(0, Math.min(round.count - 1, index)),
  sinceSeconds: null,
  tries: 0,
  ended: null,
  over: false,
});

/** What comes after a take: nothing more, the player's word, or a rest of so many seconds from the end of its tone. */
export type After = { kind: 'over' } | { kind: 'wait' } | { kind: 'rest'; seconds: number };

/** When the take of a phrase began, and what time it is, on the desk's clock. */
interface TakeTime {
  startSeconds: number;
  nowSeconds: number;
}

/** Where the repeats of a phrase go on for a time: when they began, and what comes after them once that is over. */
function shareOf(round: Round, phrases: readonly Phrase[], { startSeconds, nowSeconds }: TakeTime) {
  const { forSeconds } = phrases[round.index];
  if (forSeconds === undefined) return { sinceSeconds: null, next: round.index + 1 };
  const sinceSeconds = round.sinceSeconds ?? startSeconds;
  const after = afterRepeats(phrases, round.index);
  const next = nowSeconds - sinceSeconds >= forSeconds ? after : round.index + 1;
  return { sinceSeconds: next === after ? null : sinceSeconds, next };
}

/** Where a round is after a take of its present phrase, and what comes then. */
export function afterTake(
  round: Round,
  analysis: TakeAnalysis,
  time: TakeTime,
): { round: Round; after: After } {
  const { exercise, index, count } = round;
  const phrases = playedPhrases(exercise);
  const phrase = phrases[index];
  const share = shareOf(round, phrases, time);
  const isOpen = hasOpenNote(phrase);
  const broke = exercise.onFault === 'stop' && !isOpen && analysis.measures.holdCause !== 'completed';
  const tries = round.tries + 1;
  const stays = broke && tries < MOST_TRIES;
  const ended = { ...round, ended: index };
  if (!stays && share.next >= count)
    return { round: { ...ended, tries: 0, sinceSeconds: null, over: true }, after: { kind: 'over' } };
  const next = stays
    ? { ...ended, tries }
    : { ...ended, tries: 0, index: share.next, sinceSeconds: share.sinceSeconds };
  const rule = restAfter(exercise, phrase);
  if (!stays && rule.kind === 'wait') return { round: next, after: { kind: 'wait' } };
  const seconds = rule.kind === 'asPlayed' ? playedSeconds(exercise, phrase, analysis) : null;
  const written = restBeats(exercise, phrase) * secondsPerBeat(exercise);
  return { round: next, after: { kind: 'rest', seconds: seconds ?? written } };
}

const hasOpenNote = ({ items }: Phrase) => items.some((item) => item.kind === 'note' && item.open);

/** How long a phrase lasted whose length is the player's: held as long as it is good, or in the player's own time; null for any other. */
function playedSeconds(
  exercise: Exercise,
  phrase: Phrase,
  { playedBeats, measures }: TakeAnalysis,
): number | null {
  const beat = secondsPerBeat(exercise);
  if (playedBeats) return beat * playedBeats.reduce((sum, each) => sum + each, 0);
  if (!hasOpenNote(phrase) || measures.holdSeconds === null) return null;
  return Math.min(measures.holdSeconds, phraseBeats(phrase) * beat);
}
