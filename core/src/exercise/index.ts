// The exercise language: what to play, in written notes, beats and dynamic marks. One builder file a family.
// It knows horns and beats, never sound: hearing and judging are elsewhere.
export type { Exercise, ExerciseItem, NoteItem, DynamicPoint, StartMode } from './exercise.ts';
export { exerciseSchema, parseExercise } from './validate.ts';
export { DYNAMIC_MARKS, markFraction, type DynamicMark } from './dynamics.ts';
export {
  DEFAULT_SCALE,
  levelAtFraction,
  fractionAtLevel,
  nearestMark,
  type DynamicScale,
} from './dynamics.ts';
export { buildSwell, shapeOf, SWELL_SHAPES, type SwellShape, type SwellRequest } from './swell.ts';
export { targetFraction, wantedAtSeconds, writtenTurnBeat, lengthBeats, secondsPerBeat } from './target.ts';
