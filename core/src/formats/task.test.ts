import { deflateSync, strToU8 } from 'fflate';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { buildSwell, FAMILIES } from '../exercise/index.ts';
import { hornById, writtenMidi } from '../horn/index.ts';
import { CoreError } from '../signal/index.ts';
import { parseTask, TASK_LIMITS, taskFromFragment, taskToFragment, taskToText, type Task } from './task.ts';

const usual: Task = {
  from: 'Ms. Hollunder',
  note: 'Softly, and listen to the beginning. Grüße – 5 × täglich “leise”.',
  byDay: '2026-12-04',
  items: [
    { family: 'longHold', choices: { note: 60, beats: 16, tries: 2 } },
    { family: 'fullScales', choices: { key: 'Bb' } },
  ],
  path: null,
};
const own = buildSwell({
  note: writtenMidi(67),
  shape: 'growFade',
  beats: 8,
  tempoBpm: 60,
  start: 'playToStart',
});
const reasonOf = (work: () => unknown): string => {
  try {
    work();
  } catch (error) {
    expect(error).toBeInstanceOf(CoreError);
    const { reason, message } = error as CoreError;
    expect(message.length).toBeLessThan(300);
    return reason?.name ?? message;
  }
  return 'taken';
};
const packed = (value: unknown) =>
  `1.${btoa(String.fromCharCode(...deflateSync(strToU8(JSON.stringify(value)))))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '')}`;

it('is the same on the other side of a link and of a file, for any note, drill, exercise and path', () => {
  const words = fc.string({ unit: 'grapheme', maxLength: 100 });
  fc.assert(
    fc.property(
      words,
      words,
      fc.constantFrom(...FAMILIES.map(({ id }) => id)),
      fc.integer({ min: 58, max: 90 }),
      fc.boolean(),
      (from, note, family, midi, withOwn) => {
        const task: Task = {
          ...usual,
          from: from.slice(0, TASK_LIMITS.from),
          note: note.slice(0, TASK_LIMITS.note),
          items: [{ family, choices: { note: midi } }, ...(withOwn ? [{ exercise: own }] : [])],
          path: withOwn ? { id: 'lowRegister', step: 3 } : null,
        };
        // Halves of letters do not go through any text.
        const there = JSON.parse(JSON.stringify(task)) as Task;
        expect(parseTask(JSON.parse(taskToText(task)))).toEqual(there);
        if (!/\p{Surrogate}/u.test(task.from + task.note))
          expect(taskFromFragment(`#${taskToFragment(task)}`)).toEqual(there);
      },
    ),
    { numRuns: 100 },
  );
});

it('fits a sheet of twelve drills with a full note into two thousand letters', () => {
  const horn = hornById('tenor');
  const items = FAMILIES.filter((family) => family.options(horn))
    .slice(0, TASK_LIMITS.items)
    .map(({ id }, i) => ({ family: id, choices: { note: 58 + i, beats: 12, tries: 3, tempoBpm: 60 + i } }));
  const note = 'Listen for the beginning of every note; five minutes a day are enough. '.repeat(7);
  const fragment = taskToFragment({ ...usual, items, note });
  console.info(`twelve drills and a note of ${note.length} letters: a link of ${fragment.length} letters`);
  expect(fragment.length).toBeLessThan(TASK_LIMITS.link - 100);
  expect(fragment).toMatch(/^1\.[\w-]+$/);
});

it.each<[string, unknown, string]>([
  ['no task', { hello: 1 }, 'notTask'],
  ['null', null, 'notTask'],
  ['a later version', { ...usual, format: 'inner-hum-task', version: 2 }, 'newer'],
  ['nothing in it', { ...usual, items: [] }, 'empty'],
  ['a drill that is none', { ...usual, items: [{ family: 'juggling', choices: {} }] }, 'notTask'],
  ['choices that are a list', { ...usual, items: [{ family: 'swell', choices: [1] }] }, 'notTask'],
  ['choices with a list', { ...usual, items: [{ family: 'swell', choices: { note: [1] } }] }, 'notTask'],
  ['a note of a book', { ...usual, note: 'x'.repeat(501) }, 'notTask'],
  ['a name that is a number', { ...usual, from: 4 }, 'notTask'],
  ['a day that is none', { ...usual, byDay: '2026-13-41' }, 'notTask'],
  ['a day that its month does not have', { ...usual, byDay: '2026-02-30' }, 'notTask'],
  ['a day of another time', { ...usual, byDay: '3026-01-01' }, 'notTask'],
  ['thirteen drills', { ...usual, items: Array(13).fill(usual.items[0]) }, 'notTask'],
  ['a path that is none', { ...usual, path: { id: 'toTheMoon', step: 0 } }, 'notTask'],
  ['a step that is none', { ...usual, path: { id: 'firstTone', step: 6 } }, 'notTask'],
  ['an exercise that is none', { ...usual, items: [{ exercise: { version: 3 } }] }, 'exercise'],
])('refuses %s with a reason', (_, value, reason) => {
  const task = value === null ? null : { format: 'inner-hum-task', version: 1, ...(value as object) };
  if (reason === 'notTask' && task && 'hello' in task) Object.assign(task, { format: 'x' });
  expect(reasonOf(() => parseTask(task))).toBe(reason);
});

it('says of a link what is wrong with it: cut, damaged, foreign, a bomb', () => {
  const good = taskToFragment(usual);
  expect(reasonOf(() => taskFromFragment(''))).toBe('cutShort');
  expect(reasonOf(() => taskFromFragment('#/takes'))).toBe('cutShort');
  expect(reasonOf(() => taskFromFragment(good.slice(0, good.length / 2)))).not.toBe('taken');
  expect(reasonOf(() => taskFromFragment(`9${good}`))).toBe('newer');
  expect(reasonOf(() => taskFromFragment(`1.${'A'.repeat(200_000)}`))).toBe('tooLarge');
  // Five megabytes in a few thousand letters.
  expect(reasonOf(() => taskFromFragment(packed({ note: 'x'.repeat(5_000_000) })))).toBe('tooLarge');
  expect(reasonOf(() => taskFromFragment(packed('__proto__')))).toBe('notTask');
});

it('reads or refuses whatever stands there, in a moment', () => {
  const good = taskToFragment(usual);
  fc.assert(
    fc.property(fc.nat(good.length - 1), fc.string({ maxLength: 6 }), fc.nat(5), (at, put, cut) => {
      const changed = `${good.slice(0, at)}${put}${good.slice(at + cut)}`;
      expect(typeof reasonOf(() => taskFromFragment(changed))).toBe('string');
    }),
    { numRuns: 2000 },
  );
});
