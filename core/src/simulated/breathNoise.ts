import { createBandFilter, type Random } from '../signal/index.ts';

/** Breath: noise of 0.5-8 kHz with unit power. */
export function breathNoise(count: number, sampleRateHz: number, random: Random): Float32Array {
  const filter = createBandFilter(500, Math.min(8000, 0.44 * sampleRateHz), sampleRateHz);
  const noise = new Float32Array(count);
  let power = 0;
  for (let n = 0; n < count; n++) noise[n] = random.normal();
  filter(noise, 0, count, noise);
  for (let n = 0; n < count; n++) power += noise[n] * noise[n];
  const scale = 1 / Math.sqrt(power / Math.max(1, count));
  return noise.map((value) => value * scale);
}
