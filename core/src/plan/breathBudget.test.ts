import { expect, it } from 'vitest';
import { familyById } from '../exercise/index.ts';
import { hornById } from '../horn/index.ts';
import { reachedWith } from '../stats/index.ts';
import { holdOf, proposeTempo, type Hold } from './index.ts';

const ended = (seconds: number) => ({ seconds, censored: false });
const completed = (seconds: number) => ({ seconds, censored: true });

it('estimates how long a breath lasts by the product limit', () => {
  // Freireich's 6-MP group (Gehan 1965), times in weeks: S falls to 0.857 at 6, 0.807 at 7, 0.753 at 10.
  const failed = [6, 6, 6, 7, 10, 13, 16, 22, 23].map(ended);
  const still = [6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35].map(completed);
  const all = [...failed, ...still];
  expect(reachedWith(0.8, all)).toEqual({ seconds: 10, isLowerBound: false });
  expect(reachedWith(0.81, all)).toEqual({ seconds: 7, isLowerBound: false });
  // Its median is 23.
  expect(reachedWith(0.5, all)).toEqual({ seconds: 23, isLowerBound: false });
  expect(reachedWith(0.8, [completed(8), completed(12)])).toEqual({ seconds: 12, isLowerBound: true });
  expect(reachedWith(0.8, [])).toBeNull();
});

const family = familyById('quietDescent');
if (!family) throw new Error('no descent');
const descent = family.build(hornById('alto'));
const low = (seconds: number, censored = false): Hold => ({
  seconds,
  censored,
  register: 'low',
  dynamic: 'soft',
});

it('raises the tempo of a descent to what the breath allows, within its own range, and no further', () => {
  // 28 beats at 80 take 21 s. Of five holds, four reach 17 s: 28 x 60 / 17 = 98.8.
  const holds = [13, 17, 19, 20, 22].map((seconds) => low(seconds));
  expect(proposeTempo(descent, holds)).toMatchObject({
    tempoBpm: 99,
    likelySeconds: 17,
    holds: 5,
    fits: true,
    askedSeconds: 21,
  });
  expect(
    proposeTempo(
      descent,
      [24, 25, 26].map((seconds) => low(seconds)),
    ),
  ).toMatchObject({ tempoBpm: 80, fits: true });
  expect(
    proposeTempo(
      descent,
      [8, 9, 10].map((seconds) => low(seconds)),
    ),
  ).toMatchObject({ tempoBpm: 120, fits: false });
  // High notes need less air: they count only while the low ones are too few.
  const high = [30, 30, 30, 30].map((seconds): Hold => ({ ...low(seconds), register: 'high' }));
  expect(proposeTempo(descent, [...holds, ...high])).toMatchObject({ tempoBpm: 99 });
  expect(proposeTempo(descent, holds.slice(0, 2))).toBeNull();
  expect(proposeTempo({ ...descent, tempoRangeBpm: null }, holds)).toBeNull();
});

it('takes a completed hold for a lower bound, and one that was stopped or failed for its end', () => {
  const of = (holdSeconds: number, holdCause: 'completed' | 'pitch') =>
    holdOf(descent, { measures: { holdSeconds, holdCause } as Parameters<typeof holdOf>[1]['measures'] });
  expect(of(20.8, 'completed')).toEqual({ seconds: 20.8, censored: true, register: 'low', dynamic: 'soft' });
  expect(of(14, 'completed')).toMatchObject({ censored: false });
  expect(of(12, 'pitch')).toMatchObject({ seconds: 12, censored: false });
  expect(
    holdOf(
      { ...descent, phrases: [{ ...descent.phrases[0], breath: 'free' }] },
      { measures: { holdSeconds: 9, holdCause: 'pitch' } as Parameters<typeof holdOf>[1]['measures'] },
    ),
  ).toBeNull();
});
