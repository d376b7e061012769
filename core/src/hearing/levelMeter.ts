import { createBandFilter, dbFromPower, hannInto, SampleRing } from '../signal/index.ts';

const WINDOW_SECONDS = 0.05;
const BLOCK = 128;

/** RMS level of the band 50 Hz-14 kHz in a 50 ms Hann window, in dBFS. */
export interface LevelMeter {
  push(samples: Float32Array, from: number, to: number): void;
  /** Level around an absolute sample index. */
  levelDbAt(centre: number): number;
}

export function createLevelMeter(sampleRateHz: number): LevelMeter {
  const length = Math.round(WINDOW_SECONDS * sampleRateHz);
  const half = length >> 1;
  const window = new Float64Array(length);
  hannInto(window, length);
  const weight = window.reduce((sum, value) => sum + value, 0);
  // A steep corner at 45 Hz keeps the lowest fundamental (69 Hz) whole and rumble and offset out.
  const filter = createBandFilter(45, 14000, sampleRateHz);
  const ring = new SampleRing(sampleRateHz);
  const part = new Float64Array(length);
  const filtered = new Float32Array(BLOCK);
  return {
    push(samples, from, to) {
      for (let start = from; start < to; start += BLOCK) {
        const end = Math.min(to, start + BLOCK);
        filter(samples, start, end, filtered);
        ring.appendFrom(filtered, 0, end - start);
      }
    },
    levelDbAt(centre) {
      let sum = 0;
      ring.readInto(part, centre - half);
      for (let n = 0; n < length; n++) sum += window[n] * part[n] * part[n];
      return dbFromPower(sum / weight);
    },
  };
}
