import { JUDGED, type Judged, type NoteItem } from '../exercise/index.ts';

/** Judged of a note only where it says so. */
const ONLY_ASKED: ReadonlySet<Judged> = new Set(['colour', 'match']);

/** What a note is judged by, less some of it. */
export const judgedWithout = ({ judged }: NoteItem, less: ReadonlySet<Judged>): Judged[] =>
  (judged ?? JUDGED.filter((each) => !ONLY_ASKED.has(each))).filter((each) => !less.has(each));
