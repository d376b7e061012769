// Judgement: frames and an exercise in, the figures of a take and its verdict out. One measure a file, each a
// pure function. Words belong to the interface; a verdict here is a finding with its figures.
export { analyseTake, pitchTarget, type TakeAnalysis, type TakeContext } from './analyseTake.ts';
export {
  analyseRecording,
  type RecordingAnalysis,
  type RecordingContext,
  type RecordedNote,
} from './analyseRecording.ts';
export { centsAgainstLevel, type CentsAgainstLevel } from './centsAgainstLevel.ts';
export type { TakeEvent } from './takeEvent.ts';
export type { NoteMeasures, SwellMeasures } from './measures.ts';
export { TOLERANCES, type Tolerance, type ToleranceId } from './tolerances.ts';
export type { Verdict, Finding, Advice } from './verdict.ts';
export { learnScale, type TakeLoudness } from './learnScale.ts';
export { measureSteadyTone, type SteadyTone } from './calibration.ts';
