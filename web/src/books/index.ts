// Players who share a device, each with a book: a database of its own.
export { MOST_BOOK_NAME, type Book } from './bookList.ts';
export {
  addBook,
  databaseOf,
  hasBooks,
  listBooks,
  nameBook,
  openedBook,
  purgeBooks,
  removeBook,
  turnTo,
} from './books.ts';
export { BookChoice } from './BookChoice.tsx';
