import { extentOf, familyById } from '@inner-hum/core/exercise';
import type { Horn } from '@inner-hum/core/horn';
import type { RoutineItem } from '@inner-hum/core/plan';
import type { PractisedNote } from '@inner-hum/core/practice';
import { lastRounds, listOwnExercises, shelfKey, type SettingsRecord } from '../storage/index.ts';

/** What is at hand on the Shelf, in the order it was put there: the player's own routine. When each was last played counts up to `before`, in ms, so that a sheet stays as it was planned. */
export async function readRoutine(
  { favourites }: Pick<SettingsRecord, 'favourites'>,
  horn: Horn,
  history: readonly PractisedNote[],
  before: number,
): Promise<RoutineItem[]> {
  const own = await listOwnExercises();
  const rounds = await lastRounds(before);
  return favourites.flatMap((key): RoutineItem[] => {
    const found = own.find(({ exercise }) => shelfKey(exercise) === key);
    if (found)
      return [
        {
          key,
          family: null,
          exerciseId: found.id,
          seconds: extentOf(found.exercise).seconds,
          lastAt: rounds.get(`/stand/own/${found.id}`) ?? null,
        },
      ];
    const family = familyById(key);
    if (!family?.options(horn)) return [];
    const last = history.reduce(
      (latest, note) => (note.family === family.id && note.at < before ? Math.max(latest, note.at) : latest),
      0,
    );
    return [
      {
        key,
        family: family.id,
        exerciseId: null,
        seconds: extentOf(family.build(horn)).seconds,
        lastAt: last === 0 ? null : last,
      },
    ];
  });
}
