import { parseExercise, DYNAMIC_MARKS, scoreOf, type Exercise } from '@inner-hum/core/exercise';
import { MAX_RATE_HZ, MIN_RATE_HZ } from '@inner-hum/core/hearing';
import { HORN_IDS } from '@inner-hum/core/horn';
import { analysisFault, TOLERANCES, type TakeAnalysis } from '@inner-hum/core/judge';
import { AIMS } from '@inner-hum/core/plan';
import { TREND_MEASURES, ZONES } from '@inner-hum/core/practice';
import { MOST_PAIRS, QUESTIONS, TRIAL_ATTACKS, TRIAL_MEASURES, TRIAL_TONES } from '@inner-hum/core/trial';
import * as yup from 'yup';
import { ownAddress } from './ownAddress.ts';
import type { OwnTable } from './tables.ts';
import { CHECK_KINDS } from './gearRecords.ts';

/** An id is part of addresses and of names of files. */
const id = yup
  .string()
  .matches(/^[\w.-]{1,80}$/)
  .required();
const text = (most: number) => yup.string().max(most).defined();
/** From where a clock that was never set begins, to long after us. */
const LAST_MS = Date.UTC(2200, 0);
const LAST_DAY = '2200-01-01';
const FIRST_DAY = '1969-12-31';
const isDay = (value: unknown) =>
  typeof value === 'string' &&
  /^\d{4}-\d{2}-\d{2}$/.test(value) &&
  value >= FIRST_DAY &&
  value <= LAST_DAY &&
  new Date(`${value}T00:00Z`).toISOString().startsWith(value);
const time = yup.number().required().min(0).max(LAST_MS);
const timeOrNot = yup.number().min(0).max(LAST_MS).nullable().defined();
const day = yup.string().required().test('day', '${path} must be a day', isDay);
const dayOrNot = yup
  .string()
  .nullable()
  .defined()
  .test('day', '${path} must be a day', (value) => value === null || isDay(value));
const horn = yup.string().oneOf(HORN_IDS).required();
const finite = yup
  .number()
  .required()
  .test('finite', '${path} must be a finite number', (value) => Number.isFinite(value));
const attack = yup.string().oneOf(TRIAL_ATTACKS).required();
const numbers = yup.array(finite).max(20_000).required();
/** A number, or none. */
const finiteOrNull = yup
  .number()
  .nullable()
  .defined()
  .test('finite', '${path} must be a finite number', (value) => value === null || Number.isFinite(value));
const midi = yup.number().integer().min(0).max(127).required();
const decibels = finite.min(-200).max(60);

const exercise = yup
  .mixed()
  .required()
  .test('exercise', function isExercise(value) {
    try {
      const { phrases } = parseExercise(value);
      // What the door of exercises would fill in must be there: rows are kept as they are.
      const stored = value as unknown as Exercise;
      return phrases.every(({ items }, p) =>
        items.every(({ kind }, i) => kind !== 'note' || 'fingered' in stored.phrases[p].items[i]),
      );
    } catch (error) {
      return this.createError({ message: `${this.path}: ${(error as Error).message}` });
    }
  });
/** An own exercise may not be playable yet; that it can be shown is enough. */
const draft = yup.object({
  name: yup.string().max(200).optional(),
  tempoBpm: yup.number().min(1).max(1000).required(),
  beatsPerBar: yup.number().integer().min(1).max(64).required(),
  phrases: yup
    .array(
      yup.object({
        items: yup
          .array(
            yup.object({
              kind: yup.string().oneOf(['note', 'rest', 'air', 'hum', 'hear', 'imagine', 'free']).required(),
              lengthBeats: yup.number().moreThan(0).max(10_000).required(),
              writtenMidi: midi.optional(),
              fingered: yup.mixed().nullable().optional(),
              dynamics: yup
                .array(yup.object({ beat: finite, mark: yup.string().oneOf(DYNAMIC_MARKS).required() }))
                .optional(),
            }),
          )
          .max(5000)
          .required(),
      }),
    )
    .max(1000)
    .required(),
});

const scale = yup
  .object({ floorDb: decibels, ceilingDb: decibels })
  .required()
  .test('span', '${path} must span some decibels', ({ floorDb, ceilingDb }) => ceilingDb - floorDb >= 1);
const context = yup
  .object({
    exercise,
    hornId: horn,
    a4Hz: finite.min(200).max(1000),
    scale,
    toleranceId: yup.string().oneOf(Object.keys(TOLERANCES)).required(),
    roomFloorDb: finiteOrNull,
    beatZeroSeconds: finiteOrNull,
  })
  .nullable()
  .defined();
const analysis = yup
  .mixed()
  .nullable()
  .defined()
  .test('analysis', function isAnalysis(value) {
    if (value === null) return true;
    const fault = analysisFault(value);
    return fault === null || this.createError({ message: `${fault} cannot be read` });
  });
/** What the player called, an end each. */
const side = yup.string().oneOf(['sharp', 'true', 'flat']).optional();
const call = yup.object({ soft: side, loud: side, whole: side }).nullable().defined();

/** Whether each item that was judged is one of the exercise, and of its kind. */
function isOfExercise({ context: of, analysis: judged }: { context?: unknown; analysis?: unknown }): boolean {
  if (!of || !judged) return true;
  let score: ReturnType<typeof scoreOf>;
  try {
    score = scoreOf((of as { exercise: Exercise }).exercise);
  } catch {
    return false;
  }
  // It is asked of whatever the fields hold: what is wrong with them they say themselves.
  if (analysisFault(judged) !== null) return true;
  const { items, verdict } = judged as TakeAnalysis;
  return (
    items.every(({ item, kind }) => item >= 0 && score.at(item)?.item.kind === kind) &&
    verdict.of.every((item) => item >= 0 && item < score.length)
  );
}

const CHECKS: Record<OwnTable, yup.ObjectSchema<yup.AnyObject>> = {
  // Its fields are looked at one by one when they are read.
  settings: yup.object({ id: yup.string().oneOf(['settings']).required() }),
  calibrations: yup.object({
    id,
    madeAt: time,
    roomFloorDb: finiteOrNull,
    scale: scale.nullable(),
    roundTripSeconds: finiteOrNull,
  }),
  takes: yup
    .object({
      id,
      state: yup.string().oneOf(['recording', 'kept']).required(),
      kind: yup.string().oneOf(['exercise', 'free', 'other']).required(),
      roundId: yup.string().max(80).nullable().defined(),
      phrase: yup.number().integer().min(0).required(),
      call,
      startedAt: time,
      day,
      clock: yup
        .string()
        .matches(/^\d{2}:\d{2}$/)
        .required(),
      hornId: horn,
      a4Hz: finite.min(200).max(1000),
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
    })
    .test('items', 'analysis must be of its exercise', isOfExercise),
  rounds: yup.object({
    id,
    startedAt: time,
    hornId: horn,
    exercise,
    address: yup
      .string()
      .defined()
      .test('own', '${path} must be one of the Stand', (value) => ownAddress(value) !== null),
  }),
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
  dayNotes: yup.object({ day, text: text(20_000), temperatureC: finiteOrNull }),
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
    question: yup.string().oneOf(QUESTIONS).required(),
    measure: yup.string().oneOf(TRIAL_MEASURES).required(),
    tone: yup.string().oneOf(TRIAL_TONES).required(),
    writtenMidi: midi,
    cues: yup.object({ a: text(200), b: text(200) }).required(),
    attacks: yup.object({ a: attack, b: attack }).required(),
    pairs: yup
      .number()
      .integer()
      .min(1)
      .max(4 * MOST_PAIRS)
      .required(),
    deletedAt: timeOrNot,
  }),
  aims: yup.object({
    id,
    hornId: horn,
    text: text(2000),
    goal: yup.object({
      measure: yup.string().oneOf(TREND_MEASURES).required(),
      scope: yup
        .object({
          midi: midi.nullable(),
          zone: yup.string().oneOf(ZONES).nullable().defined(),
          family: yup.string().max(40).nullable().defined(),
        })
        .required(),
      target: finite,
      wants: yup.string().oneOf(['less', 'more']).required(),
    }),
    byDay: dayOrNot,
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
