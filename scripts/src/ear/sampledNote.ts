import { PitchDetector } from 'pitchy';

/** One held note as it was sampled, with its pitch and level every 10 ms, told by another ear than ours. */
export interface SampledNote {
  midi: number;
  samples: Float32Array;
  sampleRateHz: number;
  /** First and last sample of the tone itself. */
  first: number;
  last: number;
  /** Every `STEP_SECONDS` from the first sample of the file. */
  f0Hz: Float64Array;
  levelDb: Float64Array;
  /** In so much of it, once it is settled, its own pitch was heard, 0-1: of what overblows by itself less. */
  ownShare: number;
}

export const STEP_SECONDS = 0.01;
const WINDOW = 2048;
const LEVEL_SECONDS = 0.05;
const SURE = 0.9;
const NEAR_SEMITONES = 1;
/** The tone begins where it is no farther under its loudest, and ends likewise. */
const BEGIN_DB = 12;
const END_DB = 25;
const SETTLED_STEPS = 30;

/** Tells the pitch and level of a note of this nominal pitch, and where its tone begins and ends. */
export function describeNote(midi: number, samples: Float32Array, sampleRateHz: number): SampledNote {
  const detector = PitchDetector.forFloat32Array(WINDOW);
  const nominalHz = 440 * 2 ** ((midi - 69) / 12);
  const count = Math.floor(samples.length / sampleRateHz / STEP_SECONDS);
  const f0Hz = new Float64Array(count);
  const levelDb = new Float64Array(count);
  const half = Math.round((LEVEL_SECONDS / 2) * sampleRateHz);
  const isOwnAt: boolean[] = [];
  let before = nominalHz;
  for (let i = 0; i < count; i++) {
    const at = Math.round(i * STEP_SECONDS * sampleRateHz);
    const window = new Float32Array(WINDOW);
    window.set(samples.subarray(Math.max(0, at - WINDOW / 2), at + WINDOW / 2), Math.max(0, WINDOW / 2 - at));
    const [hz, clarity] = detector.findPitch(window, sampleRateHz);
    const isOwn = clarity >= SURE && Math.abs(12 * Math.log2(hz / nominalHz)) < NEAR_SEMITONES;
    isOwnAt.push(isOwn);
    before = isOwn ? hz : before;
    f0Hz[i] = before;
    const near = samples.subarray(Math.max(0, at - half), at + half);
    const power = near.reduce((sum, value) => sum + value * value, 1e-12);
    levelDb[i] = 10 * Math.log10(power / Math.max(1, near.length));
  }
  const peakDb = levelDb.reduce((most, db) => Math.max(most, db), -Infinity);
  const begin = levelDb.findIndex((db) => db > peakDb - BEGIN_DB);
  const end = levelDb.findLastIndex((db) => db > peakDb - END_DB);
  const settled = isOwnAt.slice(begin + SETTLED_STEPS, end - SETTLED_STEPS);
  const sampleOf = (step: number) => Math.round(step * STEP_SECONDS * sampleRateHz);
  return {
    midi,
    samples,
    sampleRateHz,
    first: sampleOf(begin),
    last: sampleOf(end),
    f0Hz,
    levelDb,
    ownShare: settled.filter(Boolean).length / Math.max(1, settled.length),
  };
}
