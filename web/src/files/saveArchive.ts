import { openedBook } from '../books/index.ts';
import { dayOf } from '../storage/index.ts';
import { downloadFile } from '../ui/index.ts';

/** Hands an archive over, under what it is, the book's name and the day's: books are told apart by their files too. */
export function saveArchive(archive: Blob, what = ''): void {
  // Some signs are none of a file's name.
  const book = openedBook()
    .name.replaceAll(/[^\p{L}\p{N} ._-]/gu, '')
    .trim();
  const name = ['inner-hum', what, book, dayOf(Date.now())].filter((part) => part !== '').join(' ');
  downloadFile(`${name}.zip`, archive, 'application/zip');
}
