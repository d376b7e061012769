import { MOST_NAME, type Exercise } from '@inner-hum/core/exercise';
import { database } from './database.ts';
import type { OwnExercise } from './records.ts';

const UNDO_MS = 24 * 60 * 60 * 1000;

/** The player's own exercises, oldest first, without the deleted ones. */
export async function listOwnExercises(): Promise<OwnExercise[]> {
  const all = await database().exercises.orderBy('createdAt').toArray();
  return all.filter(({ deletedAt }) => deletedAt === null);
}

/** One of them, or null where there is none (any more). */
export async function readOwnExercise(id: string): Promise<OwnExercise | null> {
  const found = await database().exercises.get(id);
  return found && found.deletedAt === null ? found : null;
}

/** Puts an exercise on the shelf, under a new place of its own; returns that. */
export async function addOwnExercise(exercise: Exercise, now: number): Promise<string> {
  const id = crypto.randomUUID();
  // A name made of other names may have grown too long.
  const name = exercise.name?.slice(0, MOST_NAME).trim();
  const own = { ...exercise, ...(name && { name }), family: null, shelfId: id };
  await database().exercises.add({ id, exercise: own, createdAt: now, changedAt: now, deletedAt: null });
  return id;
}

export async function writeOwnExercise(id: string, exercise: Exercise, now: number): Promise<void> {
  await database().exercises.update(id, { exercise, changedAt: now });
}

/** Takes an exercise off the shelf. It stays whole for a day, so that undo is always possible. */
export async function deleteOwnExercise(id: string, now: number): Promise<void> {
  await database().exercises.update(id, { deletedAt: now });
}

export async function undoDeleteOwnExercise(id: string): Promise<void> {
  await database().exercises.update(id, { deletedAt: null });
}

/** Erases what was taken off more than a day ago. */
export async function purgeOwnExercises(now: number): Promise<void> {
  await database()
    .exercises.filter(({ deletedAt }) => deletedAt !== null && now - deletedAt > UNDO_MS)
    .delete();
}
