// Judgement: frames and an exercise in, the figures of a take and its verdict out. One measure a file, each a
// pure function. Words belong to the interface; a verdict here is a finding with its figures.
export { analyseTake } from './analyseTake.ts';
export { analysisFault } from './analysisFault.ts';
export type { TakeAnalysis } from './takeAnalysis.ts';
export type { SoundProcessing } from './soundProcessing.ts';
export { fingeredPartials } from './fingeredPartials.ts';
export { firstFault } from './firstFault.ts';
export type { TakeContext } from './takeContext.ts';
export type { ItemAnalysis, NoteAnalysis } from './itemAnalysis.ts';
export {
  analyseRecording,
  type RecordingAnalysis,
  type RecordingContext,
  type RecordedNote,
} from './analyseRecording.ts';
export { centsAgainstLevel, type CentsAgainstLevel } from './centsAgainstLevel.ts';
export { SUBTONE_WINDOW, type SubtoneWindow } from './subtone.ts';
export { VIBRATO_HZ } from './vibratoAsked.ts';
export { matchDb, type Profile } from './match.ts';
export type { TakeEvent } from './takeEvent.ts';
export type { ItemMeasures, NoteMeasures, SubtoneDepth, TakeMeasures, ToneKind } from './measures.ts';
export { TOLERANCES, type Tolerance, type ToleranceId } from './tolerances.ts';
export type { Advice } from './advice.ts';
export { USUAL_COLOUR_SLOPE } from './pitchMeasures.ts';
export type { FullTone } from './subtone.ts';
export { adviceInPlace, type AdvicePlace } from './adviceInPlace.ts';
export {
  AT_ONCE_SECONDS,
  FINDINGS,
  isNeutral,
  isNotJudged,
  sentenceOf,
  type Finding,
  type FindingKind,
} from './finding.ts';
export { spokeAsWritten, spokeAtOnce } from './spokeAtOnce.ts';
export { rankFindings, type Verdict } from './verdict.ts';
export { START_LIMITS } from './restarts.ts';
export type { HoldCause } from './hold.ts';
export type { WholeVerdict } from './wholeTake.ts';
export { takeLoudness } from './takeLoudness.ts';
export { learnScale, type TakeLoudness } from './learnScale.ts';
export { measureSteadyTone, type SteadyTone } from './calibration.ts';
export { guessedEnds, measuredSide, type PitchGuess, type GuessedEnd, type GuessedSide } from './call.ts';
export { playingLoadOf, type PlayingLoad } from './playingLoad.ts';
export { judgeRound, type RoundVerdict } from './roundVerdict.ts';
export { toneColour, type ToneColour } from './toneColour.ts';
export { playedExercise } from './ownTime.ts';
export { checkInput, type InputCheck, type InputFault } from './inputCheck.ts';
