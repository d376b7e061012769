import { readFileSync } from 'node:fs';
import { parseExercise, type Exercise } from '@inner-hum/core/exercise';
import { decodeWav, frameRows, type FrameRow } from '@inner-hum/core/formats';
import { findHoles, listenTo, type FrameTrack } from '@inner-hum/core/hearing';
import { pitchTarget } from '@inner-hum/core/horn';
import {
  analyseRecording,
  analyseTake,
  fingeredPartials,
  type ItemAnalysis,
  type RecordingAnalysis,
  type RecordingContext,
  type TakeMeasures,
  type TakeAnalysis,
} from '@inner-hum/core/judge';
import { CoreError } from '@inner-hum/core/signal';
import type { ExerciseOption, Options } from './options.ts';

/** What is written of one file, names as in the measures. */
export interface FileAnalysis extends Omit<RecordingAnalysis, 'partials' | 'measures'> {
  file: string;
  sampleRateHz: number;
  frames: FrameRow[];
  measures: RecordingAnalysis['measures'] | TakeMeasures;
  /** With an exercise: every item of it, and the verdict of the whole. */
  items?: ItemAnalysis[];
  verdict?: TakeAnalysis['verdict'] | null;
  beatZeroSeconds?: number;
}

/** Reads an exercise. Throws `exercise-invalid` naming what is wrong, and what reading a file throws. */
export function readExercise(path: string): Exercise {
  const text = readFileSync(path, 'utf8');
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    throw new CoreError(
      'exercise-invalid',
      `This is no JSON: ${error instanceof Error ? error.message : ''}`,
    );
  }
  return parseExercise(value);
}

/**
 * Hears one WAV file as the app would; with `expect` the fingered note breaks ties, with an exercise every item is judged.
 * Throws what reading or hearing throws, each with a sentence.
 */
export function analyseFile(
  file: string,
  path: string,
  { context, expect, exercise: option }: Pick<Options, 'context' | 'expect' | 'exercise'>,
  exercise: Exercise | null,
): FileAnalysis {
  const { samples, sampleRateHz } = decodeWav(readFileSync(path));
  const { fingered, hornId, a4Hz } = context;
  const expected = expect && fingered !== null ? pitchTarget({ writtenMidi: fingered }, hornId, a4Hz) : null;
  const track = listenTo(samples, sampleRateHz, expected?.tubeHz);
  const holes = findHoles(samples, sampleRateHz);
  const { partials, ...recording } = analyseRecording(track, context, holes);
  const heard = { file, sampleRateHz };
  if (!exercise || !option) return { ...heard, frames: frameRows(track.slice(0), partials), ...recording };
  const judged = judge(track, exercise, option, context, holes);
  return {
    ...heard,
    frames: frameRows(
      track.slice(0),
      judged && fingeredPartials(track.columns, { exercise, ...context }, judged.items).slice(0, track.count),
    ),
    notes: recording.notes,
    events: judged?.events ?? recording.events,
    measures: judged?.measures ?? recording.measures,
    items: judged?.items ?? [],
    verdict: judged?.verdict ?? null,
    ...(judged && { beatZeroSeconds: judged.beatZeroSeconds }),
  };
}

function judge(
  track: FrameTrack,
  exercise: Exercise,
  { firstBeatSeconds, scale, roomFloorDb }: ExerciseOption,
  { hornId, a4Hz }: RecordingContext,
  holes: ReturnType<typeof findHoles>,
): TakeAnalysis | null {
  return analyseTake(
    track,
    {
      exercise,
      hornId,
      a4Hz,
      scale,
      toleranceId: 'usual',
      roomFloorDb,
      room: roomFloorDb === null ? null : { airDb: roomFloorDb, levelDb: roomFloorDb },
      beatZeroSeconds: firstBeatSeconds,
    },
    holes,
  );
}
