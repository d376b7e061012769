import type { TimedItem } from '../exercise/index.ts';
import type { JudgedNote } from './judgeNote.ts';
import { matchDb } from './match.ts';

/** Sounds of one pitch that are to match: each later one against the first of its phrase. */
export function matchNotes(score: readonly TimedItem[], judged: ReadonlyMap<number, JudgedNote>): void {
  for (const [index, { item, measures }] of judged) {
    if (!measures.profileDb || !item.judged?.includes('match')) continue;
    const first = [...judged].find(
      ([i, other]) =>
        i < index &&
        score[i].phrase === score[index].phrase &&
        other.item.writtenMidi === item.writtenMidi &&
        other.measures.profileDb,
    )?.[1].measures;
    if (!first?.profileDb) continue;
    const against = (from: number | null, to: number | null) =>
      from === null || to === null ? null : to - from;
    measures.matchDb = matchDb(first.profileDb, measures.profileDb);
    measures.matchCents = against(first.centsMean, measures.centsMean);
    measures.matchCentroidHarmonics = against(first.centroidHarmonics, measures.centroidHarmonics);
  }
}
