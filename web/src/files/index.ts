// What is handed to the player as a file: takes, exercises, archives.
export { saveArchive } from './saveArchive.ts';
export { saveTake, saveUnsaved } from './saveTake.ts';
export { EXERCISES_NAME, EXERCISES_TYPE, exercisesFile, saveExercises } from './saveExercises.ts';
export { filesToTake, giveFiles, ROOM_OF, useGivenFiles } from './givenFiles.ts';
