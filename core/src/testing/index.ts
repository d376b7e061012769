// For tests and the bench alone, never for the app: performances as frames from their truth, a horn and its practice made up, a usual sheet.
export { createStage } from './performed.ts';
export { simulatedHorn, simulatePractice, USUAL_PRACTICE } from './simulatedHorn.ts';
