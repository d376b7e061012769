import { exerciseAsPlayed, scoreOf, type Exercise } from '../exercise/index.ts';
import { createRandom } from '../signal/index.ts';

/** Nobody moves on after exactly what is written: each note and gap is held for so many times its usual length. */
const SHORTEST = 0.7;
const LONGEST = 1.7;

/** An exercise in the player's own time as the simulated player takes its time; one in time as it is. */
export function inItsOwnTime(exercise: Exercise, seed: number): Exercise {
  if (exercise.start !== 'ownTime') return exercise;
  const random = createRandom(seed);
  return exerciseAsPlayed(
    exercise,
    scoreOf(exercise).map(
      ({ item }) => item.lengthBeats * (SHORTEST + (LONGEST - SHORTEST) * random.uniform()),
    ),
  );
}
