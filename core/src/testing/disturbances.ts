import { createRandom, type Random } from '../signal/index.ts';
import { convolver } from './convolve.ts';
import { falling, sineSum } from './sineSum.ts';

/** What a place, a neighbour or a computer does to the sound of a player, sample by sample. */
export type Disturb = (samples: Float32Array, sampleRateHz: number) => Float32Array<ArrayBuffer>;

const gainOf = (db: number) => 10 ** (db / 20);
/** The middle of the usual scale: what a player sounds like on average. */
const PLAYER_DB = -31;

/** A disturbance whose preparation is made once for a rate. */
function atRate(
  prepare: (sampleRateHz: number) => (samples: Float32Array) => Float32Array<ArrayBuffer>,
): Disturb {
  const prepared = new Map<number, ReturnType<typeof prepare>>();
  return (samples, sampleRateHz) => {
    const change = prepared.get(sampleRateHz) ?? prepare(sampleRateHz);
    prepared.set(sampleRateHz, change);
    return change(samples);
  };
}

/** Many reflections a second that die away by 60 dB within `rt60Seconds`, together so many dB under the direct sound. */
export function room(rt60Seconds: number, directToRoomDb: number, seed = 8): Disturb {
  const REFLECTIONS_PER_SECOND = 1000;
  return atRate((sampleRateHz) => {
    const random = createRandom(seed);
    const count = Math.round(REFLECTIONS_PER_SECOND * rt60Seconds);
    const rays = Array.from({ length: count }, (_, i) => {
      const seconds = 0.003 + ((i + random.uniform()) / count) * rt60Seconds;
      return { seconds, gain: gainOf((-60 * seconds) / rt60Seconds) * (random.uniform() < 0.5 ? -1 : 1) };
    });
    const energy = rays.reduce((sum, { gain }) => sum + gain * gain, 0);
    const scale = gainOf(-directToRoomDb) / Math.sqrt(energy);
    const response = new Float64Array(Math.ceil((0.003 + rt60Seconds) * sampleRateHz) + 1);
    response[0] = 1;
    for (const { seconds, gain } of rays) response[Math.round(seconds * sampleRateHz)] += scale * gain;
    return convolver(response);
  });
}

/** Adds a sound of its own to the player's, its RMS over the whole so many dB under the player. */
function beside(underDb: number, make: (length: number, sampleRateHz: number) => Float64Array): Disturb {
  return (samples, sampleRateHz) => {
    const added = make(samples.length, sampleRateHz);
    const power = added.reduce((sum, value) => sum + value * value, 0) / Math.max(1, added.length);
    const scale = power > 0 ? gainOf(PLAYER_DB - underDb) / Math.sqrt(power) : 0;
    return samples.map((value, n) => value + scale * added[n]);
  };
}

/** Hum of the mains, of whole hertz, with its harmonics to 600 Hz. */
export const hum = (underDb: number, humHz = 50): Disturb =>
  beside(underDb, (length, rate) => {
    const second = new Float64Array(rate).map((_, n) => {
      let sum = 0;
      for (let k = 1; k <= 12; k++)
        sum += Math.sin((2 * Math.PI * k * humHz * n) / rate + k * k) / (k % 2 === 1 ? k : 2 * k);
      return sum;
    });
    return new Float64Array(length).map((_, n) => second[n % rate]);
  });

/** White noise, as of a fan. */
export const hiss = (underDb: number, seed = 4): Disturb =>
  beside(underDb, (length) => {
    const random = createRandom(seed);
    return new Float64Array(length).map(() => random.normal());
  });

/** A steady tone with harmonics. */
export const drone = (underDb: number, f0Hz: number): Disturb =>
  beside(underDb, (length, rate) => {
    const amplitudes = falling(8);
    return new Float64Array(length).map((_, n) => sineSum(amplitudes, (2 * Math.PI * f0Hz * n) / rate + 1));
  });

/** Voiced syllables of a gliding pitch under moving formants, a quarter of them hissed, from `from` to the end, with short pauses. */
function talk(length: number, rate: number, random: Random): Float64Array {
  const out = new Float64Array(length);
  const voice = new Float64Array(64);
  let phase = 0;
  let at = 0.1;
  while (at < length / rate) {
    const seconds = 0.09 + 0.12 * random.uniform();
    const [startHz, endHz] = [90 + 130 * random.uniform(), 80 + 130 * random.uniform()];
    const [lowFormantHz, highFormantHz] = [300 + 500 * random.uniform(), 900 + 1300 * random.uniform()];
    const hissed = random.uniform() < 0.25;
    const first = Math.round(at * rate);
    const count = Math.min(Math.round(seconds * rate), length - first);
    for (let n = 0; n < count; n++) {
      const u = n / count;
      const hz = startHz * (endHz / startHz) ** u;
      phase += (2 * Math.PI * hz) / rate;
      if (hissed) out[first + n] += Math.sin(Math.PI * u) * 0.3 * random.normal();
      else {
        const amplitudes = voice.subarray(0, Math.ceil(3500 / hz) - 1);
        for (let k = 1; k <= amplitudes.length; k++) {
          const [low, high] = [(k * hz - lowFormantHz) / 90, (k * hz - highFormantHz) / 90];
          amplitudes[k - 1] = 0.05 + 1 / (1 + low * low) + 1 / (1 + high * high);
        }
        out[first + n] += Math.sin(Math.PI * u) * 0.5 * sineSum(amplitudes, phase);
      }
    }
    at += seconds + 0.04 * random.uniform() + (random.uniform() < 0.15 ? 0.4 : 0);
  }
  return out;
}

/** Someone speaks all along. */
export const speech = (underDb: number, seed = 5): Disturb =>
  beside(underDb, (length, rate) => talk(length, rate, createRandom(seed)));

/** Another horn next door: a line of tones of a quarter to three quarters of a second, with rests. */
function line(length: number, rate: number, random: Random): Float64Array {
  const out = new Float64Array(length);
  let at = 0.2 * random.uniform();
  let step = 0;
  while (at < length / rate) {
    const seconds = 0.25 + 0.5 * random.uniform();
    step = Math.max(-9, Math.min(14, step + Math.round(6 * random.uniform() - 3)));
    const hz = 220 * 2 ** (step / 12);
    const first = Math.round(at * rate);
    const count = Math.min(Math.round(seconds * rate), length - first);
    const amplitudes = falling(Math.min(10, Math.ceil(rate / 2 / hz) - 1));
    for (let n = 0; n < count; n++) {
      const envelope = Math.min(1, n / (0.03 * rate), (count - n) / (0.05 * rate));
      out[first + n] += envelope * sineSum(amplitudes, (2 * Math.PI * hz * n) / rate);
    }
    at += seconds + (random.uniform() < 0.25 ? 0.5 * random.uniform() : 0.01);
  }
  return out;
}

/** A second horn, far off. */
export const neighbour = (underDb: number, seed = 6): Disturb =>
  beside(underDb, (length, rate) => line(length, rate, createRandom(seed)));

/** A radio: speech over music. */
export const radio = (underDb: number, seed = 7): Disturb =>
  beside(underDb, (length, rate) => {
    const random = createRandom(seed);
    const [words, music] = [talk(length, rate, random), line(length, rate, random)];
    return words.map((value, n) => value + 0.3 * music[n]);
  });

/** Clicks of another metronome, twice a second, their peak so many dB over the player's RMS where negative `underDb`. */
export const clicks =
  (underDb: number): Disturb =>
  (samples, rate) => {
    const out = samples.slice();
    const peak = gainOf(PLAYER_DB - underDb);
    for (let at = 0.27; at < samples.length / rate - 0.1; at += 0.5)
      for (let n = 0; n < 0.012 * rate; n++)
        out[Math.round(at * rate) + n] +=
          peak * Math.sin((2 * Math.PI * 1800 * n) / rate) * Math.exp(-n / (0.003 * rate));
    return out;
  };

/** The envelope of a sound: its RMS with one time to rise and one to fall. */
function follow(samples: Float32Array, rate: number, riseSeconds: number, fallSeconds: number): Float32Array {
  const [rise, fall] = [riseSeconds, fallSeconds].map((seconds) => 1 - Math.exp(-1 / (seconds * rate)));
  const out = new Float32Array(samples.length);
  let power = 1e-9;
  samples.forEach((value, n) => {
    const now = value * value;
    power += (now > power ? rise : fall) * (now - power);
    out[n] = Math.sqrt(power);
  });
  return out;
}

/** Automatic gain: a swell of 24 dB comes as one of 24 times `share`. */
export const autoGain =
  (share = 0.375): Disturb =>
  (samples, rate) => {
    const level = follow(samples, rate, 0.02, 0.4);
    const target = gainOf(PLAYER_DB);
    return samples.map((value, n) => value * Math.min(8, (target / Math.max(1e-5, level[n])) ** (1 - share)));
  };

/** Shuts where it is softer than `underDb` under the player, and opens late. */
export const gate =
  (underDb = 18): Disturb =>
  (samples, rate) => {
    const level = follow(samples, rate, 0.01, 0.06);
    const limit = gainOf(PLAYER_DB - underDb);
    let open = 0;
    const step = 1 / (0.01 * rate);
    return samples.map((value, n) => {
      open = Math.max(0, Math.min(1, open + (level[n] > limit ? step : -step)));
      return value * open;
    });
  };

/** An echo canceller that takes the sound back by so many dB around every click of a beat, twice a second. */
export const ducking =
  (byDb = 12): Disturb =>
  (samples, rate) => {
    const ducked = gainOf(-byDb);
    return samples.map((value, n) => {
      const since = ((n / rate + 0.23) % 0.5) / 0.5;
      if (since >= 0.3) return value;
      const edge = Math.min(1, since / 0.04, (0.3 - since) / 0.04);
      return value * (edge < 1 ? gainOf(-byDb * edge) : ducked);
    });
  };

/** Holes of 20 ms from a busy machine, about one in two seconds. */
export const holes =
  (seed = 9): Disturb =>
  (samples, rate) => {
    const random = createRandom(seed);
    const out = samples.slice();
    for (let at = 0.5; at < samples.length / rate; at += 1 + 2 * random.uniform())
      out.fill(0, Math.round(at * rate), Math.round((at + 0.02) * rate));
    return out;
  };

/** One after another. */
export const all =
  (...disturbs: readonly Disturb[]): Disturb =>
  (samples, rate) =>
    disturbs.reduce((changed, disturb) => disturb(changed, rate), samples.slice());
