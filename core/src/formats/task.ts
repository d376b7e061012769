import { Inflate, deflateSync, strFromU8, strToU8 } from 'fflate';
import {
  familyById,
  parseExercise,
  PATH_IDS,
  STEPS_OF_PATH,
  type Choices,
  type Exercise,
  type FamilyId,
  type PathId,
} from '../exercise/index.ts';
import { CoreError, type Reason } from '../signal/index.ts';
import { isDay } from './isDay.ts';
import { readJson } from './readJson.ts';

/** One thing to be played: a drill of the shelf with what was chosen of it, or an exercise of one's own. */
export type TaskItem = { family: FamilyId; choices: Choices } | { exercise: Exercise };

/** What a teacher gives along: exercises, a sheet of several, or a path; with a note, and by when. */
export interface Task {
  /** Who gives it, as they call themselves; may be empty. */
  from: string;
  note: string;
  /** `yyyy-MM-dd`; null: no day. */
  byDay: string | null;
  items: readonly TaskItem[];
  /** The step (from 0) on which a path begins. */
  path: { id: PathId; step: number } | null;
}

export const TASK_LIMITS = { from: 60, note: 500, items: 12, link: 2000 };
const FORMAT = 'inner-hum-task';
const VERSION = 1;
/** Letters of a link that is looked at, and bytes that may come of it. */
const MOST_LETTERS = 100_000;
const MOST_BYTES = 200_000;
const MOST_CHOICES = 40;
const MOST_WORD = 200;

const refuse = (sentence: string, name: Reason['name'], values: Reason['values'] = {}) =>
  new CoreError('task-unreadable', sentence, { name, values });

/** What is written of a task, whether into a file or a link. */
const documentOf = (task: Task) => ({ format: FORMAT, version: VERSION, ...task });

/** A task as text of a file. */
export const taskToText = (task: Task): string => JSON.stringify(documentOf(task), null, 1);

const isText = (value: unknown, most: number): value is string =>
  typeof value === 'string' && value.length <= most;

function parseChoices(value: unknown): Choices {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    throw refuse('choices must be an object', 'notTask');
  const entries = Object.entries(value);
  const isFit = entries.every(
    ([name, each]) => isText(name, 40) && (isText(each, MOST_WORD) || Number.isFinite(each)),
  );
  if (entries.length > MOST_CHOICES || !isFit) throw refuse('choices hold numbers and words', 'notTask');
  return Object.fromEntries(entries) as Choices;
}

function parseItem(value: unknown): TaskItem {
  const { family, choices, exercise } = (value ?? {}) as Record<string, unknown>;
  if (exercise !== undefined) {
    const read = parseExercise(exercise);
    // Where it lies on somebody else's shelf says nothing here.
    const { shelfId: _, ...own } = read;
    return { exercise: own };
  }
  const found = typeof family === 'string' ? familyById(family) : null;
  if (!found) throw refuse(`no drill is called ${String(family).slice(0, 40)}`, 'notTask');
  return { family: found.id, choices: parseChoices(choices ?? {}) };
}

function parsePath(value: unknown): Task['path'] {
  if (value === null || value === undefined) return null;
  const { id, step } = value as Record<string, unknown>;
  const path = PATH_IDS.find((each) => each === id);
  const isStep = typeof step === 'number' && Number.isInteger(step) && step >= 0 && step < STEPS_OF_PATH;
  if (!path || !isStep) throw refuse('there is no such step of a path', 'notTask');
  return { id: path, step };
}

/** Of two centuries. */
const isTaskDay = (value: unknown): value is string => isDay(value) && /^(199\d|20\d\d|21\d\d)-/.test(value);

/** Reads a task from what JSON held. Throws `task-unreadable`, or what its exercise is refused with. */
export function parseTask(value: unknown): Task {
  if (typeof value !== 'object' || value === null) throw refuse('a task is an object', 'notTask');
  const { format, version, from, note, byDay, items, path } = value as Record<string, unknown>;
  if (format !== FORMAT || typeof version !== 'number') throw refuse('this is no task', 'notTask');
  if (version > VERSION) throw refuse(`version ${version} is newer than ${VERSION}`, 'newer');
  if (!isText(from, TASK_LIMITS.from) || !isText(note, TASK_LIMITS.note))
    throw refuse('its note or name is no text, or too long', 'notTask');
  if (byDay !== null && !isTaskDay(byDay)) throw refuse('its day is none', 'notTask');
  if (!Array.isArray(items) || items.length > TASK_LIMITS.items)
    throw refuse(`it holds at most ${TASK_LIMITS.items} exercises`, 'notTask');
  const read = { from, note, byDay, items: items.map(parseItem), path: parsePath(path) };
  if (read.items.length === 0 && read.path === null) throw refuse('it holds nothing', 'empty');
  return read;
}

const toWebSafe = (base64: string) => base64.replaceAll('+', '-').replaceAll('/', '_').replaceAll('=', '');
const fromWebSafe = (text: string) => text.replaceAll('-', '+').replaceAll('_', '/');

/** A task as the fragment of an address: its version, a dot, and everything packed in letters that addresses keep. */
export function taskToFragment(task: Task): string {
  const packed = deflateSync(strToU8(JSON.stringify(documentOf(task))), {
    level: 9,
  });
  return `${VERSION}.${toWebSafe(btoa(String.fromCharCode(...packed)))}`;
}

/** Unpacks no more than a task can be. */
function unpack(packed: Uint8Array): Uint8Array {
  const parts: Uint8Array[] = [];
  let length = 0;
  const inflate = new Inflate((part) => {
    length += part.length;
    if (length > MOST_BYTES) throw refuse(`it unpacks to more than ${MOST_BYTES} bytes`, 'tooLarge');
    parts.push(part);
  });
  try {
    // Bit by bit: what would unpack to a thousand times as much is met early.
    for (let at = 0; at < packed.length; at += 256)
      inflate.push(packed.subarray(at, at + 256), at + 256 >= packed.length);
  } catch (error) {
    throw error instanceof CoreError ? error : refuse('it cannot be unpacked', 'damaged');
  }
  const all = new Uint8Array(length);
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  return all;
}

/** Reads the fragment of an address, with or without its `#`. Throws `task-unreadable` and what `parseTask` throws. */
export function taskFromFragment(fragment: string): Task {
  if (fragment.length > MOST_LETTERS) throw refuse('the link is longer than any task', 'tooLarge');
  const [, version, letters] = /^#?(\d{1,4})\.([\w-]*)$/.exec(fragment) ?? [];
  if (!letters) throw refuse('the link holds no task, or was cut', 'cutShort');
  if (Number(version) > VERSION) throw refuse(`version ${version} is newer than ${VERSION}`, 'newer');
  let bytes: Uint8Array;
  try {
    bytes = Uint8Array.from(atob(fromWebSafe(letters)), (letter) => letter.charCodeAt(0));
  } catch {
    throw refuse('the letters of the link are none', 'damaged');
  }
  return parseTask(readJson(strFromU8(unpack(bytes)), { length: MOST_BYTES, depth: 14 }));
}
