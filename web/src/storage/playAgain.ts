import { database } from './database.ts';

/** The sound of a take that the simulated player played and that is not stored, sample for sample; null where there is no such take. */
export async function playAgain(takeId: string): Promise<Float32Array<ArrayBuffer> | null> {
  const performance = await database().performances.get(takeId);
  const take = await database().takes.get(takeId);
  if (!performance || !take?.context) return null;
  // A player seldom needs it: it is not part of the first load.
  const { DEMO_LEAD_SECONDS, DEMO_TAIL_SECONDS, playExercise } = await import('@inner-hum/core/simulated');
  const { exercise, hornId, a4Hz, scale } = take.context;
  return playExercise({
    exercise,
    hornId,
    a4Hz,
    scale,
    profile: performance.profile,
    faults: performance.faults,
    seed: performance.seed,
    sampleRateHz: take.sampleRateHz,
    leadSeconds: DEMO_LEAD_SECONDS,
    tailSeconds: DEMO_TAIL_SECONDS,
  }).samples;
}
