// Scores for other programs: exercises as MusicXML and MIDI, and parts of such files as exercises. What belongs here: reading and
// writing, over libraries that know the formats, and what a part becomes. Nothing here plays or judges.
export { exerciseToMusicXml } from './writeMusicXml.ts';
export { exerciseToMidi } from './writeMidi.ts';
export { readScore } from './readScore.ts';
export type { ReadScore, ScoreBar, ScoreNote, ScorePart } from './scorePart.ts';
export { scoreExercise, type ScoreChoice, type ScoreMade } from './scoreExercise.ts';
export { MADE_OF_SCORE, type MadeOfScore } from './scorePhrases.ts';
export { fittingShift, writtenOf } from './fitToHorn.ts';
