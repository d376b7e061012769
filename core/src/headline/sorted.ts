import { shapeOf } from '../exercise/index.ts';
import type { FindingKind } from '../judge/index.ts';
import { NO_ANSWER, type Answers } from './answer.ts';
import { steadyAnswer } from './lines.ts';
import { hasFound, isCalm, JUMPED, most, nameOf, notesIn, type PlayedNote } from './played.ts';
import type { Statement } from './statement.ts';
import { swellAnswer } from './swells.ts';

/** How a note took its hairpin. */
export const SORTS = ['atOnce', 'withWork', 'notYet'] as const;
export type Sort = (typeof SORTS)[number];

/** It went to another partial, if only for a moment. */
const SLIPPED: readonly FindingKind[] = [...JUMPED, 'crack'];
/** With one of these a note does not hold through its hairpin yet. */
const BROKEN: readonly FindingKind[] = [
  ...SLIPPED,
  ...(['missed', 'wrongNote', 'onlySquawk', 'breath', 'gap', 'restart'] as const),
  ...(['hardlyGrew', 'hardlyFell', 'short'] as const),
];

/** At once: nothing stood out; with work: it held through; else not yet. */
export function sortOf(note: PlayedNote): Sort {
  if (note.measures === null || hasFound(note, ...BROKEN)) return 'notYet';
  return isCalm(note) ? 'atOnce' : 'withWork';
}

/** Whether a note slipped to another partial, or broke. */
export const hasSlipped = (note: PlayedNote) => hasFound(note, ...SLIPPED);

/** The notes with a hairpin; of one that was played again the last time. */
export function lastHairpins(notes: readonly PlayedNote[]): PlayedNote[] {
  const swelled = notes.filter(({ written }) => shapeOf(written) !== 'steady');
  const lastOf = ({ written }: PlayedNote) =>
    swelled.findLast((other) => other.written.writtenMidi === written.writtenMidi);
  return swelled.filter((note) => lastOf(note) === note);
}

/** Many notes with one hairpin each: how many took it at once, with work, not yet; and the one whose pitch went farthest. */
export const everyNoteAnswer: Answers = (takes) => {
  const notes = notesIn(takes);
  const last = lastHairpins(notes);
  if (last.length === 0) return steadyAnswer(takes);
  if (last.every(({ measures }) => measures === null)) return NO_ANSWER;
  if (last.length === 1) return swellAnswer(takes);
  const count = (sort: Sort) => last.filter((note) => sortOf(note) === sort).length;
  const statements: Statement[] = [
    {
      kind: 'sorted',
      atOnce: count('atOnce'),
      withWork: count('withWork'),
      notYet: count('notYet'),
      of: last.length,
    },
  ];
  const far = most(
    last.filter((note) => sortOf(note) !== 'notYet'),
    ({ measures }) => Math.abs(measures?.endToEndCents ?? 0),
  );
  if (typeof far?.measures?.endToEndCents === 'number')
    statements.push({
      kind: 'worstSwell',
      note: nameOf(far.written),
      cents: far.measures.endToEndCents,
      of: last.length,
    });
  return { statements, tells: [] };
};
