import type { Task } from '@inner-hum/core/formats';
import { addOwnExercise } from './ownExercises.ts';
import { database } from './database.ts';
import { withKey } from './findTakes.ts';
import { isListed } from './listed.ts';
import type { TaskRecord } from './records.ts';
import { readSettings } from './settings.ts';

/** The tasks that are to be played, the one that is due first in front; then those that are done, the newest first. */
export async function listTasks(): Promise<TaskRecord[]> {
  const tasks = (await database().tasks.toArray()).filter(({ deletedAt }) => deletedAt === null);
  const due = ({ byDay }: TaskRecord) => byDay ?? '9999';
  return tasks.toSorted(
    (a, b) =>
      Number(a.doneAt !== null) - Number(b.doneAt !== null) ||
      (a.doneAt === null ? due(a).localeCompare(due(b)) : 0) ||
      b.createdAt - a.createdAt,
  );
}

/** Keeps a task: its own exercises come onto the shelf, its path is begun. Returns its id. */
export async function keepTask(task: Task, now: number): Promise<string> {
  const { from, note, byDay, path } = task;
  const id = crypto.randomUUID();
  const db = database();
  await db.transaction('rw', db.tasks, db.exercises, db.settings, async () => {
    const items: TaskRecord['items'] = [];
    for (const [i, item] of task.items.entries())
      items.push(
        'family' in item
          ? { family: item.family, choices: item.choices, exerciseId: null }
          : { family: null, choices: {}, exerciseId: await addOwnExercise(item.exercise, now + i) },
      );
    await db.tasks.add({ id, from, note, byDay, items, path, createdAt: now, doneAt: null, deletedAt: null });
    if (path) {
      const settings = await readSettings();
      const paths = { ...settings.paths, [path.id]: { step: path.step, since: now } };
      await db.settings.put({ ...settings, paths });
    }
  });
  return id;
}

/** Puts a task away as done, or (null) takes it up again. */
export async function finishTask(id: string, doneAt: number | null): Promise<void> {
  await database().tasks.update(id, { doneAt });
}

/** Takes a task away, or (null) gives it back. */
export async function deleteTask(id: string, deletedAt: number | null): Promise<void> {
  await database().tasks.update(id, { deletedAt });
}

/** How many takes of a task were played since it was given. */
export async function countTaskTakes(task: TaskRecord): Promise<number> {
  const counts = await Promise.all(
    shelfKeysOf(task).map((key) => withKey('shelf', key, task.createdAt).filter(isListed).count()),
  );
  return counts.reduce((sum, count) => sum + count, 0);
}

/** What the takes of a task are known by on the shelf. */
export const shelfKeysOf = ({ items }: Pick<TaskRecord, 'items'>): string[] => [
  ...new Set(items.flatMap(({ family, exerciseId }) => family ?? (exerciseId ? `own.${exerciseId}` : []))),
];
