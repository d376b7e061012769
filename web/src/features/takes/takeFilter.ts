/** Which takes are listed; empty strings let everything through. It lives in the address. */
export interface TakeFilter {
  /** Written MIDI number, or `free` for free playing. */
  note: string;
  horn: string;
  /** `yyyy-MM-dd`. */
  day: string;
  /** Words that must all stand in the player's note, in any order. */
  words: string;
}

const NAMES = ['note', 'horn', 'day', 'words'] as const;
/** Longer searches are cut: no note is found by them. */
const MOST_LETTERS = 100;

export function readFilter(search: URLSearchParams): TakeFilter {
  const [note, horn, day, words] = NAMES.map((name) => (search.get(name) ?? '').slice(0, MOST_LETTERS));
  return { note, horn, day, words };
}

export function filterSearch(filter: TakeFilter): string {
  return new URLSearchParams(
    NAMES.flatMap((name) => (filter[name] ? [[name, filter[name]]] : [])),
  ).toString();
}

export const isFiltered = (filter: TakeFilter) => NAMES.some((name) => filter[name] !== '');
