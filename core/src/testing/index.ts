// For tests and the bench alone, never for the app. What the bench needs goes out here; tests take the rest from its files.
export * as disturbances from './disturbances.ts';
export type { Disturb } from './disturbances.ts';
export { simulatedHorn, simulatePractice, USUAL_PRACTICE } from './simulatedHorn.ts';
