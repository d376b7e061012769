import { createRandom } from '@inner-hum/core/signal';

/** Sound whose pitch is known at every moment, made here and not by the stand-in: no ear may know its maker. */
export interface ExactTone {
  samples: Float32Array;
  /** Fundamental in Hz at a moment; null where nothing sounds. */
  f0HzAt(seconds: number): number | null;
  /** Standard deviation of the noise and squared harmonic amplitudes times k^2, for the Cramer-Rao bound. */
  noiseSigma: number;
  weightedPower: number;
}

export interface ToneKind {
  name: string;
  /** Harmonics against noise over the whole band, in dB; null is no noise. */
  harmonicToNoiseDb: number | null;
  vibratoCents: number;
  /** From soft to loud and back by so many dB. */
  swellDb: number;
  levelDb: number;
}

const kind = (name: string, change: Partial<Omit<ToneKind, 'name'>> = {}): ToneKind => ({
  name,
  harmonicToNoiseDb: null,
  vibratoCents: 0,
  swellDb: 0,
  levelDb: -20,
  ...change,
});

export const TONE_KINDS: readonly ToneKind[] = [
  kind('clean'),
  kind('breath noise 20 dB', { harmonicToNoiseDb: 20 }),
  kind('breath noise 10 dB', { harmonicToNoiseDb: 10 }),
  kind('breath noise 5 dB', { harmonicToNoiseDb: 5 }),
  kind('vibrato 5 Hz, 25 cents', { vibratoCents: 25 }),
  kind('swell of 20 dB', { swellDb: 20 }),
  kind('soft, -55 dBFS, noise 15 dB', { levelDb: -55, harmonicToNoiseDb: 15 }),
];

/** Sounding notes from the baritone's lowest to altissimo. */
export const TONE_PITCHES_HZ = [65.4, 98, 138.6, 207.7, 233.1, 311.1, 466.2, 740, 1046.5, 1480, 2093, 2500];
export const TONE_SECONDS = 1.6;

const VIBRATO_HZ = 5;
const MOST_HARMONICS = 24;

/** Harmonics falling by 6 dB an octave with seeded phases; the second, as on many notes, above the first. */
export function makeTone(
  { harmonicToNoiseDb, vibratoCents, swellDb, levelDb }: ToneKind,
  f0Hz: number,
  sampleRateHz: number,
  seed: number,
): ExactTone {
  const random = createRandom(seed);
  const count = Math.min(MOST_HARMONICS, Math.floor((0.42 * sampleRateHz) / f0Hz));
  const amplitudes = Array.from({ length: count }, (_, i) => (i === 1 ? 1.1 : 1) / (i + 1));
  const power = amplitudes.reduce((sum, a) => sum + (a * a) / 2, 0);
  const gain = Math.sqrt(10 ** (levelDb / 10) / power);
  const phases = amplitudes.map(() => 2 * Math.PI * random.uniform());
  const noiseSigma =
    harmonicToNoiseDb === null ? 0 : gain * Math.sqrt(power / 10 ** (harmonicToNoiseDb / 10));
  const f0HzAt = (seconds: number) =>
    f0Hz * 2 ** ((vibratoCents / 1200) * Math.sin(2 * Math.PI * VIBRATO_HZ * seconds));
  const samples = new Float32Array(Math.round(TONE_SECONDS * sampleRateHz));
  let phase = 0;
  for (let n = 0; n < samples.length; n++) {
    const seconds = n / sampleRateHz;
    const loud = 10 ** ((-swellDb * Math.abs((2 * seconds) / TONE_SECONDS - 1)) / 20);
    let sum = 0;
    for (let k = 1; k <= count; k++) sum += amplitudes[k - 1] * Math.sin(k * phase + phases[k - 1]);
    samples[n] = gain * loud * sum + noiseSigma * random.normal();
    // The phase at the next sample: the frequency half-way is exact to the third order.
    phase += (2 * Math.PI * f0HzAt(seconds + 0.5 / sampleRateHz)) / sampleRateHz;
  }
  const weightedPower = gain * gain * amplitudes.reduce((sum, a, i) => sum + (a * (i + 1)) ** 2, 0);
  return { samples, f0HzAt, noiseSigma, weightedPower };
}
