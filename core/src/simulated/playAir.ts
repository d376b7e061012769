import { amplitudeFromDb, createRandom } from '../signal/index.ts';
import { breathNoise } from './breathNoise.ts';

export interface SimulatedAir {
  startSeconds: number;
  endSeconds: number;
  /** RMS in dBFS. */
  levelDb: number;
}

const FADE_SECONDS = 0.06;

/** Air without a tone: noise that comes and goes within 60 ms. */
export function playAir(
  { startSeconds, endSeconds, levelDb }: SimulatedAir,
  sampleRateHz: number,
  seed: number,
): Float32Array {
  const count = Math.max(0, Math.round((endSeconds - startSeconds) * sampleRateHz));
  const noise = breathNoise(count, sampleRateHz, createRandom(seed));
  const gain = amplitudeFromDb(levelDb);
  const fade = FADE_SECONDS * sampleRateHz;
  return noise.map((value, n) => gain * value * Math.min(1, n / fade, (count - n) / fade));
}
