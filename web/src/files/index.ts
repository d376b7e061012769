// What is handed to the player as a file: takes and exercises.
export { saveTake, saveUnsaved } from './saveTake.ts';
export { saveExercises } from './saveExercises.ts';
