import { amplitudeFromDb, createRandom, powerFromDb } from '../signal/index.ts';
import { breathNoise } from './breathNoise.ts';
import { createNoteCourse } from './noteCourse.ts';
import type { SimulatedNote } from './simulatedNote.ts';
import { createHarmonicShape, shapeHarmonicsInto } from './spectrum.ts';
import { sumHarmonics } from './sumHarmonics.ts';
import type { Truth } from './truth.ts';

export interface Performance {
  sampleRateHz: number;
  samples: Float32Array<ArrayBuffer>;
  truth: Truth;
}

const STEP_SECONDS = 0.01;
const ATTACK_SECONDS = 0.03;
const JUMP_GLIDE_SECONDS = 0.004;
/** Air before the tone is this far under it. */
const AIR_UNDER_TONE_DB = 16;

/** Plays one note. The same note and seed give the same samples, on every machine. */
export function playNote(note: SimulatedNote): Performance {
  const { profile, sampleRateHz, lengthSeconds } = note;
  const random = createRandom(note.seed);
  const { f0HzAt, levelDbAt, loudnessAt, breathDbAt, envelopeAt } = createNoteCourse(note, random);
  const onsetSeconds = note.leadSeconds + profile.responseMs / 1000;
  const total = Math.round((onsetSeconds + lengthSeconds + note.tailSeconds) * sampleRateHz);
  const first = Math.round(onsetSeconds * sampleRateHz);
  const toneSamples = Math.round(lengthSeconds * sampleRateHz);
  const samples = new Float32Array(total);
  const noise = breathNoise(total, sampleRateHz, random);
  const shape = createHarmonicShape();
  const phases = new Float64Array(4);
  const sums = new Float64Array(4);

  // Pitch, level and spectrum are set afresh every millisecond; the phase runs through.
  const block = Math.max(1, Math.round(sampleRateHz / 1000));
  const glide = Math.exp(-1 / 1000 / JUMP_GLIDE_SECONDS);
  let heardHz = f0HzAt(0);
  let phase = 0;
  for (let start = 0; start < toneSamples; start += block) {
    const seconds = start / sampleRateHz;
    const wantedHz = f0HzAt(seconds);
    const jumping = Math.abs(wantedHz / heardHz - 1) > 0.03;
    heardHz = jumping ? heardHz * glide + wantedHz * (1 - glide) : wantedHz;
    const levelDb = levelDbAt(seconds);
    const loudness = loudnessAt(levelDb);
    shapeHarmonicsInto(shape, heardHz, loudness, sampleRateHz, note.colourAt?.(seconds) ?? null);
    const breathDb = breathDbAt(seconds, loudness);
    const noisePower = shape.breathBandShare * powerFromDb(breathDb);
    const gain = (amplitudeFromDb(levelDb) / Math.sqrt(1 + noisePower)) * envelopeAt(seconds);
    const noiseGain = gain * Math.sqrt(noisePower);
    const turn = (2 * Math.PI * heardHz) / sampleRateHz;
    const end = Math.min(start + block, toneSamples);
    for (let n = start; n < end; n += 4) {
      const count = Math.min(4, end - n);
      for (let i = 0; i < 4; i++) {
        if (i < count) phase += turn;
        phases[i] = phase;
      }
      sumHarmonics(shape, phases, sums);
      for (let i = 0; i < count; i++)
        samples[first + n + i] += gain * sums[i] + noiseGain * noise[first + n + i];
    }
    phase %= 2 * Math.PI;
  }

  const airFrom = Math.round(note.leadSeconds * sampleRateHz);
  const airGain = amplitudeFromDb(levelDbAt(0) - AIR_UNDER_TONE_DB);
  const fade = ATTACK_SECONDS * sampleRateHz;
  for (let n = airFrom; n < first + fade && n < total; n++) {
    const swell = Math.min(1, (n - airFrom) / fade, (first + fade - n) / fade);
    if (profile.responseMs > 0) samples[n] += airGain * swell * noise[n];
  }
  return { sampleRateHz, samples, truth: tell() };

  function tell(): Truth {
    const frames = Math.floor(total / sampleRateHz / STEP_SECONDS) + 1;
    const f0Hz = new Float64Array(frames).fill(NaN);
    const levelDb = new Float64Array(frames).fill(NaN);
    for (let i = 0; i < frames; i++) {
      const seconds = i * STEP_SECONDS - onsetSeconds;
      if (seconds < 0 || seconds > lengthSeconds) continue;
      f0Hz[i] = f0HzAt(seconds);
      if (envelopeAt(seconds) === 1) levelDb[i] = levelDbAt(seconds);
    }
    return {
      toneOnsetSeconds: onsetSeconds,
      toneEndSeconds: onsetSeconds + lengthSeconds,
      f0Hz,
      levelDb,
      jumps: profile.jumps.map(({ atSeconds, lengthSeconds: length, toPartial }) => ({
        timeSeconds: onsetSeconds + atSeconds,
        lengthSeconds: length,
        from: note.partial,
        to: toPartial,
      })),
    };
  }
}
