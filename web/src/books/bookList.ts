/** A player's book: everything of one player, in a database of its own. The first one has an empty id. */
export interface Book {
  id: string;
  /** As its player calls it; empty: not named yet. */
  name: string;
  /** When it was put away, in ms; null: it is in use. */
  removedAt: number | null;
}

export const MOST_BOOK_NAME = 40;
const MOST_BOOKS = 100;
const FIRST: Book = { id: '', name: '', removedAt: null };

const isBook = (value: unknown): value is Book => {
  if (typeof value !== 'object' || value === null) return false;
  const { id, name, removedAt } = value as Record<string, unknown>;
  return (
    typeof id === 'string' &&
    /^[a-z0-9]{0,12}$/.test(id) &&
    typeof name === 'string' &&
    name.length <= MOST_BOOK_NAME &&
    (removedAt === null || typeof removedAt === 'number')
  );
};

/** Reads a stored list; whatever is wrong in it, the first book is there, and every book is there once. */
export function readBooks(stored: string | null): Book[] {
  let list: unknown;
  try {
    list = JSON.parse(stored ?? '[]');
  } catch {
    list = [];
  }
  const books = (Array.isArray(list) ? list.filter(isBook) : []).map(({ id, name, removedAt }) => ({
    id,
    name,
    removedAt,
  }));
  const first = books.find(({ id }) => id === FIRST.id) ?? FIRST;
  const others = books.filter(({ id }, i) => id !== '' && books.findIndex((book) => book.id === id) === i);
  // The first one cannot be put away: it is what there is without a list.
  return [{ ...first, removedAt: null }, ...others].slice(0, MOST_BOOKS);
}

/** A name that no other book has: a second one of a name gets a number. */
export function nameApart(name: string, books: readonly Book[]): string {
  const trimmed = name.trim().slice(0, MOST_BOOK_NAME - 4);
  const isTaken = (wanted: string) => books.some((book) => book.name === wanted && book.removedAt === null);
  for (let number = 1; ; number++) {
    const wanted = number === 1 ? trimmed : `${trimmed} ${number}`;
    if (!isTaken(wanted)) return wanted;
  }
}
