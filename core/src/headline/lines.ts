import { isNotJudged } from '../judge/index.ts';
import { differenceOfMeans, mean } from '../stats/index.ts';
import { NO_ANSWER, type Answers } from './answer.ts';
import { hasFound, isCalm, measured, nameOf, notesIn, type PlayedNote } from './played.ts';
import type { Statement } from './statement.ts';

/** What was too short to judge, or had nothing to be held against, stands in no count. */
const isJudged = ({ heard: { verdict } }: PlayedNote) =>
  verdict !== null && !verdict.findings.some(isNotJudged);

/** Of all notes, how many stand out. */
export const lineAnswer: Answers = (takes) => {
  const notes = notesIn(takes).filter(isJudged);
  if (notes.length === 0) return NO_ANSWER;
  const outstanding = notes.filter((note) => !isCalm(note)).length;
  return { statements: [{ kind: 'line', count: notes.length, outstanding }], tells: [] };
};

/** A note held at one level: where it lies, and how still; of several how many stand out. */
export const steadyAnswer: Answers = (takes) => {
  const notes = notesIn(takes);
  if (notes.length !== 1) return lineAnswer(takes);
  const [{ written, measures }] = notes;
  if (typeof measures?.centsMean !== 'number') return NO_ANSWER;
  const { centsMean: cents, withinCents, levelSpreadDb: db } = measures;
  const statements: Statement[] = [
    { kind: 'steady', note: nameOf(written), cents, withinCents: withinCents ?? Math.abs(cents) },
  ];
  if (typeof db === 'number' && !hasFound(notes[0], 'unsteady')) statements.push({ kind: 'levelWithin', db });
  return { statements, tells: ['pitch'] };
};

/** From here on a change of a mean is said where it cannot be said by how much equal takes differ. */
const TELLING_CENTS = 5;
const TELLING_DB = 1.5;

/** The same notes before and after something: what changed by more than equal takes differ. */
export const compareAnswer: Answers = (takes) => {
  const notes = notesIn(takes);
  const half = (isAfter: boolean) => notes.filter(({ take }) => (takes[take].isAfter ?? false) === isAfter);
  const [before, after] = [half(false), half(true)];
  if (before.length === 0 || after.length === 0) return steadyAnswer(takes);
  const change = (figure: 'centsMean' | 'levelDb', telling: number) => {
    const [from, to] = [before, after].map((side) => measured(side, ({ measures }) => measures?.[figure]));
    if (from.length === 0 || to.length === 0) return null;
    const difference = mean(to) - mean(from);
    // Different notes differ by more than what is asked about.
    const isOneNote = new Set(notes.map(({ written }) => written.writtenMidi)).size === 1;
    const interval = isOneNote ? differenceOfMeans(from, to) : null;
    const isReal = interval ? interval.low > 0 || interval.high < 0 : Math.abs(difference) >= telling;
    return isReal ? difference : null;
  };
  const statements: Statement[] = [];
  const [cents, db] = [change('centsMean', TELLING_CENTS), change('levelDb', TELLING_DB)];
  if (cents !== null) statements.push({ kind: 'afterPitch', cents });
  if (db !== null) statements.push({ kind: 'afterLevel', db });
  if (statements.length === 0)
    statements.push({ kind: 'afterSame', before: before.length, after: after.length });
  return { statements, tells: ['pitch'] };
};
