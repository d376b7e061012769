import { buildSwell } from '@inner-hum/core/exercise';
import type { Task } from '@inner-hum/core/formats';
import { writtenMidi } from '@inner-hum/core/horn';
import { beforeEach, expect, it } from 'vitest';
import {
  database,
  deleteTask,
  finishTask,
  keepTask,
  listOwnExercises,
  listTasks,
  readSettings,
  shelfKeysOf,
} from './index.ts';
import { emptyDatabaseInTests } from './emptyDatabaseInTests.ts';

beforeEach(emptyDatabaseInTests);

const task = (change: Partial<Task> = {}): Task => ({
  from: 'the teacher',
  note: 'softly',
  byDay: null,
  items: [{ family: 'longHold', choices: { note: writtenMidi(60) } }],
  path: null,
  ...change,
});
const exercise = buildSwell({
  note: writtenMidi(67),
  shape: 'growFade',
  beats: 8,
  tempoBpm: 60,
  start: 'playToStart',
});

it('keeps a task whole: its own exercises lie on the shelf, its path is begun, and each is found by its takes', async () => {
  await keepTask(
    task({
      items: [{ family: 'longHold', choices: { note: writtenMidi(60) } }, { exercise }],
      path: { id: 'lowRegister', step: 2 },
    }),
    1000,
  );
  const [kept] = await listTasks();
  const [own] = await listOwnExercises();
  expect(kept.items.map(({ family }) => family)).toEqual(['longHold', null]);
  expect(kept.items[1].exerciseId).toBe(own.id);
  expect(shelfKeysOf(kept)).toEqual(['longHold', `own.${own.id}`]);
  expect((await readSettings()).paths).toEqual({ lowRegister: { step: 2, since: 1000 } });
});

it('lists what is due first, then what is done; a task that was taken away comes back', async () => {
  const ids = [
    await keepTask(task({ note: 'no day' }), 1),
    await keepTask(task({ note: 'later', byDay: '2026-12-24' }), 2),
    await keepTask(task({ note: 'soon', byDay: '2026-12-01' }), 3),
    await keepTask(task({ note: 'done' }), 4),
  ];
  await finishTask(ids[3], 5);
  const notes = async () => (await listTasks()).map(({ note }) => note);
  expect(await notes()).toEqual(['soon', 'later', 'no day', 'done']);
  await deleteTask(ids[1], 6);
  expect(await notes()).toEqual(['soon', 'no day', 'done']);
  await deleteTask(ids[1], null);
  expect(await notes()).toHaveLength(4);
});

it('keeps nothing of a task that cannot be kept whole', async () => {
  await database().tasks.toArray();
  const broken = { ...task(), items: [{ exercise }, null] } as unknown as Task;
  await expect(keepTask(broken, 1)).rejects.toThrow();
  expect(await listOwnExercises()).toEqual([]);
  expect(await listTasks()).toEqual([]);
});
