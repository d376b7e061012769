import { expect, it } from 'vitest';
import { familyById, phraseExercise, scoreOf, type Exercise } from '@inner-hum/core/exercise';
import { hornById } from '@inner-hum/core/horn';
import { ownTimeBeats } from './ownTimeBeats.ts';

const exerciseOf = (family: string): Exercise => {
  const found = familyById(family);
  if (!found) throw new Error(family);
  return phraseExercise(found.build(hornById('alto'), { tempoBpm: 60 }), 0);
};
/** Lengths on the page after notes began at these frames, so many seconds from beat 0. */
const page = (family: string, began: (number | null)[], nowSeconds: number) => {
  const exercise = exerciseOf(family);
  return ownTimeBeats(exercise, scoreOf(exercise), { began }, 0, nowSeconds);
};

it('shows what is over as it was played, the present note as long as it lasts, the rest as written', () => {
  expect(page('overtoneClimb', [], 0)).toEqual([2, 2, 2, 2, 2, 2, 2]);
  expect(page('overtoneClimb', [0, 500], 5.3)).toEqual([5, 2, 2, 2, 2, 2, 2]);
  expect(page('overtoneClimb', [0, 500], 9)).toEqual([5, 4.5, 2, 2, 2, 2, 2]);
});

it('gives a note that was left out hardly any room, and a rest what is written where there is room', () => {
  const [first, left, third] = page('overtoneClimb', [0, null, 300], 3.2);
  expect(left).toBeCloseTo(0.1, 6);
  expect(first + left).toBeCloseTo(3, 6);
  expect(third).toBe(2);
  // A gap of two beats between two notes that began six apart, and one apart.
  expect(page('overtoneHits', [0, 600], 6.2).slice(0, 2)).toEqual([4, 2]);
  const [note, gap] = page('overtoneHits', [0, 100], 1.2);
  expect(note + gap).toBeCloseTo(1, 6);
  expect(Math.min(note, gap)).toBeGreaterThan(0);
});
