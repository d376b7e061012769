// For tests, the bench and the doors alone, never for the app. What others need goes out here; tests of the core take the rest from its files.
export * as disturbances from './disturbances.ts';
export type { Disturb } from './disturbances.ts';
export { SCORE_WORDS } from './scoreWords.ts';
export { simulatedHorn, simulatePractice, USUAL_PRACTICE } from './simulatedHorn.ts';
