import { expect, it } from 'vitest';
import { rowOfAddress } from './rowOfAddress.ts';

it.each([
  ['/takes/4f-1', { table: 'takes', id: '4f-1' }],
  ['/takes/round/r.2', { table: 'rounds', id: 'r.2' }],
  ['/shelf/own/e%201', { table: 'exercises', id: 'e 1' }],
  ['/stand/own/e1', { table: 'exercises', id: 'e1' }],
  ['/stand/trial/t1', { table: 'trials', id: 't1' }],
  ['/takes', null],
  ['/stand/drill/swell', null],
  ['/logbook/2026-03-14', null],
])('%s shows %j', (pathname, row) => {
  expect(rowOfAddress(pathname)).toEqual(row);
});
