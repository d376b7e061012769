import { createRandom } from '@inner-hum/core/signal';

/** Sound whose pitch is known at every moment, made here and not by the simulated player: no ear may know its maker. */
export interface ExactSound {
  samples: Float32Array;
  sampleRateHz: number;
  /** Fundamental in Hz at a moment; null where nothing sounds. */
  f0HzAt(seconds: number): number | null;
  /** Moments that are scored: from, to, in seconds. */
  scored: readonly (readonly [from: number, to: number])[];
  /** Where a tone begins, in seconds; its attack has reached half its height there. */
  onsets: readonly number[];
  /** Mean square of the harmonics within a band, and of the noise, while the tone is at its full level. */
  powers(fromHz: number, toHz: number): { harmonic: number; noise: number };
  /** Median error in cents that no unbiased estimator in a window of so many seconds can better; null without noise. */
  boundCents(windowSeconds: number): number | null;
}

export interface ToneConfig {
  f0Hz: number;
  sampleRateHz: number;
  seed: number;
  seconds: number;
  levelDb: number;
  /** Harmonics against noise over the whole band, in dB; null is no noise. */
  harmonicToNoiseDb: number | null;
  vibratoCents: number;
  /** From soft to loud and back by so many dB. */
  swellDb: number;
  /** The fundamental so much under where it would be. */
  weakBy: number;
  /** Beginnings and ends of tone. */
  sounding: readonly (readonly [from: number, to: number])[];
  /** From these moments on the pitch is this many times `f0Hz`, without a glide. */
  jumps: readonly { atSeconds: number; times: number }[];
  /** Gain in dB of a frequency: the formants of a voice; null is flat. */
  formantDb: ((hz: number) => number) | null;
  /** From a moment on the tone dies by 40 dB over so many seconds while its pitch sinks by so many cents. */
  sag: { atSeconds: number; seconds: number; cents: number } | null;
}

const VIBRATO_HZ = 5;
const MOST_HARMONICS = 24;
const ATTACK_SECONDS = 0.012;

export const PLAIN_TONE: Omit<ToneConfig, 'f0Hz' | 'sampleRateHz' | 'seed'> = {
  seconds: 1.1,
  levelDb: -20,
  harmonicToNoiseDb: null,
  vibratoCents: 0,
  swellDb: 0,
  weakBy: 0,
  sounding: [[-1, 100]],
  jumps: [],
  formantDb: null,
  sag: null,
};

/** Settled sound only: this much is left out at either end. */
export const EDGE_SECONDS = 0.15;

/** Harmonics falling by 6 dB an octave with seeded phases; the second, as on many notes, above the first. */
export function makeTone(config: ToneConfig): ExactSound {
  const { f0Hz, sampleRateHz, seconds, sounding, jumps } = config;
  const random = createRandom(config.seed);
  const highest = f0Hz * Math.max(1, ...jumps.map(({ times }) => times));
  const count = Math.min(MOST_HARMONICS, Math.floor((0.42 * sampleRateHz) / highest));
  const amplitudes = Array.from({ length: count }, (_, i) => {
    const db = (i === 0 ? -config.weakBy : 0) + (config.formantDb?.((i + 1) * f0Hz) ?? 0);
    return ((i === 1 ? 1.1 : 1) / (i + 1)) * 10 ** (db / 20);
  });
  const power = amplitudes.reduce((sum, a) => sum + (a * a) / 2, 0);
  const gain = Math.sqrt(10 ** (config.levelDb / 10) / power);
  const phases = amplitudes.map(() => 2 * Math.PI * random.uniform());
  const noiseSigma =
    config.harmonicToNoiseDb === null ? 0 : gain * Math.sqrt(power / 10 ** (config.harmonicToNoiseDb / 10));
  const timesAt = (at: number) => jumps.findLast(({ atSeconds }) => at >= atSeconds)?.times ?? 1;
  const { sag } = config;
  const sagAt = (at: number) =>
    sag === null ? 0 : Math.max(0, Math.min(1, (at - sag.atSeconds) / sag.seconds));
  const hzAt = (at: number) =>
    f0Hz *
    timesAt(at) *
    2 ** ((-(sag?.cents ?? 0) * sagAt(at)) / 1200) *
    2 ** ((config.vibratoCents / 1200) * Math.sin(2 * Math.PI * VIBRATO_HZ * at));
  // Raised cosine edges, half-way up at the moment itself.
  const edge = (at: number) => {
    const u = Math.max(0, Math.min(1, at / ATTACK_SECONDS + 0.5));
    return 0.5 - 0.5 * Math.cos(Math.PI * u);
  };
  const envelope = (at: number) =>
    sounding.reduce((sum, [from, to]) => sum + edge(at - from) * edge(to - at), 0);
  const samples = new Float32Array(Math.round(seconds * sampleRateHz));
  let phase = 0;
  for (let n = 0; n < samples.length; n++) {
    const at = n / sampleRateHz;
    const loud =
      10 ** ((-config.swellDb * Math.abs((2 * at) / seconds - 1)) / 20) *
      envelope(at) *
      10 ** (-2 * sagAt(at));
    let sum = 0;
    if (loud > 0)
      for (let k = 1; k <= count; k++) sum += amplitudes[k - 1] * Math.sin(k * phase + phases[k - 1]);
    samples[n] = gain * loud * sum + (noiseSigma > 0 ? noiseSigma * loud * random.normal() : 0);
    // The phase at the next sample: the frequency half-way is exact to the third order.
    phase += (2 * Math.PI * hzAt(at + 0.5 / sampleRateHz)) / sampleRateHz;
  }
  const weightedPower = gain * gain * amplitudes.reduce((sum, a, i) => sum + (a * (i + 1)) ** 2, 0);
  return {
    samples,
    sampleRateHz,
    f0HzAt: (at) => (sounding.some(([from, to]) => at >= from && at < to) ? hzAt(at) : null),
    scored: [[EDGE_SECONDS, seconds - EDGE_SECONDS]],
    onsets: sounding.map(([from]) => from).filter((from) => from > 0),
    powers: (fromHz, toHz) => ({
      harmonic: amplitudes.reduce((sum, a, i) => {
        const hz = (i + 1) * f0Hz;
        return sum + (hz >= fromHz && hz <= toHz ? (gain * gain * a * a) / 2 : 0);
      }, 0),
      noise: (noiseSigma ** 2 * (toHz - fromHz)) / (sampleRateHz / 2),
    }),
    boundCents(windowSeconds) {
      if (noiseSigma === 0) return null;
      const length = windowSeconds * sampleRateHz;
      const variance = (24 * noiseSigma ** 2) / (length * (length * length - 1) * weightedPower);
      const omega = (2 * Math.PI * f0Hz) / sampleRateHz;
      // Median of the size of a normal error is 0.6745 of its deviation.
      return (0.6745 * 1200 * Math.log2(Math.E) * Math.sqrt(variance)) / omega;
    },
  };
}
