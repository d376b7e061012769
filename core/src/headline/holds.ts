import { NO_ANSWER, type Answers } from './answer.ts';
import { slursAnswer } from './partials.ts';
import { measured, most, nameOf, notesIn, type PlayedNote } from './played.ts';
import type { Statement } from './statement.ts';
import { mean } from '../stats/index.ts';

/** A tone is let go a little before the click that ends it. */
const EARLY_BEATS = 0.25;

/** Whole clicks in so many beats. */
export const clicksIn = (beats: number): number => Math.floor(beats + EARLY_BEATS);

/** Whole clicks for which a note stayed good. */
const clicksOf = ({ measures }: PlayedNote): number | null =>
  typeof measures?.holdBeats === 'number' ? clicksIn(measures.holdBeats) : null;

/** For how many clicks a note stayed good, and why no longer; of several tries the longest, of several notes each. */
export const holdAnswer: Answers = (takes) => {
  const open = notesIn(takes).filter(({ written }) => written.open);
  const names = [...new Set(open.map(({ written }) => written.writtenMidi))];
  const statements = names.flatMap((midi): Statement[] => {
    const tries = open.filter(({ written }) => written.writtenMidi === midi);
    const best = most(tries, clicksOf);
    const cause = best?.measures?.holdCause;
    const count = best && clicksOf(best);
    if (!cause || count === null) return [];
    return [{ kind: 'held', count, cause, note: names.length > 1 ? nameOf(best.written) : null }];
  });
  return statements.length === 0 ? NO_ANSWER : { statements, tells: ['held'] };
};

/** A few notes that share the time: of each how often it was held, the longest in clicks, and the first against the last. */
export const zonesAnswer: Answers = (takes) => {
  const open = notesIn(takes).filter(({ written }) => written.open);
  const names = [...new Set(open.map(({ written }) => written.writtenMidi))];
  const statements = names.flatMap((midi): Statement[] => {
    const holds = open.filter(({ written, measures }) => written.writtenMidi === midi && measures !== null);
    const clicks = measured(holds, clicksOf);
    const [first, last] = [clicks.at(0), clicks.at(-1)];
    if (first === undefined || last === undefined) return [];
    const note = nameOf(holds[0].written);
    return [{ kind: 'zone', note, count: clicks.length, longest: Math.max(...clicks), first, last }];
  });
  return statements.length === 0 ? NO_ANSWER : { statements, tells: ['held'] };
};

/** Rung by rung as long as each stays good, then all of them slurred. */
export const ladderHoldsAnswer: Answers = (takes) => {
  const slurred = takes.filter((take) => !notesIn([take]).some(({ written }) => written.open));
  const answers = [holdAnswer(takes), slurred.length > 0 ? slursAnswer(slurred) : NO_ANSWER];
  return {
    statements: answers.flatMap(({ statements }) => statements.filter(({ kind }) => kind !== 'slowestClear')),
    tells: answers.flatMap(({ tells }) => tells),
  };
};

/** Counted notes: how near to the beat they begin, and when they end. */
export const beatsAnswer: Answers = (takes) => {
  const notes = notesIn(takes);
  const statements: Statement[] = [];
  const onsets = measured(notes, ({ measures }) => measures?.onsetOffsetMs).map(Math.abs);
  const ends = measured(notes, ({ measures }) => measures?.endOffsetMs);
  if (onsets.length > 0) statements.push({ kind: 'begins', ms: Math.max(...onsets) });
  if (ends.length > 0) statements.push({ kind: 'ends', ms: mean(ends) });
  return { statements, tells: ['endBeat'] };
};
