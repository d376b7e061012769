import fc from 'fast-check';
import { expect, it } from 'vitest';
import { MOST_BOOK_NAME, nameApart, readBooks, type Book } from './bookList.ts';

const book = (id: string, name: string, removedAt: number | null = null): Book => ({ id, name, removedAt });

it('has a first book whatever is stored, and every other one once', () => {
  for (const stored of [null, '', '{', '[]', 'null', '{"id":""}', '[null, 3, {"id": 4}]'])
    expect(readBooks(stored)).toEqual([book('', '')]);
  const list = [book('a1', 'Ada'), book('', 'Bea'), book('a1', 'again'), book('../x', 'foreign')];
  expect(readBooks(JSON.stringify(list))).toEqual([book('', 'Bea'), book('a1', 'Ada')]);
  // The first one cannot be put away.
  expect(readBooks(JSON.stringify([book('', 'Bea', 5)]))).toEqual([book('', 'Bea')]);
  expect(readBooks(JSON.stringify([book('b', 'x'.repeat(41))]))).toHaveLength(1);
  fc.assert(
    fc.property(fc.jsonValue(), (value) => {
      const read = readBooks(JSON.stringify(value));
      expect(read[0].id).toBe('');
      expect(new Set(read.map(({ id }) => id)).size).toBe(read.length);
      expect(readBooks(JSON.stringify(read))).toEqual(read);
    }),
  );
});

it('tells books of one name apart, and takes a name again whose book was put away', () => {
  const books = [book('', 'Ada'), book('a', 'Ada 2'), book('b', 'Bea', 7)];
  expect(nameApart(' Ada ', books)).toBe('Ada 3');
  expect(nameApart('Bea', books)).toBe('Bea');
  expect(nameApart('Cem', books)).toBe('Cem');
  const long = nameApart('x'.repeat(200), [book('', 'x'.repeat(MOST_BOOK_NAME - 4))]);
  expect(long.length).toBeLessThanOrEqual(MOST_BOOK_NAME);
});
