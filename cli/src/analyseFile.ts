import { readFileSync } from 'node:fs';
import { decodeWav, frameRows, type FrameRow } from '@inner-hum/core/formats';
import { findHoles, listenTo } from '@inner-hum/core/hearing';
import {
  analyseRecording,
  pitchTarget,
  type RecordingAnalysis,
  type RecordingContext,
} from '@inner-hum/core/judge';

/** What is written of one file, names as in the measures. */
export interface FileAnalysis extends Omit<RecordingAnalysis, 'partials'> {
  file: string;
  sampleRateHz: number;
  frames: FrameRow[];
}

/**
 * Hears one WAV file as the app would; with `expect` the fingered note breaks ties. Throws what reading or hearing throws,
 * each with a sentence.
 */
export function analyseFile(
  file: string,
  path: string,
  context: RecordingContext,
  expect: boolean,
): FileAnalysis {
  const { samples, sampleRateHz } = decodeWav(readFileSync(path));
  const { fingered, hornId, a4Hz } = context;
  const expected = expect && fingered !== null ? pitchTarget({ writtenMidi: fingered }, hornId, a4Hz) : null;
  const track = listenTo(samples, sampleRateHz, expected?.tubeHz);
  const { partials, ...analysis } = analyseRecording(track, context, findHoles(samples, sampleRateHz));
  return { file, sampleRateHz, frames: frameRows(track.slice(0), partials), ...analysis };
}
