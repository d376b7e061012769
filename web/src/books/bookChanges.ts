import { eraseDatabase } from '../storage/index.ts';
import { nameApart, type Book } from './bookList.ts';
import { allBooks, databaseOf, LIST } from './books.ts';

/** What was put away can be had back for so long. */
const KEPT_DAYS = 30;

const write = (books: readonly Book[]) => localStorage.setItem(LIST, JSON.stringify(books));
const change = (id: string, changed: Partial<Book>) =>
  write(allBooks().map((book) => (book.id === id ? { ...book, ...changed } : book)));

/** A new book, told apart from those there are. */
export function addBook(name: string): Book {
  const books = allBooks();
  const book = { id: crypto.randomUUID().slice(0, 8), name: nameApart(name, books), removedAt: null };
  write([...books, book]);
  return book;
}

/** Names a book. */
export function nameBook(id: string, name: string): void {
  change(id, {
    name: nameApart(
      name,
      allBooks().filter((book) => book.id !== id),
    ),
  });
}

/** Puts a book away, or (null) takes it back. */
export const removeBook = (id: string, removedAt: number | null): void => change(id, { removedAt });

/** Erases books that were put away long ago. */
export async function purgeBooks(now: number): Promise<void> {
  const old = allBooks().filter(
    ({ removedAt }) => removedAt !== null && now - removedAt > KEPT_DAYS * 86_400_000,
  );
  for (const book of old) {
    await eraseDatabase(databaseOf(book));
    write(allBooks().filter(({ id }) => id !== book.id));
  }
}
