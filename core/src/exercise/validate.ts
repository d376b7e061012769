import * as yup from 'yup';
import { KEYS } from '../horn/index.ts';
import { CoreError } from '../signal/index.ts';
import { DYNAMIC_MARKS } from './dynamics.ts';
import {
  ATTACKS,
  BODIES,
  JUDGED,
  ORDERS,
  PACES,
  SILENT,
  VIBRATOS,
  type DynamicPoint,
  type Exercise,
  type NoteItem,
  type Phrase,
} from './exercise.ts';
import { MAJOR_KEYS } from './keys.ts';
import { playedItems } from './score.ts';
import {
  LEAST_BEATS,
  LEAST_MIDI,
  MOST_BEATS,
  MOST_ITEMS,
  MOST_MIDI,
  MOST_PLAYED,
  MOST_POINTS,
  MOST_WORD,
  MOST_NAME,
  MOST_PHRASES,
} from './limits.ts';
import { upgradeExercise } from './upgrade.ts';
import { USUAL_EXERCISE, USUAL_PHRASE } from './usual.ts';

/** An octave either way is more than anyone bends. */
const MOST_BEND_CENTS = 1200;
const MOST_REPEATS = 40;
/** Of what is wrong, in letters. */
const MOST_DETAIL = 200;
/** An hour is more than anyone gives one note. */
const MOST_SECONDS = 3600;

const midi = yup.number().integer().min(LEAST_MIDI).max(MOST_MIDI);
const lengthBeats = yup.number().required().min(LEAST_BEATS).max(MOST_BEATS);

const pointSchema = yup
  .object({
    beat: yup.number().required().min(0).max(MOST_BEATS),
    mark: yup.string().oneOf(DYNAMIC_MARKS).required(),
  })
  .noUnknown();

const dynamicsSchema = yup
  .array(pointSchema)
  .min(2)
  .max(MOST_POINTS)
  .test('span', '${path} must rise from beat 0 to the length of the note', (points, { parent }) => {
    if (points === undefined) return true;
    const beats = points.map(({ beat }) => beat);
    return (
      beats[0] === 0 &&
      beats.at(-1) === (parent as NoteItem).lengthBeats &&
      beats.every((beat, i) => i === 0 || beat > beats[i - 1])
    );
  });

/** Beats of points inside a note rise and do not pass its end. */
function insideNote(points: { beat: number }[] | undefined, parent: unknown): boolean {
  const { lengthBeats: length } = parent as NoteItem;
  return (points ?? []).every(
    ({ beat }, i, all) => beat >= 0 && beat <= length && (i === 0 || beat > all[i - 1].beat),
  );
}
const INSIDE = '${path} must rise from beat 0 on and stay inside the note';

const bendSchema = yup
  .array(
    yup
      .object({
        beat: yup.number().required(),
        cents: yup.number().required().min(-MOST_BEND_CENTS).max(MOST_BEND_CENTS),
      })
      .noUnknown(),
  )
  .min(2)
  .max(16)
  .optional()
  .test('inside', INSIDE, (points, { parent }) => insideNote(points, parent));

const wordsSchema = yup
  .array(
    yup
      .object({ beat: yup.number().required(), text: yup.string().trim().required().max(MOST_WORD) })
      .noUnknown(),
  )
  .max(32)
  .optional()
  .test('inside', INSIDE, (words, { parent }) => insideNote(words, parent));

const kindIs = (kind: string) => yup.string().oneOf([kind]).required();
const pitched = (kind: string) =>
  yup.object({ kind: kindIs(kind), writtenMidi: midi.required(), lengthBeats }).noUnknown();

const ITEMS = {
  note: yup
    .object({
      kind: kindIs('note'),
      writtenMidi: midi.required(),
      fingered: midi.nullable().default(null),
      keys: yup.array(yup.string().oneOf(KEYS).required()).max(KEYS.length).optional(),
      lengthBeats,
      open: yup.boolean().default(false),
      dynamics: dynamicsSchema,
      attack: yup.string().oneOf(ATTACKS).default('any'),
      judged: yup.array(yup.string().oneOf(JUDGED).required()).nullable().default(null),
      tone: yup.string().oneOf(['subtone']).optional(),
      vibrato: yup.string().oneOf(VIBRATOS).optional(),
      bend: bendSchema,
      words: wordsSchema,
    })
    .noUnknown(),
  rest: yup
    .object({
      kind: kindIs('rest'),
      lengthBeats,
      breath: yup.string().oneOf(['free', 'none']).default('free'),
    })
    .noUnknown(),
  air: pitched('air').shape({ words: wordsSchema }).noUnknown(),
  hum: pitched('hum'),
  hear: pitched('hear'),
  imagine: pitched('imagine'),
  free: yup.object({ kind: kindIs('free'), lengthBeats, fingered: midi.optional() }).noUnknown(),
} as const;

const isKind = (kind: unknown): kind is keyof typeof ITEMS => typeof kind === 'string' && kind in ITEMS;
const unknownItem = yup.object({ kind: yup.string().oneOf(Object.keys(ITEMS)).required() });

const restSchema = yup.lazy((rest: { kind?: unknown } | undefined): yup.Schema => {
  if (rest === undefined) return yup.mixed().optional();
  return rest?.kind === 'beats'
    ? yup.object({ kind: kindIs('beats'), beats: yup.number().required().min(0).max(MOST_BEATS) }).noUnknown()
    : yup.object({ kind: yup.string().oneOf(['asPlayed', 'beats', 'wait']).required() }).noUnknown();
});

const phraseSchema = yup
  .object({
    items: yup
      .array(
        yup.lazy((item: { kind?: unknown } | null): yup.Schema =>
          isKind(item?.kind) ? ITEMS[item.kind] : unknownItem,
        ),
      )
      .required()
      .min(1)
      .max(MOST_ITEMS)
      .test('sounds', '${path} must hold something to play', (items) =>
        (items as { kind: string }[] | undefined)?.some(({ kind }) => !SILENT.some((each) => each === kind)),
      ),
    breath: yup.string().oneOf(['one', 'free']).default(USUAL_PHRASE.breath),
    repeats: yup.number().integer().min(1).max(MOST_REPEATS).default(USUAL_PHRASE.repeats),
    forSeconds: yup.number().min(1).max(MOST_SECONDS).optional(),
    open: yup.boolean().oneOf([true]).optional(),
    rest: restSchema,
    key: yup.string().oneOf(MAJOR_KEYS).optional(),
  })
  .noUnknown();

const tempo = yup.number().min(20).max(300);
/** The door for exercises from files, addresses and storage. Messages name the place (`phrases[0].items[1].lengthBeats`). */
const exerciseSchema = yup
  .object({
    version: yup.number().oneOf([3]).required(),
    family: yup.string().max(40).nullable().default(null),
    name: yup.string().trim().min(1).max(MOST_NAME).optional(),
    shelfId: yup.string().min(1).max(40).optional(),
    body: yup.string().oneOf(BODIES).optional(),
    tempoBpm: tempo.required(),
    tempoRangeBpm: yup
      .array(tempo.required())
      .length(2)
      .nullable()
      .default(USUAL_EXERCISE.tempoRangeBpm)
      .test(
        'range',
        '${path} must hold the slowest and the fastest tempo, with tempoBpm between',
        (range, { parent }) => {
          const { tempoBpm } = parent as { tempoBpm: number };
          return !range || (range[0] <= tempoBpm && tempoBpm <= range[1]);
        },
      ),
    beatsPerBar: yup.number().required().integer().min(1).max(12),
    start: yup.string().oneOf(PACES).required(),
    order: yup.string().oneOf(ORDERS).default(USUAL_EXERCISE.order),
    rest: restSchema,
    onFault: yup.string().oneOf(['stop', 'finish']).default(USUAL_EXERCISE.onFault),
    overtones: yup.string().oneOf(['pure', 'tempered']).default(USUAL_EXERCISE.overtones),
    phrases: yup
      .array(phraseSchema)
      .required()
      .min(1)
      .max(MOST_PHRASES)
      .test(
        'played',
        `\${path} must hold at most ${MOST_PLAYED} items, repeats counted`,
        (phrases) => playedItems(phrases as Phrase[]) <= MOST_PLAYED,
      ),
  })
  .noUnknown();

/** One level throughout, where nothing is written. */
const evenly = (lengthBeats: number): DynamicPoint[] => [
  { beat: 0, mark: 'mf' },
  { beat: lengthBeats, mark: 'mf' },
];

/** A rest of its own is the only thing the schema cannot fill in by itself. */
const withRest = (value: unknown) =>
  typeof value === 'object' && value !== null
    ? { ...value, rest: 'rest' in value && value.rest !== undefined ? value.rest : USUAL_EXERCISE.rest }
    : value;

/** What is wrong stands at the beginning; values that are told with it may be as long as a file. */
const shortened = (detail: string) =>
  detail.length > MOST_DETAIL ? `${detail.slice(0, MOST_DETAIL)} …` : detail;

/**
 * Checks a value from outside and returns it as an exercise, complete: what may be left out is filled in, older versions
 * are brought up to date. Throws `exercise-invalid` naming the place.
 */
export function parseExercise(value: unknown): Exercise {
  try {
    const current = withRest(upgradeExercise(value));
    exerciseSchema.validateSync(current, { strict: true });
    const exercise = exerciseSchema.cast(current) as unknown as Exercise;
    for (const { items } of exercise.phrases)
      for (const item of items)
        if (item.kind === 'note' && (item.dynamics as DynamicPoint[] | undefined) === undefined)
          item.dynamics = evenly(item.lengthBeats);
    return exercise;
  } catch (error) {
    const detail = shortened(error instanceof Error ? error.message : String(error));
    throw new CoreError('exercise-invalid', detail, { name: 'exercise', values: { detail } });
  }
}
