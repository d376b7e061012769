import { createBandFilter, dbFromPower, hannInto, SampleRing } from '../signal/index.ts';

/** Length of the Hann window in which a level is told. */
export const LEVEL_WINDOW_SECONDS = 0.05;
/** A steep corner at 45 Hz keeps the lowest fundamental (62 Hz) whole and rumble and offset out. */
const LOW_HZ = 45;
const HIGH_HZ = 14000;
const BLOCK = 256;
/** Power is summed over stretches this short, so that a window is a few sums and not thousands of samples. */
const STRETCH_SECONDS = 1 / 800;

export interface LevelMeter {
  /** Takes what has newly arrived in the ring it listens to. */
  pull(): void;
  /** Level in dBFS around a moment, in seconds, true to half a stretch. */
  levelDbAt(seconds: number): number;
}

/** RMS level of the band 50 Hz-14 kHz of a stream in a 50 ms Hann window, in dBFS. */
export function createLevelMeter(source: SampleRing, sampleRateHz: number): LevelMeter {
  const stretch = Math.round(STRETCH_SECONDS * sampleRateHz);
  const length = 2 * Math.round((LEVEL_WINDOW_SECONDS * sampleRateHz) / stretch / 2);
  const window = new Float64Array(length);
  hannInto(window, length);
  const weight = stretch * window.reduce((sum, value) => sum + value, 0);
  const filter = createBandFilter(LOW_HZ, HIGH_HZ, sampleRateHz);
  const power = new SampleRing(1 / 3 / STRETCH_SECONDS);
  const filtered = new Float32Array(BLOCK);
  let taken = 0;
  let inStretch = 0;
  // In an array, because the engine would box a number that a closure keeps.
  const sum = new Float64Array(1);
  return {
    pull() {
      while (taken < source.end) {
        const count = Math.min(BLOCK, source.end - taken);
        const offset = source.offsetOf(taken);
        filter(source.data, offset, offset + count, filtered);
        taken += count;
        for (let n = 0; n < count;) {
          const end = Math.min(count, n + stretch - inStretch);
          inStretch += end - n;
          let total = sum[0];
          for (; n < end; n++) total += filtered[n] * filtered[n];
          sum[0] = total;
          if (inStretch < stretch) continue;
          power.append(total);
          sum[0] = 0;
          inStretch = 0;
        }
      }
    },
    levelDbAt(seconds) {
      const { data } = power;
      const middle = Math.round((seconds * sampleRateHz) / stretch);
      const offset = power.offsetOf(middle - length / 2);
      let total = 0;
      for (let n = 0; n < length; n++) total += window[n] * data[offset + n];
      return dbFromPower(total / weight);
    },
  };
}
