import { useLiveQuery } from 'dexie-react-hooks';
import {
  countTakes,
  findTakes,
  newestTakes,
  readTakes,
  takeChoices,
  type TakeRecord,
} from '../../storage/index.ts';
import { holdsWords } from '../../notation/index.ts';
import { useRemembered } from '../../ui/index.ts';
import { isFiltered, type TakeFilter } from './takeFilter.ts';

export interface FoundTakes {
  /** How many there are at all, and how many the filter lets through. */
  count: number;
  found: number;
  /** The newest of them, newest first. */
  shown: TakeRecord[];
  /** What there are takes of: only that is offered. */
  choices: { notes: string[]; horns: string[] };
}

/** The takes that a filter lets through, of which so many are read; null at first, then the last ones until the next are there. */
export function useFoundTakes(filter: TakeFilter, most: number): FoundTakes | null {
  const { note, horn, day, words } = filter;
  const key = `takes ${[note, horn, day, words, most].join(' ')}`;
  return useRemembered(
    key,
    useLiveQuery(async () => ({ key, value: await readFound(filter, most) }), [key]),
  );
}

async function readFound(filter: TakeFilter, most: number): Promise<FoundTakes> {
  const [count, choices] = await Promise.all([countTakes(), takeChoices()]);
  if (!isFiltered(filter)) return { count, found: count, shown: await newestTakes(most), choices };
  const ids = await findTakes(choiceOf(filter));
  return { count, found: ids.length, shown: await readTakes(ids.slice(0, most)), choices };
}

/** The filter as the database takes it. */
export const choiceOf = ({ note, horn, day, words }: TakeFilter) => ({
  note,
  horn,
  day,
  holds: words.trim() === '' ? null : (playerNote: string) => holdsWords(playerNote, words),
});
