import { parseExercise } from '@inner-hum/core/exercise';
import { MAX_RATE_HZ, MIN_RATE_HZ } from '@inner-hum/core/hearing';
import { HORN_IDS } from '@inner-hum/core/horn';
import { AIMS } from '@inner-hum/core/plan';
import { TRIAL_ATTACKS } from '@inner-hum/core/trial';
import * as yup from 'yup';
import type { OwnTable } from './tables.ts';
import { CHECK_KINDS } from './gearRecords.ts';

/** An id is part of addresses and of names of files. */
const id = yup
  .string()
  .matches(/^[\w.-]{1,80}$/)
  .required();
const text = (most: number) => yup.string().max(most).defined();
const time = yup.number().required().min(0).max(8.64e15);
const timeOrNot = yup.number().nullable().defined();
const day = yup
  .string()
  .matches(/^\d{4}-\d{2}-\d{2}$/)
  .required();
const horn = yup.string().oneOf(HORN_IDS).required();
const finite = yup
  .number()
  .required()
  .test('finite', '${path} must be a finite number', (value) => Number.isFinite(value));
const attack = yup.string().oneOf(TRIAL_ATTACKS).required();
const numbers = yup.array(finite).max(20_000).required();

const exercise = yup
  .mixed()
  .required()
  .test('exercise', function isExercise(value) {
    try {
      parseExercise(value);
      return true;
    } catch (error) {
      return this.createError({ message: `${this.path}: ${(error as Error).message}` });
    }
  });
/** An own exercise may not be playable yet; that it can be shown is enough. */
const draft = yup.object({ phrases: yup.array(yup.object({ items: yup.array().required() })).required() });

const scale = yup.object({ floorDb: finite, ceilingDb: finite }).required();
const context = yup.object({ exercise, hornId: horn, a4Hz: finite, scale }).nullable().defined();
const analysis = yup
  .object({
    items: yup.array(yup.object({ kind: yup.string().required() })).required(),
    events: yup.array(yup.object({ type: yup.string().required() })).required(),
    measures: yup.object().required(),
    verdict: yup.object({ findings: yup.array().required() }).required(),
  })
  .nullable()
  .defined();

const CHECKS: Record<OwnTable, yup.ObjectSchema<yup.AnyObject>> = {
  // Its fields are looked at one by one when they are read.
  settings: yup.object({ id: yup.string().oneOf(['settings']).required() }),
  calibrations: yup.object({ id, madeAt: time }),
  takes: yup.object({
    id,
    state: yup.string().oneOf(['recording', 'kept']).required(),
    kind: yup.string().oneOf(['exercise', 'free', 'other']).required(),
    roundId: yup.string().max(80).nullable().defined(),
    phrase: yup.number().integer().min(0).required(),
    call: yup.object().nullable().defined(),
    startedAt: time,
    day,
    clock: yup
      .string()
      .matches(/^\d{2}:\d{2}$/)
      .required(),
    hornId: horn,
    a4Hz: finite,
    scale,
    source: yup.string().oneOf(['microphone', 'standIn']).required(),
    eyes: yup.string().oneOf(['watch', 'blind']).required(),
    sampleRateHz: yup.number().min(MIN_RATE_HZ).max(MAX_RATE_HZ).required(),
    lengthSeconds: yup.number().min(0).max(7200).required(),
    context,
    analysis,
    dueClickSeconds: numbers,
    foundClickSeconds: numbers,
    loudness: yup.object({ softDb: finite, loudDb: finite }).nullable().default(undefined).defined(),
    playingLoad: yup
      .object({ playedSeconds: finite, highSeconds: finite, loudSeconds: finite })
      .nullable()
      .default(undefined)
      .defined(),
    mouthpieceId: id,
    reedId: yup.string().max(80).defined(),
    reedKind: text(200),
    playerNote: text(20_000),
    recovered: yup.boolean().required(),
    deletedAt: timeOrNot,
  }),
  rounds: yup.object({ id, startedAt: time, hornId: horn, exercise, address: text(4000) }),
  exercises: yup.object({
    id,
    exercise: draft.required(),
    createdAt: time,
    changedAt: time,
    deletedAt: timeOrNot,
  }),
  mouthpieces: yup.object({ id, hornId: horn, name: text(200), createdAt: time }),
  highFingerings: yup.object({
    id: text(400),
    mouthpieceId: id,
    writtenMidi: yup.number().integer().min(40).max(110).required(),
    fingering: text(200),
    preferred: yup.boolean().required(),
    removed: yup.boolean().required(),
    changedAt: time,
  }),
  sheets: yup.object({
    day,
    minutes: yup.number().min(1).max(240).required(),
    aim: yup.string().oneOf(AIMS).required(),
    family: yup.string().max(40).required(),
    plannedAt: time,
    kept: yup.array(text(400)).required(),
    notToday: yup.array(text(400)).required(),
    done: yup.array(text(400)).required(),
  }),
  reeds: yup.object({
    id,
    hornId: horn,
    kind: text(200),
    name: text(200),
    createdAt: time,
    retiredAt: timeOrNot,
    remarks: yup
      .array(
        yup.object({
          at: time,
          how: yup.string().oneOf(['well', 'fair', 'badly']).required(),
          text: text(2000),
        }),
      )
      .required(),
  }),
  hornChecks: yup.object({
    id,
    hornId: horn,
    day,
    kind: yup.string().oneOf(CHECK_KINDS).required(),
    text: text(2000),
  }),
  dayNotes: yup.object({ day, text: text(20_000), temperatureC: yup.number().nullable().defined() }),
  performances: yup.object({
    takeId: id,
    profile: yup.object().required(),
    faults: yup.array().required(),
    seed: finite,
  }),
  trials: yup.object({
    id,
    hornId: horn,
    createdAt: time,
    question: yup.string().required(),
    measure: yup.string().required(),
    tone: yup.string().required(),
    writtenMidi: yup.number().required(),
    cues: yup.object({ a: text(200), b: text(200) }).required(),
    attacks: yup.object({ a: attack, b: attack }).required(),
    pairs: yup.number().integer().min(1).max(1000).required(),
    deletedAt: timeOrNot,
  }),
  aims: yup.object({
    id,
    hornId: horn,
    text: text(2000),
    goal: yup.object({ measure: yup.string().required(), scope: yup.object().required(), target: finite }),
    byDay: yup.string().nullable().defined(),
    createdAt: time,
    doneAt: timeOrNot,
  }),
};

/** What is wrong with a row of a table, in a sentence that names the field; null where every room can read it. */
export function faultOfRow(table: OwnTable, row: unknown): string | null {
  if (typeof row !== 'object' || row === null) return 'This is no row.';
  try {
    CHECKS[table].validateSync(row, { strict: true });
    return null;
  } catch (error) {
    return (error as Error).message;
  }
}
