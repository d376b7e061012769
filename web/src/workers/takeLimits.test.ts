import { familyById, phraseExercise, type Choices } from '@inner-hum/core/exercise';
import { hornById } from '@inner-hum/core/horn';
import { expect, it } from 'vitest';
import { takeLimits } from './takeLimits.ts';

const limitsOf = (family: string, choices: Choices = {}) => {
  const exercise = familyById(family)?.build(hornById('alto'), choices);
  if (!exercise) throw new Error(family);
  return takeLimits(phraseExercise(exercise, 0), 'alto', 440);
};

it('waits in the player’s own time for as long as an interval is imagined, and not so long for a breath', () => {
  const imagined = limitsOf('intervalTones', { start: 'ownTime' });
  expect(imagined.follower).not.toBeNull();
  expect(imagined.silenceSeconds(3)).toBe(12);
  const breath = limitsOf('overtoneClimb', { start: 'ownTime', partial: 3 });
  expect(breath.silenceSeconds(3)).toBe(4);
});

it('ends in time soon after what is written, and waits inside it for a note that is missed', () => {
  const scale = limitsOf('fullScales', { key: 'C', start: 'countIn' });
  expect(scale.follower).toBeNull();
  const [inside, after] = [scale.silenceSeconds(1), scale.silenceSeconds(10_000)];
  expect(after).toBeCloseTo(1.2, 6);
  expect(inside).toBeGreaterThan(after - 1e-9);
  expect(inside).toBeLessThanOrEqual(12);
});

it('takes the air after the last note into the take', () => {
  const air = limitsOf('airThenNote');
  const note = limitsOf('longHold', { beats: 8 });
  expect(air.silenceSeconds(10_000)).toBeGreaterThan(note.silenceSeconds(10_000) + 1);
});
