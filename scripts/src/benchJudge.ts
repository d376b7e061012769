import { DEFAULT_SCALE, familyById, phraseExercise } from '@inner-hum/core/exercise';
import { listenTo } from '@inner-hum/core/hearing';
import { hornById } from '@inner-hum/core/horn';
import { analyseTake } from '@inner-hum/core/judge';
import { playExercise, PROFILES } from '@inner-hum/core/simulated';

const RATE_HZ = 48000;
const FAMILIES = ['swell', 'alternatingSwells', 'quietDescent', 'octaveRestart', 'fullScales', 'airThenNote'];
const ROUNDS = 5;
/** What judging may take of the time of listening. */
const MOST_PERCENT = 5;

/** Prints how long judging takes beside listening, over drills of every kind. */
export function benchJudge(): void {
  const hornId = 'alto';
  let [listening, judging, seconds] = [0, 0, 0];
  for (const id of FAMILIES) {
    const family = familyById(id);
    if (!family) throw new Error(id);
    const exercise = phraseExercise(family.build(hornById(hornId)), 0);
    const { samples, beatZeroSeconds } = playExercise({
      exercise,
      hornId,
      a4Hz: 440,
      scale: DEFAULT_SCALE,
      profile: PROFILES.goodDay,
      sampleRateHz: RATE_HZ,
      seed: 3,
      leadSeconds: 0.8,
      tailSeconds: 1,
    });
    for (let round = 0; round < ROUNDS; round++) {
      const start = performance.now();
      const track = listenTo(samples, RATE_HZ);
      const heard = performance.now();
      const { start: mode } = exercise;
      analyseTake(
        track,
        {
          exercise,
          hornId,
          a4Hz: 440,
          scale: DEFAULT_SCALE,
          toleranceId: 'usual',
          roomFloorDb: null,
          beatZeroSeconds: mode === 'countIn' ? beatZeroSeconds : null,
        },
        [],
      );
      judging += performance.now() - heard;
      listening += heard - start;
      seconds += samples.length / RATE_HZ;
    }
  }
  const percent = (100 * judging) / listening;
  console.log(
    `judging: ${percent.toFixed(1)} % of the time of listening (at most ${MOST_PERCENT}), ${(judging / seconds).toFixed(2)} ms a second of sound`,
  );
  if (percent > MOST_PERCENT) process.exitCode = 1;
}
