import {
  FAMILIES,
  LEAST_MIDI,
  MOST_MIDI,
  MOST_PLAYED,
  PATH_IDS,
  STEPS_OF_PATH,
  playedItems,
  scoreOf,
  type Exercise,
} from '@inner-hum/core/exercise';
import { TASK_LIMITS } from '@inner-hum/core/formats';
import { MAX_RATE_HZ, MIN_RATE_HZ } from '@inner-hum/core/hearing';
import { analysisFault, type TakeAnalysis } from '@inner-hum/core/judge';
import { AIMS } from '@inner-hum/core/plan';
import { TREND_MEASURES, ZONES } from '@inner-hum/core/practice';
import { MOST_PAIRS, QUESTIONS, TRIAL_MEASURES, TRIAL_TONES } from '@inner-hum/core/trial';
import * as yup from 'yup';
import { CHECK_KINDS, REED_PLAYS } from './gearRecords.ts';
import { ownAddress } from './ownAddress.ts';
import {
  a4Hz,
  attack,
  call,
  context,
  day,
  dayOrNot,
  draft,
  exercise,
  finite,
  finiteOrNull,
  horn,
  id,
  midi,
  numbers,
  scale,
  text,
  time,
  timeOrNot,
} from './rowFields.ts';
import type { OwnTable } from './tables.ts';

/** What is wrong with what was judged of a take: by itself, and as of its exercise. Null where nothing is. */
function judgedFault({ context: of, analysis }: { context?: unknown; analysis?: unknown }): string | null {
  if (analysis === null) return null;
  const fault = analysisFault(analysis);
  if (fault !== null) return `${fault} cannot be read`;
  if (!of) return null;
  try {
    const { exercise: written } = of as { exercise: Exercise };
    // Its own check says what is wrong; here it must only not take for ever.
    if (!(playedItems(written.phrases) <= MOST_PLAYED)) return 'analysis has an exercise without end';
    const score = scoreOf(written);
    const { items, verdict } = analysis as TakeAnalysis;
    const isOfExercise =
      items.every(({ item, kind }) => item >= 0 && score.at(item)?.item.kind === kind) &&
      verdict.of.every((item) => item >= 0 && item < score.length);
    return isOfExercise ? null : 'analysis must be of its exercise';
  } catch {
    return 'analysis has no exercise that can be read';
  }
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
      a4Hz,
      scale,
      source: yup.string().oneOf(['microphone', 'standIn']).required(),
      eyes: yup.string().oneOf(['watch', 'blind']).required(),
      sampleRateHz: yup.number().min(MIN_RATE_HZ).max(MAX_RATE_HZ).required(),
      lengthSeconds: yup.number().min(0).max(7200).required(),
      context,
      analysis: yup.mixed().nullable().defined(),
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
    .test('judged', function isJudged(take) {
      const fault = judgedFault(take);
      return fault === null || this.createError({ message: fault });
    }),
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
    writtenMidi: yup.number().integer().min(LEAST_MIDI).max(MOST_MIDI).required(),
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
          how: yup.string().oneOf(REED_PLAYS).required(),
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
  tasks: yup.object({
    id,
    from: text(TASK_LIMITS.from),
    note: text(TASK_LIMITS.note),
    byDay: dayOrNot,
    items: yup
      .array(
        yup.object({
          family: yup
            .string()
            .oneOf(FAMILIES.map(({ id: family }) => family))
            .nullable()
            .defined(),
          choices: yup.object().required(),
          exerciseId: yup.string().max(80).nullable().defined(),
        }),
      )
      .max(TASK_LIMITS.items)
      .required(),
    path: yup
      .object({
        id: yup.string().oneOf(PATH_IDS).required(),
        step: yup
          .number()
          .integer()
          .min(0)
          .max(STEPS_OF_PATH - 1)
          .required(),
      })
      .nullable()
      .default(undefined)
      .defined(),
    createdAt: time,
    doneAt: timeOrNot,
    deletedAt: timeOrNot,
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

/** Of what is wrong, in letters. */
const MOST_FAULT = 200;

/** What is wrong with a row of a table, in a sentence that names the field; null where every room can read it. */
export function faultOfRow(table: OwnTable, row: unknown): string | null {
  if (typeof row !== 'object' || row === null) return 'This is no row.';
  try {
    CHECKS[table].validateSync(row, { strict: true });
    return null;
  } catch (error) {
    // Values that are told with it may be as long as a file.
    return (error as Error).message.slice(0, MOST_FAULT);
  }
}
