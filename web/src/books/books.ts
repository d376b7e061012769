import { readBooks, type Book } from './bookList.ts';

// The list of books is known before any database is open, so it lies beside them. A tab stays in its book; a new one opens the last.

export const LIST = 'inner-hum-books';
const OPEN = 'inner-hum-book';
const DATABASE = 'inner-hum';

function canKeepList(): boolean {
  try {
    return localStorage.length >= 0;
  } catch {
    return false;
  }
}

/** Whether the server was started with demo data. */
export const isDemo =
  document.querySelector<HTMLMetaElement>('meta[name="inner-hum-mode"]')?.content === 'demo';

/** The demo has takes of its own and no books; where the browser keeps nothing there is one book alone. */
export const hasBooks = !isDemo && canKeepList();

/** Reads what the browser may refuse to give. */
function read(from: 'local' | 'session', key: string): string | null {
  try {
    return (from === 'local' ? localStorage : sessionStorage).getItem(key);
  } catch {
    return null;
  }
}

/** Every book, those put away too. */
export const allBooks = () => readBooks(read('local', LIST));
/** The books in use, the first one first. */
export const listBooks = (): Book[] => allBooks().filter(({ removedAt }) => removedAt === null);

/** The book this tab is in. */
export function openedBook(): Book {
  const books = listBooks();
  const id = read('session', OPEN) ?? read('local', OPEN);
  return books.find((book) => book.id === id) ?? books[0];
}

/** The database of a book. */
export const databaseOf = ({ id }: Pick<Book, 'id'>) => (id === '' ? DATABASE : `${DATABASE}-${id}`);

/** Stays in a book, in this tab and whenever the app is opened anew. */
function stayIn({ id }: Book) {
  sessionStorage.setItem(OPEN, id);
  localStorage.setItem(OPEN, id);
}

/** Turns to a book: everything is read anew, as all that is on screen is of the other one. */
export function turnTo(book: Book, address = '/'): void {
  stayIn(book);
  window.location.assign(address);
}
