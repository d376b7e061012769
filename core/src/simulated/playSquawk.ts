import { amplitudeFromDb, createRandom } from '../signal/index.ts';
import { breathNoise } from './breathNoise.ts';

/** A wrong voicing: loud, rough, of no pitch. */
export interface SimulatedSquawk {
  startSeconds: number;
  endSeconds: number;
  levelDb: number;
  /** Of the note that did not come; the squawk lies about it and below. */
  soundingHz: number;
}

const FADE_SECONDS = 0.015;
/** Resonances that sound at once, as shares of the note that should: none a whole multiple of another. */
const VOICES = [0.37, 0.61, 0.83, 1.13];
/** How fast, and how far, each of them staggers. */
const STAGGER_SECONDS = 0.008;
const STAGGER_SHARE = 0.12;
const NOISE_SHARE = 0.5;

/** Several resonances at once, each staggering by itself, with noise. */
export function playSquawk(
  { startSeconds, endSeconds, levelDb, soundingHz }: SimulatedSquawk,
  sampleRateHz: number,
  seed: number,
): Float32Array {
  const count = Math.max(0, Math.round((endSeconds - startSeconds) * sampleRateHz));
  const random = createRandom(seed);
  const noise = breathNoise(count, sampleRateHz, random);
  const sound = new Float32Array(count);
  const step = Math.max(1, Math.round(STAGGER_SECONDS * sampleRateHz));
  for (const share of VOICES) {
    let phase = 0;
    let hz = share * soundingHz;
    for (let n = 0; n < count; n++) {
      if (n % step === 0) hz = share * soundingHz * (1 + STAGGER_SHARE * random.normal());
      phase += (2 * Math.PI * hz) / sampleRateHz;
      sound[n] += Math.sin(phase) * Math.SQRT2;
    }
  }
  const voices = Math.sqrt((1 - NOISE_SHARE) / VOICES.length);
  const gain = amplitudeFromDb(levelDb);
  const fade = FADE_SECONDS * sampleRateHz;
  return sound.map(
    (value, n) =>
      gain * (voices * value + Math.sqrt(NOISE_SHARE) * noise[n]) * Math.min(1, n / fade, (count - n) / fade),
  );
}
