// For tests and the bench alone, never for the app. What the bench needs goes out here; tests take the rest from its files.
export { simulatedHorn, simulatePractice, USUAL_PRACTICE } from './simulatedHorn.ts';
