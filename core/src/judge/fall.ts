import { markFraction, type NoteItem, type TimedItem } from '../exercise/index.ts';
import type { JudgedNote } from './judgeNote.ts';

const firstMark = ({ dynamics }: NoteItem) => markFraction(dynamics[0].mark);
const lastMark = ({ dynamics }: NoteItem) => markFraction(dynamics[dynamics.length - 1].mark);

/**
 * fallDb: of the last note of every phrase that is written to fall from its first note to its last, how much softer it was than the first,
 * by their median levels in dB.
 */
export function measureFalls(score: readonly TimedItem[], judged: ReadonlyMap<number, JudgedNote>): void {
  for (const phrase of new Set(score.map((timed) => timed.phrase))) {
    const notes = score.flatMap(({ item, phrase: theirs }, index) =>
      item.kind === 'note' && theirs === phrase ? [{ item, note: judged.get(index) }] : [],
    );
    const [first, last] = [notes.at(0), notes.at(-1)];
    if (!first?.note || !last?.note || notes.length < 2) continue;
    const isFall = firstMark(first.item) > lastMark(first.item) && lastMark(first.item) > lastMark(last.item);
    const [from, to] = [first.note.measures.levelDb, last.note.measures.levelDb];
    if (isFall && from !== null && to !== null) last.note.measures.fallDb = from - to;
  }
}
