import { expect, it } from 'vitest';
import { familyById, type Choices, type Exercise, type FamilyId } from '@inner-hum/core/exercise';
import { hornById } from '@inner-hum/core/horn';
import type { TakeAnalysis } from '@inner-hum/core/judge';
import { afterTake, atPhrase, type Round } from './round.ts';

// What comes after a take: how long the rest is, and which phrase is next.

const exerciseOf = (id: FamilyId, choices: Choices = {}): Exercise => {
  const family = familyById(id);
  if (!family) throw new Error(id);
  return family.build(hornById('alto'), { tempoBpm: 60, ...choices });
};
const roundOf = (exercise: Exercise, count: number, index = 0): Round => ({
  exercise,
  record: null,
  index,
  count,
  tries: 0,
  ended: null,
  over: false,
});
const heard = (measures: Partial<TakeAnalysis['measures']> = {}, playedBeats?: number[]): TakeAnalysis =>
  ({ measures, ...(playedBeats && { playedBeats }) }) as unknown as TakeAnalysis;

it('rests as long as was played: as it is written in time, as it was in one’s own time', () => {
  const inTime = exerciseOf('returnToBottom', { start: 'countIn', beats: 4 });
  expect(afterTake(roundOf(inTime, 12), heard()).after).toEqual({ kind: 'rest', seconds: 12 });
  const ownTime = exerciseOf('returnToBottom', { start: 'ownTime', beats: 4 });
  expect(afterTake(roundOf(ownTime, 12), heard({}, [7, 3, 5.5])).after).toEqual({
    kind: 'rest',
    seconds: 15.5,
  });
});

it('rests the written beats where beats are written, whatever was played', () => {
  const cascade = exerciseOf('overtoneCascade');
  expect(afterTake(roundOf(cascade, 16), heard({}, [20, 20])).after).toEqual({ kind: 'rest', seconds: 4 });
});

it('rests after a hold as long as it held, at most as long as was asked', () => {
  const holds = exerciseOf('highHold', { beats: 12 });
  const after = (holdSeconds: number) =>
    afterTake(roundOf(holds, 3), heard({ holdSeconds, holdCause: 'pitch' }));
  expect(after(5).after).toEqual({ kind: 'rest', seconds: 5 });
  expect(after(30).after).toEqual({ kind: 'rest', seconds: 12 });
  // A hold that ends is no phrase that broke: the next one comes.
  expect(after(5).round.index).toBe(1);
});

it('tries a phrase that breaks three times, then moves on', () => {
  const strict: Exercise = { ...exerciseOf('returnToBottom'), onFault: 'stop' };
  let round = roundOf(strict, 4);
  const seen = Array.from({ length: 4 }, () => {
    round = afterTake(round, heard({ holdCause: 'gap' })).round;
    return round.index;
  });
  expect(seen).toEqual([0, 0, 1, 1]);
  expect(afterTake(roundOf(strict, 4), heard({ holdCause: 'completed' })).round.index).toBe(1);
});

it('is over after its last phrase, waits where that is written, and goes to no phrase that is not there', () => {
  const exercise = exerciseOf('returnToBottom');
  const last = afterTake(roundOf(exercise, 12, 11), heard());
  expect(last).toMatchObject({ after: { kind: 'over' }, round: { over: true, ended: 11, index: 11 } });
  const waits: Exercise = { ...exercise, rest: { kind: 'wait' } };
  expect(afterTake(roundOf(waits, 12), heard()).after).toEqual({ kind: 'wait' });
  expect(atPhrase(roundOf(exercise, 12), 40).index).toBe(11);
  expect(atPhrase(roundOf(exercise, 12), -3)).toMatchObject({ index: 0, tries: 0, ended: null });
});
