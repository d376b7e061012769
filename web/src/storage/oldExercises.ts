// By itself, so that reading exercises of old versions is loaded only where there are any.
export { parseExercise } from '@inner-hum/core/exercise';
