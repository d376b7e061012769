import { MOST_PLAYED, playedItems, scoreOf, type Exercise } from '@inner-hum/core/exercise';
import { MAX_RATE_HZ, MIN_RATE_HZ } from '@inner-hum/core/hearing';
import { analysisFault, type TakeAnalysis } from '@inner-hum/core/judge';
import * as yup from 'yup';
import { ownAddress } from './ownAddress.ts';
import {
  a4Hz,
  call,
  context,
  day,
  exercise,
  finite,
  horn,
  id,
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

/** What a take must be, the round that it belongs to, and how the simulated player played it. */
export const TAKE_ROWS = {
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
  performances: yup.object({
    takeId: id,
    profile: yup.object().required(),
    faults: yup.array().required(),
    seed: finite,
  }),
} satisfies Partial<Record<OwnTable, yup.ObjectSchema<yup.AnyObject>>>;
