import { amplitudeFromDb, type Random } from '../signal/index.ts';

/** Quieter than any room: it is only that nothing is ever cut to nothing. */
const NOISE_DB = -90;

/** What a microphone puts out where nothing sounds: white noise. */
export function microphoneNoise(count: number, random: Random): Float32Array<ArrayBuffer> {
  const gain = amplitudeFromDb(NOISE_DB);
  const samples = new Float32Array(count);
  for (let n = 0; n < count; n++) samples[n] = gain * random.normal();
  return samples;
}
