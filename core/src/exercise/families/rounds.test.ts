import { expect, it } from 'vitest';
import { hornById } from '../../horn/index.ts';
import {
  exerciseUpTo,
  familyById,
  isOpenEnded,
  notesOf,
  parseExercise,
  phraseExercise,
  scoreOf,
} from '../index.ts';
import type { Choices, FamilyId } from '../index.ts';

const phraseOf = (id: FamilyId, choices: Choices) => {
  const family = familyById(id);
  if (!family) throw new Error(id);
  return phraseExercise(family.build(hornById('alto'), choices), 0);
};
const played = (id: FamilyId, choices: Choices) =>
  notesOf(scoreOf(phraseOf(id, choices))).map(({ item }) => [item.writtenMidi, item.attack] as const);

it('goes round in one breath, slurred, and holds over the note on which a round ends and the next begins', () => {
  const cascade = { note: 58, to: 58, partial: 2 } as const;
  const [upper, lower] = [70, 58];
  expect(played('overtoneCascade', { ...cascade, rounds: 'three' })).toEqual([
    [upper, 'any'],
    [lower, 'slurred'],
    [upper, 'slurred'],
    [lower, 'slurred'],
    [upper, 'slurred'],
    [lower, 'slurred'],
  ]);
  // Up and down again ends where it began: two rounds of three notes are five.
  expect(played('overtoneClimb', { note: 58, partial: 2, rounds: 'two' }).map(([midi]) => midi)).toEqual([
    lower,
    upper,
    lower,
    upper,
    lower,
  ]);
  expect(played('overtoneClimb', { note: 58, partial: 2 })).toHaveLength(3);
});

it('goes on until the player stops in the player’s own time only', () => {
  const open = phraseOf('overtoneCascade', { rounds: 'untilStop' });
  expect(open.start).toBe('ownTime');
  expect(isOpenEnded(open)).toBe(true);
  expect(parseExercise(JSON.parse(JSON.stringify(open)))).toEqual(open);
  expect(scoreOf(exerciseUpTo(open, 5))).toEqual(scoreOf(open).slice(0, 5));
  const inTime = phraseOf('overtoneCascade', { rounds: 'untilStop', start: 'playToStart' });
  expect(isOpenEnded(inTime)).toBe(false);
  expect(scoreOf(inTime)).toHaveLength(8);
});
