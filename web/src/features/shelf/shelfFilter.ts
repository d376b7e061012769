import { PURPOSES, type Purpose } from '@inner-hum/core/exercise';
import type { Register } from '@inner-hum/core/horn';
import { rankOfWords } from '../../notation/index.ts';
import type { ShelfEntry } from '../../listing/index.ts';

export const ZONES: readonly Register[] = ['low', 'middle', 'high', 'palm'];
export const MINUTES = [3, 5, 10, 20] as const;
export const SHOWN = ['all', 'favourites', 'own'] as const;

/** What is looked for on the Shelf; an empty string is anything. */
export interface ShelfFilter {
  zone: Register | '';
  purpose: Purpose | '';
  /** At most so many minutes. */
  minutes: string;
  shown: (typeof SHOWN)[number];
  words: string;
}

export function readShelfFilter(search: URLSearchParams): ShelfFilter {
  const [zone, purpose, minutes, shown] = ['zone', 'purpose', 'minutes', 'shown'].map((name) =>
    search.get(name),
  );
  return {
    zone: ZONES.find((each) => each === zone) ?? '',
    purpose: PURPOSES.find((each) => each === purpose) ?? '',
    minutes: MINUTES.some((each) => String(each) === minutes) ? String(minutes) : '',
    shown: SHOWN.find((each) => each === shown) ?? 'all',
    words: (search.get('words') ?? '').slice(0, 60),
  };
}

export function shelfSearch({ shown, ...filter }: ShelfFilter): string {
  const set = Object.entries({ ...filter, shown: shown === 'all' ? '' : shown }).filter(
    ([, value]) => value !== '',
  );
  return new URLSearchParams(set).toString();
}

/** Whether an entry is what is looked for, whatever it says of itself. */
export function isWanted(entry: ShelfEntry, filter: ShelfFilter, favourites: readonly string[]): boolean {
  const { zone, purpose, minutes, shown } = filter;
  const extent = entry.written?.extent ?? null;
  return (
    (zone === '' || (extent?.registers.includes(zone) ?? false)) &&
    (purpose === '' || entry.purposes.includes(purpose)) &&
    (minutes === '' || (extent !== null && extent.seconds <= 60 * Number(minutes))) &&
    (shown !== 'favourites' || favourites.includes(entry.key)) &&
    (shown !== 'own' || entry.familyId === null)
  );
}

/** The entries that are looked for; by words what answers them best stands first. `textsOf`: what an entry says of itself, first what says most. */
export function wantedEntries(
  entries: readonly ShelfEntry[],
  filter: ShelfFilter,
  favourites: readonly string[],
  textsOf: (entry: ShelfEntry) => readonly string[],
): ShelfEntry[] {
  const wanted = entries.filter((entry) => isWanted(entry, filter, favourites));
  // Where no words are looked for nothing needs to be read.
  if (filter.words.trim() === '') return wanted;
  return wanted
    .flatMap((entry) => {
      const rank = rankOfWords(textsOf(entry), filter.words);
      return rank === null ? [] : [{ entry, rank }];
    })
    .toSorted((a, b) => a.rank - b.rank)
    .map(({ entry }) => entry);
}
