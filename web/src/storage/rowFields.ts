import {
  DYNAMIC_MARKS,
  ITEM_KINDS,
  MAJOR_KEYS,
  MOST_PLAYED,
  parseExercise,
  playedItems,
  type Phrase,
} from '@inner-hum/core/exercise';
import { isDay } from '@inner-hum/core/formats';
import { HORN_IDS } from '@inner-hum/core/horn';
import { TOLERANCES } from '@inner-hum/core/judge';
import { TRIAL_ATTACKS } from '@inner-hum/core/trial';
import * as yup from 'yup';

// Fields that rows from outside have in common, as schemas.
/** An id is part of addresses and of names of files. */
export const id = yup
  .string()
  .matches(/^[\w.-]{1,80}$/)
  .required();
export const text = (most: number) => yup.string().max(most).defined();
/** From where a clock that was never set begins, to long after us. */
const LAST_MS = Date.UTC(2200, 0);
const LAST_DAY = '2200-01-01';
const FIRST_DAY = '1969-12-31';
const isStoredDay = (value: unknown) => isDay(value) && value >= FIRST_DAY && value <= LAST_DAY;
export const time = yup.number().required().min(0).max(LAST_MS);
export const timeOrNot = yup.number().min(0).max(LAST_MS).nullable().defined();
export const day = yup.string().required().test('day', '${path} must be a day', isStoredDay);
export const dayOrNot = yup
  .string()
  .nullable()
  .defined()
  .test('day', '${path} must be a day', (value) => value === null || isStoredDay(value));
export const horn = yup.string().oneOf(HORN_IDS).required();
export const finite = yup
  .number()
  .required()
  .test('finite', '${path} must be a finite number', (value) => Number.isFinite(value));
export const attack = yup.string().oneOf(TRIAL_ATTACKS).required();
export const numbers = yup.array(finite).max(20_000).required();
/** A number, or none. */
export const finiteOrNull = yup
  .number()
  .nullable()
  .defined()
  .test('finite', '${path} must be a finite number', (value) => value === null || Number.isFinite(value));
export const midi = yup.number().integer().min(0).max(127).required();
const decibels = finite.min(-200).max(60);
export const a4Hz = finite.min(200).max(1000);

/** Whether a value holds all that another one holds, and the same. */
function holdsAll(value: unknown, wanted: unknown): boolean {
  if (typeof wanted !== 'object' || wanted === null) return value === wanted;
  if (typeof value !== 'object' || value === null || Array.isArray(value) !== Array.isArray(wanted))
    return false;
  return Object.entries(wanted).every(
    ([name, inner]) => inner === undefined || holdsAll((value as Record<string, unknown>)[name], inner),
  );
}

export const exercise = yup
  .mixed()
  .required()
  .test('exercise', function isExercise(value) {
    try {
      // What the door of exercises would fill in must be there: rows are kept as they are.
      return holdsAll(value, parseExercise(value));
    } catch (error) {
      return this.createError({ message: `${this.path}: ${(error as Error).message}` });
    }
  });
/** An own exercise may not be playable yet; that it can be shown is enough. */
const UNPITCHED: readonly string[] = ['rest', 'free'];
/** Between phrases, as long as they were or so many beats, or until the player goes on. */
const drawnRest = yup
  .object({
    kind: yup.string().oneOf(['asPlayed', 'beats', 'wait']).required(),
    beats: yup
      .number()
      .min(0)
      .max(10_000)
      .when('kind', { is: 'beats', then: (schema) => schema.required() }),
  })
  .default(undefined);
export const draft = yup.object({
  name: yup.string().max(200).optional(),
  family: yup.string().max(40).nullable().defined(),
  rest: drawnRest.required(),
  tempoBpm: yup.number().min(1).max(1000).required(),
  beatsPerBar: yup.number().integer().min(1).max(64).required(),
  phrases: yup
    .array(
      yup.object({
        items: yup
          .array(
            yup.object({
              kind: yup.string().oneOf(ITEM_KINDS).required(),
              lengthBeats: yup.number().moreThan(0).max(10_000).required(),
              writtenMidi: midi.when('kind', {
                is: (kind: string) => !UNPITCHED.includes(kind),
                then: (schema) => schema.required(),
                otherwise: (schema) => schema.optional(),
              }),
              fingered: midi.nullable().when('kind', {
                is: 'note',
                then: (schema) => schema.defined(),
                otherwise: (schema) => schema.optional(),
              }),
              keys: yup.array(text(20)).optional(),
              judged: yup.array(text(20)).nullable().optional(),
              attack: text(20).optional(),
              bend: yup.array(yup.object({ beat: finite, cents: finite })).optional(),
              words: yup.array(yup.object({ beat: finite, text: text(200) })).optional(),
              dynamics: yup
                .array(yup.object({ beat: finite, mark: yup.string().oneOf(DYNAMIC_MARKS).required() }))
                .when('kind', { is: 'note', then: (schema) => schema.min(1).required() }),
            }),
          )
          .max(5000)
          .required(),
        repeats: yup.number().integer().min(1).max(1000).required(),
        rest: drawnRest.optional(),
        key: yup.string().oneOf(MAJOR_KEYS).optional(),
      }),
    )
    .max(1000)
    .required()
    .test(
      'played',
      `\${path} must hold at most ${MOST_PLAYED} items, repeats counted`,
      (phrases) => playedItems(phrases as unknown as Phrase[]) <= MOST_PLAYED,
    ),
});

export const scale = yup
  .object({ floorDb: decibels, ceilingDb: decibels })
  .required()
  .test('span', '${path} must span some decibels', ({ floorDb, ceilingDb }) => ceilingDb - floorDb >= 1);
export const context = yup
  .object({
    exercise,
    hornId: horn,
    a4Hz,
    scale,
    toleranceId: yup.string().oneOf(Object.keys(TOLERANCES)).required(),
    roomFloorDb: finiteOrNull,
    beatZeroSeconds: finiteOrNull,
  })
  .nullable()
  .defined();
/** What the player called, an end each. */
const side = yup.string().oneOf(['sharp', 'true', 'flat']).optional();
export const call = yup.object({ soft: side, loud: side, whole: side }).nullable().defined();
