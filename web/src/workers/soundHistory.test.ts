import { expect, it } from 'vitest';
import { SoundHistory } from './soundHistory.ts';

const RATE = 100;
const ramp = (from: number, count: number) => Float32Array.from({ length: count }, (_, i) => from + i);

it('gives back the newest minute by frame of the audio clock, across its own end', () => {
  const history = new SoundHistory(RATE);
  history.begin(5000);
  for (let n = 0; n < 9000; n += 90) history.append(ramp(5000 + n, 90));
  expect(history.end).toBe(14000);
  expect(history.start).toBe(14000 - 6200);
  expect(history.since(13990)).toEqual(ramp(13990, 10));
  expect(history.since(history.start)).toEqual(ramp(7800, 6200));
});

it('never reaches before its beginning, and keeps the end of what is longer than itself', () => {
  const history = new SoundHistory(RATE);
  history.begin(0);
  history.append(ramp(0, 30));
  expect([history.start, history.end]).toEqual([0, 30]);
  history.append(ramp(30, 20000));
  expect(history.end).toBe(20030);
  expect(history.since(20020)).toEqual(ramp(20020, 10));
});
