import { expect, it } from 'vitest';
import { readSwell, swellSearch } from './swellAddress.ts';

it('reads an exercise from its address, and what is wrong there as the usual', () => {
  const read = (search: string) => readSwell(new URLSearchParams(search), 'alto');
  expect(read('')).toEqual({ note: 67, shape: 'growFade', beats: 8, tempoBpm: 60, start: 'playToStart' });
  expect(read('note=71&shape=fade&beats=12&tempoBpm=72&start=countIn')).toEqual(
    read(swellSearch(read('note=71&shape=fade&beats=12&tempoBpm=72&start=countIn'))),
  );
  expect(read('note=12.5&shape=spiral&beats=-1&tempoBpm=fast&start=now')).toEqual(read(''));
  // Low A is the baritone's alone.
  expect(read('note=57').note).toBe(58);
  expect(readSwell(new URLSearchParams('note=57'), 'baritone').note).toBe(57);
});
