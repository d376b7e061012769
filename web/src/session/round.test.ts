import { expect, it } from 'vitest';
import {
  familyById,
  placeInRound,
  playedPhrases,
  playingSeconds,
  type Choices,
  type Exercise,
  type FamilyId,
} from '@inner-hum/core/exercise';
import { hornById } from '@inner-hum/core/horn';
import type { TakeAnalysis } from '@inner-hum/core/judge';
import { afterTake as afterTakeAt, atPhrase, type Round } from './round.ts';

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
  sinceSeconds: null,
  tries: 0,
  ended: null,
  over: false,
});
/** Where the time of a take does not matter. */
const afterTake = (round: Round, analysis: TakeAnalysis) =>
  afterTakeAt(round, analysis, { startSeconds: 0, nowSeconds: 1 });
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

it('repeats a note until its share of the time is over, then goes on to the next, and ends with the last', () => {
  const zones = exerciseOf('threeZones', { notes: '60.71', minutes: 1, beats: 8 });
  const phrases = playedPhrases(zones);
  let round = roundOf(zones, phrases.length);
  const held = heard({ holdSeconds: 8, holdCause: 'completed' });
  const notes: number[] = [];
  let over = false;
  // Each hold takes eight seconds, and each rest as long: 0, 16, 32 s; after the third one the half minute is over.
  for (let at = 100; !over && notes.length < 20; at += 16) {
    const [item] = phrases[round.index].items;
    if (item.kind === 'note') notes.push(item.writtenMidi);
    const { round: next, after } = afterTakeAt(round, held, { startSeconds: at, nowSeconds: at + 8 });
    round = next;
    over = after.kind === 'over';
  }
  expect(notes).toEqual([60, 60, 60, 71, 71, 71]);
  expect(round).toMatchObject({ over: true, sinceSeconds: null });
});

it('counts repeats that go on for a time as one place of the round', () => {
  const zones = exerciseOf('threeZones', { notes: '60.71.87', minutes: 3 });
  expect(placeInRound(zones, 0)).toEqual({ place: 1, count: 3 });
  expect(placeInRound(zones, 39)).toEqual({ place: 1, count: 3 });
  expect(placeInRound(zones, 40)).toEqual({ place: 2, count: 3 });
  expect(placeInRound(exerciseOf('longHold', { tries: 4 }), 2)).toEqual({ place: 3, count: 4 });
  expect(playingSeconds(zones)).toBe(180);
});
