import { FAMILIES, PATH_IDS, STEPS_OF_PATH } from '@inner-hum/core/exercise';
import { TASK_LIMITS } from '@inner-hum/core/formats';
import { AIMS } from '@inner-hum/core/plan';
import { TREND_MEASURES, ZONES } from '@inner-hum/core/practice';
import { MOST_PAIRS, QUESTIONS, TRIAL_MEASURES, TRIAL_TONES } from '@inner-hum/core/trial';
import * as yup from 'yup';
import { attack, day, dayOrNot, draft, finite, horn, id, midi, text, time, timeOrNot } from './rowFields.ts';
import type { OwnTable } from './tables.ts';

/** What must be of what is to be played, and what for: own exercises, sheets, tasks, trials, aims. */
export const PLAN_ROWS = {
  exercises: yup.object({
    id,
    exercise: draft.required(),
    createdAt: time,
    changedAt: time,
    deletedAt: timeOrNot,
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
} satisfies Partial<Record<OwnTable, yup.ObjectSchema<yup.AnyObject>>>;
