import { expect, it } from 'vitest';
import { nextTempo } from './nextTempo.ts';

it('steps through the tempi of a metronome and stops at its ends', () => {
  expect([nextTempo(60, 1), nextTempo(60, -1), nextTempo(61, 1), nextTempo(61, -1)]).toEqual([
    63, 58, 63, 60,
  ]);
  expect([nextTempo(200, 1), nextTempo(30, -1)]).toEqual([200, 30]);
});
