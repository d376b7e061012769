// The simulated player: a horn in arithmetic. Notes, dynamics and a profile of faults in; samples and the exact
// truth about them out. It exists so that everyone can use the app without a horn, and so that every judgement
// can be checked against an answer known by construction. It must not import what it is used to test.
export { playNote, type Performance } from './playNote.ts';
export type { SimulatedNote } from './simulatedNote.ts';
export { playPhrase } from './playPhrase.ts';
export { DEMO_LEAD_SECONDS, DEMO_TAIL_SECONDS, type ExerciseRequest } from './exerciseRequest.ts';
export { planExercise, playExercise, type ExercisePerformance } from './playExercise.ts';
export { createNoteCourse } from './noteCourse.ts';
export { createHarmonicShape, shapeHarmonicsInto } from './spectrum.ts';
export { highHabit, highHabits } from './highHabits.ts';
export { inItsOwnTime } from './inItsOwnTime.ts';
export { microphoneNoise } from './microphoneNoise.ts';
export { movedHabits } from './movedHabits.ts';
export { type FaultKind, type ItemFault } from './faults.ts';
export { STEADY_HAND, WARM_UP, PROFILES, type SimulatedProfile, type ProfileId } from './profile.ts';
export type { SimulatedSwerve } from './swerve.ts';
export type { ItemTruth, Truth } from './truth.ts';
