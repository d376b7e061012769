import { listenTo } from '../hearing/index.ts';
import { playExercise, type ExerciseRequest } from '../simulated/index.ts';
import { truthTrack } from './truthTrack.ts';

/** So many performances share one that is heard for real. */
const HEARD_OF = 5;

/**
 * Performances for tables in which hearing is not the question: frames straight from the truth of what is played, and one in five played
 * and heard for real. `from` (the seed of the run) says which ones.
 */
export function createStage(from: number): {
  perform(
    request: ExerciseRequest,
    needsSound?: boolean,
  ): ReturnType<typeof truthTrack> & { isHeard: boolean };
} {
  let turn = from;
  return {
    perform(request, needsSound = false) {
      if (turn++ % HEARD_OF !== 0 && !needsSound) return { ...truthTrack(request), isHeard: false };
      const { samples, beatZeroSeconds, items } = playExercise(request);
      return { track: listenTo(samples, request.sampleRateHz), beatZeroSeconds, items, isHeard: true };
    },
  };
}
