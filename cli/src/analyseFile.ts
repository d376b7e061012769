import { readFileSync } from 'node:fs';
import { decodeWav, frameRows, type FrameRow } from '@inner-hum/core/formats';
import { findHoles, listenTo } from '@inner-hum/core/hearing';
import { analyseRecording, type RecordingAnalysis, type RecordingContext } from '@inner-hum/core/judge';

/** What is written of one file, names as in the measures. */
export interface FileAnalysis extends Omit<RecordingAnalysis, 'partials'> {
  file: string;
  sampleRateHz: number;
  frames: FrameRow[];
}

/** Hears one WAV file as the app would. Throws what reading or hearing throws, each with a sentence. */
export function analyseFile(file: string, path: string, context: RecordingContext): FileAnalysis {
  const { samples, sampleRateHz } = decodeWav(readFileSync(path));
  const track = listenTo(samples, sampleRateHz);
  const { partials, ...analysis } = analyseRecording(track, context, findHoles(samples, sampleRateHz));
  return { file, sampleRateHz, frames: frameRows(track.slice(0), partials), ...analysis };
}
