// The exercise language: what to play, in written notes, beats and dynamic marks. One builder file a family.
// It knows horns and beats, never sound: hearing and judging are elsewhere.
export type {
  AirItem,
  Attack,
  DynamicPoint,
  Exercise,
  ExerciseItem,
  Judged,
  NoteItem,
  Phrase,
  PhraseOrder,
  RestItem,
  StartMode,
} from './exercise.ts';
export { parseExercise } from './validate.ts';
export {
  lengthBeats,
  notesOf,
  onlyNote,
  phraseBeats,
  phraseExercise,
  playedPhrases,
  restBeats,
  scoreOf,
  type TimedItem,
} from './score.ts';
export { DYNAMIC_MARKS, markFraction, type DynamicMark } from './dynamics.ts';
export {
  DEFAULT_SCALE,
  levelAtFraction,
  fractionAtLevel,
  nearestMark,
  type DynamicScale,
} from './dynamics.ts';
export { buildSwell, shapeOf, SWELL_SHAPES, type SwellShape, type SwellRequest } from './swell.ts';
export { FAMILIES, familyById, type Family, type FamilyId, type FamilyRequest } from './families/index.ts';
export { itemAtBeat, targetFraction, wantedAtBeat, writtenTurnBeat, secondsPerBeat } from './target.ts';
export { wantedBySeconds, writtenMarks, writtenNotes, type WrittenNote } from './written.ts';
