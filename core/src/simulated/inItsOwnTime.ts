import { exerciseAsPlayed, exerciseUpTo, isOpenEnded, scoreOf, type Exercise } from '../exercise/index.ts';
import { createRandom } from '../signal/index.ts';

/** Nobody moves on after exactly what is written: each note and gap is held for so many times its usual length. */
const SHORTEST = 0.7;
const LONGEST = 1.7;
/** Of what goes on until it stops it plays this share. */
const STOPS_AFTER = 0.25;

/** An exercise in the player's own time as the simulated player takes its time; one in time as it is. */
export function inItsOwnTime(exercise: Exercise, seed: number): Exercise {
  if (exercise.start !== 'ownTime') return exercise;
  const random = createRandom(seed);
  const count = Math.ceil(exercise.phrases[0].items.length * STOPS_AFTER);
  const asked = isOpenEnded(exercise) ? exerciseUpTo(exercise, count) : exercise;
  return exerciseAsPlayed(
    asked,
    scoreOf(asked).map(({ item }) => item.lengthBeats * (SHORTEST + (LONGEST - SHORTEST) * random.uniform())),
  );
}
