import { DYNAMIC_MARKS, shapeOf, type NoteItem } from '../exercise/index.ts';
import { NO_ANSWER, type Answers } from './answer.ts';
import { hasFound, isCalm, most, nameOf, notesIn, type PlayedNote } from './played.ts';
import { SAME_DB, type Statement } from './statement.ts';

const size = ({ measures }: PlayedNote) =>
  typeof measures?.endToEndCents === 'number' ? Math.abs(measures.endToEndCents) : null;
/** It hardly moved: what the pitch did from soft to loud is then no answer. */
const hardlyMoved = (note: PlayedNote) => hasFound(note, 'hardlyGrew', 'hardlyFell');
const isHairpin = ({ written }: PlayedNote) => shapeOf(written) !== 'steady';

/** The softest and the loudest mark of a note. */
function softAndLoud({ dynamics }: NoteItem) {
  const marks = dynamics
    .map(({ mark }) => mark)
    .toSorted((a, b) => DYNAMIC_MARKS.indexOf(a) - DYNAMIC_MARKS.indexOf(b));
  return { from: marks[0], to: marks[marks.length - 1] };
}

/** One hairpin: how wide it was, and what the pitch did from soft to loud. Of several the one whose pitch went farthest. */
export const swellAnswer: Answers = (takes) => {
  const notes = notesIn(takes).filter(isHairpin);
  const told = most(
    notes.filter((note) => !hardlyMoved(note)),
    size,
  );
  if (!told?.measures || told.measures.dynamicSpanDb === null) return NO_ANSWER;
  const { endToEndCents, dynamicSpanDb } = told.measures;
  const statements: Statement[] = [
    { kind: 'swell', ...softAndLoud(told.written), spanDb: dynamicSpanDb, cents: endToEndCents ?? 0 },
  ];
  if (isCalm(told)) statements.push({ kind: 'even' });
  return { statements, tells: [] };
};

/** Hairpins note after note: the one whose pitch went farthest is told by its name. */
export const swellsAnswer: Answers = (takes) => {
  const notes = notesIn(takes).filter(isHairpin);
  const swelled = notes.filter((note) => !hardlyMoved(note) && size(note) !== null);
  const told = most(swelled, size);
  if (typeof told?.measures?.endToEndCents !== 'number') return NO_ANSWER;
  const statements: Statement[] = [
    {
      kind: 'worstSwell',
      note: nameOf(told.written),
      cents: told.measures.endToEndCents,
      of: swelled.length,
    },
  ];
  if (notes.every(isCalm)) statements.push({ kind: 'even' });
  return { statements, tells: [] };
};

/** How much softer the last note of a descent is than its first. */
export const descentAnswer: Answers = (takes) => {
  const notes = notesIn(takes.slice(-1));
  const first = notes.at(0);
  const last = notes.at(-1);
  const fallDb = fallOf(notes);
  if (!first || !last || fallDb === null) return NO_ANSWER;
  const statements: Statement[] = [
    { kind: 'fall', note: nameOf(last.written), fallDb, under: nameOf(first.written) },
  ];
  const broken = notes.some((note) => hasFound(note, 'breath', 'gap', 'slurGap', 'restart'));
  if (!broken && fallDb >= SAME_DB) statements.push({ kind: 'unbroken' });
  return { statements, tells: [] };
};

/** fallDb: how much softer the last note of a phrase was than its first, in dB (+ is softer); null where one of them was not heard. */
export function fallOf(notes: readonly PlayedNote[]): number | null {
  const [from, to] = [notes.at(0)?.measures?.levelDb, notes.at(-1)?.measures?.levelDb];
  return notes.length < 2 || typeof from !== 'number' || typeof to !== 'number' ? null : from - to;
}
