import { completeChoices, familyById } from '@inner-hum/core/exercise';
import { taskFromFragment, taskToFragment, taskToText, type Task } from '@inner-hum/core/formats';
import { hornById, HORN_IDS } from '@inner-hum/core/horn';
import { drillAddress } from '../addresses/index.ts';
import { ownAddress } from '../storage/index.ts';
import { bytesOf, isRead, textOf, type Door } from './door.ts';
import { EXERCISES } from './fileDoors.ts';
import { mutatedBytes } from './mutateBytes.ts';
import { readExercise } from './readExercise.ts';

const TASKS: Task[] = [
  {
    from: 'Ms. Hollunder',
    note: 'Listen to how it begins.',
    byDay: '2026-12-04',
    items: [
      { family: 'longHold', choices: { note: 62, beats: 8, tries: 2 } },
      { family: 'fullScales', choices: { key: 'Bb', tempoBpm: 80 } },
      { family: 'chromaticTones', choices: { notes: '65.67', shape: 'fade' } },
    ],
    path: { id: 'lowRegister', step: 2 },
  },
  { from: '', note: '', byDay: null, items: EXERCISES.map((exercise) => ({ exercise })), path: null },
];
const TEXTS = TASKS.map((task) => bytesOf(taskToText(task)));
const FRAGMENTS = TASKS.map((task) => bytesOf(taskToFragment(task)));

/** Text as the fragment that its sender would have made of it, whatever it says. */
function fragmentOf(text: string): string {
  try {
    return taskToFragment(JSON.parse(text) as Task);
  } catch {
    return '';
  }
}

function readTask({ items }: Task): void {
  for (const [i, item] of items.entries()) {
    if ('exercise' in item) {
      readExercise(item.exercise);
      continue;
    }
    const horn = hornById(HORN_IDS[i % HORN_IDS.length]);
    const family = familyById(item.family);
    const options = family?.options(horn);
    if (!family || !options) continue;
    readExercise(family.build(horn, completeChoices(options, item.choices)));
    const address = drillAddress(family, horn, item.choices);
    if (ownAddress(address) !== address) throw new Error(`${address} is not taken for its own`);
  }
}

/** Links of teachers: half of them changed letter by letter, half packed anew after what they say was changed. */
export const TASK_DOOR: Door = {
  name: 'link with a task',
  make: (random) =>
    Promise.resolve(
      random.uniform() < 0.3
        ? mutatedBytes(FRAGMENTS, random)
        : bytesOf(fragmentOf(textOf(mutatedBytes(TEXTS, random)))),
    ),
  open: (bytes) => isRead(() => readTask(taskFromFragment(textOf(bytes)))),
};
