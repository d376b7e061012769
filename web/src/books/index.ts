// Players who share a device, each with a book: a database of its own.
export { MOST_BOOK_NAME, type Book } from './bookList.ts';
export { databaseOf, hasBooks, listBooks, openedBook, turnTo } from './books.ts';
export { addBook, nameBook, removeBook } from './bookChanges.ts';
