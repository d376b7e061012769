import { whyOf, type Why } from '@inner-hum/core/signal';
import { parseExercise } from '@inner-hum/core/exercise';
import { parseTask, readJson, taskToFragment } from '@inner-hum/core/formats';
import { addOwnExercise } from '../../storage/index.ts';

/** A file of exercises is never larger; what is, is something else. */
const MOST_BYTES = 2_000_000;
const MOST_EXERCISES = 500;

const isTask = (value: unknown) =>
  typeof value === 'object' && value !== null && 'format' in value && value.format === 'inner-hum-task';

/** What became of a file: how many were taken in, and which were refused and why. */
export type ImportAnswered =
  | { kind: 'taken'; count: number; refused: { index: number; why: Why }[] }
  | { kind: 'tooLarge' | 'tooMany' | 'notJson' | 'empty' }
  | { kind: 'refusedScore'; why: Why };
/** Or it is a task, which has a room of its own. */
export type ImportAnswer = ImportAnswered | { kind: 'task'; fragment: string };

/** Reads one exercise or a list of them from a file. What is sound is taken in; the rest is told, place by place. */
export async function importExercises(file: File): Promise<ImportAnswer> {
  if (file.size > MOST_BYTES) return { kind: 'tooLarge' };
  let value: unknown;
  try {
    value = readJson(await file.text(), { depth: 14 });
  } catch {
    return { kind: 'notJson' };
  }
  if (isTask(value))
    try {
      return { kind: 'task', fragment: taskToFragment(parseTask(value)) };
    } catch (error) {
      return { kind: 'taken', count: 0, refused: [{ index: 0, why: whyOf(error) }] };
    }
  const list: unknown[] = Array.isArray(value) ? value : [value];
  if (list.length > MOST_EXERCISES) return { kind: 'tooMany' };
  if (list.length === 0) return { kind: 'empty' };
  const refused: { index: number; why: Why }[] = [];
  let count = 0;
  for (const [index, each] of list.entries())
    try {
      await addOwnExercise(parseExercise(each), Date.now() + index);
      count++;
    } catch (error) {
      refused.push({ index, why: whyOf(error) });
    }
  return { kind: 'taken', count, refused };
}
