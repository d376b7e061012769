import { renderClick } from '@inner-hum/core/hearing';
import { createRandom } from '@inner-hum/core/signal';
import type { ExactSound } from './tone.ts';

/** What a room, a cable or a neighbour does to a sound; the truth stays what it was. */
export type Fault = (sound: ExactSound) => ExactSound;

const change = (sound: ExactSound, samples: Float32Array): ExactSound => ({ ...sound, samples });

/** White noise of so many dBFS. */
export function hiss(levelDb: number, seed = 4): Fault {
  return (sound) => {
    const random = createRandom(seed);
    const sigma = 10 ** (levelDb / 20);
    return change(
      sound,
      sound.samples.map((value) => value + sigma * random.normal()),
    );
  };
}

/** Metronome clicks of this peak level that nobody has announced, twice a second. */
export function clicks(peakDb: number): Fault {
  return (sound) => {
    const { sampleRateHz } = sound;
    const samples = sound.samples.slice();
    const click = renderClick(sampleRateHz);
    const gain = 10 ** (peakDb / 20);
    for (let at = 0.27; at < samples.length / sampleRateHz - 0.1; at += 0.5)
      click.forEach((value, n) => (samples[Math.round(at * sampleRateHz) + n] += gain * value));
    return change(sound, samples);
  };
}

/** Mains hum: a fundamental and its second and third harmonic, together at this level. */
export function hum(humHz: number, levelDb: number): Fault {
  return (sound) => {
    const gain = 10 ** (levelDb / 20) * Math.sqrt(2 / (1 + 0.25 + 0.09));
    const turn = (2 * Math.PI * humHz) / sound.sampleRateHz;
    return change(
      sound,
      sound.samples.map(
        (value, n) =>
          value +
          gain * (Math.sin(turn * n) + 0.5 * Math.sin(2 * turn * n + 1) + 0.3 * Math.sin(3 * turn * n + 2)),
      ),
    );
  };
}

const ROOM_RAYS = 60;
const ROOM_SECONDS = 0.4;

/** Sixty reflections dying away by 60 dB within 0.4 s, together this far under the direct sound. */
export function reverberation(underDb: number, seed = 8): Fault {
  return (sound) => {
    const random = createRandom(seed);
    const rays = Array.from({ length: ROOM_RAYS }, () => {
      const seconds = 0.006 + 0.3 * random.uniform() ** 2;
      return { seconds, gain: 10 ** ((-60 * seconds) / ROOM_SECONDS / 20) * random.normal() };
    });
    const energy = rays.reduce((sum, { gain }) => sum + gain * gain, 0);
    const scale = 10 ** (-underDb / 20) / Math.sqrt(energy);
    const samples = sound.samples.slice();
    for (const { seconds, gain } of rays) {
      const delay = Math.round(seconds * sound.sampleRateHz);
      for (let n = delay; n < samples.length; n++) samples[n] += scale * gain * sound.samples[n - delay];
    }
    return change(sound, samples);
  };
}

/** Cuts everything over this share of the highest peak. */
export function clipping(share: number): Fault {
  return (sound) => {
    const top = share * sound.samples.reduce((most, value) => Math.max(most, Math.abs(value)), 0);
    return change(
      sound,
      sound.samples.map((value) => Math.max(-top, Math.min(top, value))),
    );
  };
}

/** A constant offset, as of a bad input. */
export function offset(value: number): Fault {
  return (sound) =>
    change(
      sound,
      sound.samples.map((sample) => sample + value),
    );
}

/** Air without tone: white noise of so many dBFS between two moments. */
export function air(fromSeconds: number, toSeconds: number, levelDb: number, seed: number): Fault {
  return (sound) => {
    const random = createRandom(seed);
    const sigma = 10 ** (levelDb / 20);
    const samples = sound.samples.slice();
    const end = Math.round(toSeconds * sound.sampleRateHz);
    for (let n = Math.round(fromSeconds * sound.sampleRateHz); n < end; n++)
      samples[n] += sigma * random.normal();
    return change(sound, samples);
  };
}

/** Someone speaks: voiced syllables of a gliding pitch under moving formants, a quarter of them hissed. */
export function speech(fromSeconds: number, toSeconds: number, levelDb: number, seed: number): Fault {
  return (sound) => {
    const { sampleRateHz } = sound;
    const random = createRandom(seed);
    const samples = sound.samples.slice();
    const gain = 10 ** (levelDb / 20);
    let phase = 0;
    let at = fromSeconds;
    while (at < toSeconds) {
      const length = 0.09 + 0.12 * random.uniform();
      const [startHz, endHz] = [90 + 90 * random.uniform(), 80 + 90 * random.uniform()];
      const formants = [300 + 500 * random.uniform(), 900 + 1300 * random.uniform()];
      const hissed = random.uniform() < 0.25;
      const first = Math.round(at * sampleRateHz);
      const count = Math.round(Math.min(length, toSeconds - at) * sampleRateHz);
      for (let n = 0; n < count; n++) {
        const u = n / count;
        const hz = startHz * (endHz / startHz) ** u;
        phase += (2 * Math.PI * hz) / sampleRateHz;
        let sum = 0;
        for (let k = 1; k * hz < 3500; k++)
          sum +=
            formants.reduce((most, f) => most + 1 / (1 + ((k * hz - f) / 90) ** 2), 0.05) *
            Math.sin(k * phase);
        samples[first + n] += gain * Math.sin(Math.PI * u) * (hissed ? 0.3 * random.normal() : 0.5 * sum);
      }
      at += length + 0.04 * random.uniform();
    }
    return change(sound, samples);
  };
}

/** One fault after another. */
export function all(...faults: readonly Fault[]): Fault {
  return (sound) => faults.reduce((changed, fault) => fault(changed), sound);
}
