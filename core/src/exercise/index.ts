// The exercise language: what to play, in written notes, beats and dynamic marks. One builder file a family.
// It knows horns and beats, never sound: hearing and judging are elsewhere.
export { exerciseAsPlayed, exerciseUpTo, isOpenEnded } from './asPlayed.ts';
export { ATTACKS, ITEM_KINDS, JUDGED, PACES, VIBRATOS } from './exercise.ts';
export type {
  AirItem,
  Attack,
  BendPoint,
  Body,
  DynamicPoint,
  Exercise,
  ExerciseItem,
  Judged,
  NoteItem,
  Pace,
  Phrase,
  PhraseOrder,
  RestItem,
  RestRule,
  Vibrato,
} from './exercise.ts';
export {
  LEAST_BEATS,
  MOST_BEATS,
  MOST_ITEMS,
  MOST_MIDI,
  LEAST_MIDI,
  MOST_NAME,
  MOST_PHRASES,
  MOST_PLAYED,
  MOST_WORD,
} from './limits.ts';
export { parseExercise } from './validate.ts';
export {
  lengthBeats,
  notesOf,
  onlyNote,
  phraseBeats,
  phraseExercise,
  afterRepeats,
  onPaper,
  writtenRepeats,
  placeInRound,
  playingSeconds,
  playedPhrases,
  restAfter,
  restBeats,
  playedItems,
  scoreOf,
  tellingPhrase,
  waitsBefore,
  type TimedItem,
} from './score.ts';
export { DYNAMIC_MARKS, markFraction, type DynamicMark } from './dynamics.ts';
export {
  calibratedScale,
  DEFAULT_SCALE,
  levelAtFraction,
  fractionAtLevel,
  nearestMark,
  type DynamicScale,
} from './dynamics.ts';
export { shapedDynamics } from './shapedDynamics.ts';
export { buildSwell, type SwellRequest } from './swell.ts';
export { shapeOf, SWELL_SHAPES, type SwellShape } from './swellShape.ts';
export {
  completeChoices,
  thereAndBack,
  FAMILIES,
  familyById,
  familyOf,
  skillOf,
  SKILLS,
  type Skill,
  PURPOSES,
  readSofts,
  scaleEnds,
  softsWord,
  USUAL_PULL,
  type Choices,
  type Family,
  type FamilyId,
  type HeadlineId,
  type Home,
  type Option,
  type OptionName,
  type Options,
  type Purpose,
  type ScaleEnd,
} from './families/index.ts';
export { barsOf, type NoteValue, type WrittenPart } from './bars.ts';
export { movedTo, painted, transposed, withLength, type BrushPoint } from './edit.ts';
export { newExercise } from './newExercise.ts';
export { routeExercise } from './routeExercise.ts';
export {
  EXPERIENCES,
  GATES,
  PATH_IDS,
  STEPS_OF_PATH,
  type Experience,
  type Gate,
  type PathId,
  type PathPlace,
} from './gates.ts';
export { problemsOf, type Problem } from './problems.ts';
export { CAUTIONS, cautionsOf, dueCautions, cautionsFor, type Caution } from './cautions.ts';
export { allNotes, extentOf, type Extent } from './extent.ts';
export { liftFifth, noteWithoutFifth } from './liftFifth.ts';
export { spellingKey } from './spelling.ts';
export { isInKey, MAJOR_KEYS, spellNote, type MajorKey, type SpelledNote } from './keys.ts';
export {
  centsAtBeat,
  itemAtBeat,
  targetFraction,
  wantedAtBeat,
  writtenTurnBeat,
  secondsPerBeat,
} from './target.ts';
export { isAlone, readShift } from './body.ts';
export { noteTarget } from './noteTarget.ts';
export { withFingerings } from './withFingerings.ts';
export { bendBySeconds, wantedBySeconds, writtenMarks, writtenNotes, type WrittenNote } from './written.ts';
