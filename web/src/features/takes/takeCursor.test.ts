import { expect, it } from 'vitest';
import { createTakeCursor } from './takeCursor.ts';

it('is nowhere until it is moved, and says so to who listens, once a place', () => {
  const cursor = createTakeCursor();
  expect(cursor.seconds()).toBeNull();
  const seen: (number | null)[] = [];
  const stop = cursor.onMove(() => seen.push(cursor.seconds()));
  cursor.move(1.5);
  cursor.move(1.5);
  cursor.move(0);
  stop();
  cursor.move(3);
  expect(seen).toEqual([1.5, 0]);
  expect(cursor.seconds()).toBe(3);
});
