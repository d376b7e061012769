import { CoreError } from './coreError.ts';
import { createKaiserLowpass } from './kaiserLowpass.ts';
import type { SampleRing } from './sampleRing.ts';

function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b);
}

const TRANSITION = 0.133;

/**
 * Polyphase Kaiser resampler between whole-numbered rates, without delay: sample n of `out` stands at time n / toHz
 * exactly. Stop band about -70 dB (beta 7), flat and free of aliases to 43 % of the lower rate; what folds back lies
 * above that. Returns a function that appends what newly arrived samples of `source` have completed; the ring must
 * hold at least 16 / min(fromHz, toHz) seconds more than come between two calls. Throws `sample-rate-unsupported` for
 * rates that are not whole numbers within 6-192 kHz on the input side.
 */
export function createResampler(
  fromHz: number,
  toHz: number,
  source: SampleRing,
  out: SampleRing,
): () => void {
  if (!Number.isInteger(fromHz) || fromHz < 6000 || fromHz > 192000)
    throw new CoreError('sample-rate-unsupported', `Sample rate must be 6000-192000 Hz, got ${fromHz}.`);
  const divisor = greatestCommonDivisor(fromHz, toHz);
  const up = toHz / divisor;
  const down = fromHz / divisor;
  const lowRateHz = Math.min(fromHz, toHz);
  // Kaiser: width in Hz = (A - 8) / (2.285 * 2 pi * T); A = 70 dB over a transition of 13 % of the low rate.
  const halfWidthSeconds = (70 - 8) / (2.285 * 2 * Math.PI * TRANSITION * lowRateHz) / 2;
  const half = Math.ceil(halfWidthSeconds * fromHz);
  const taps = 2 * half + 1;
  const response = createKaiserLowpass(0.5 * lowRateHz, halfWidthSeconds, 7);
  const phases = Array.from({ length: up }, (_, phase) => {
    const table = Float64Array.from({ length: taps }, (_, i) => response((i - half - phase / up) / fromHz));
    const sum = table.reduce((total, value) => total + value, 0);
    // Filled up with zeros to whole fours.
    const filled = new Float64Array(4 * Math.ceil(taps / 4));
    filled.set(table.map((value) => value / sum));
    return filled;
  });
  const { data } = source;
  // The next output stands at (nextCentre + nextPhase / up) input samples.
  let nextCentre = 0;
  let nextPhase = 0;
  return () => {
    while (nextCentre + half < source.end) {
      const table = phases[nextPhase];
      const offset = source.offsetOf(nextCentre - half);
      // Four sums side by side: one alone would wait for itself at every tap.
      let sum0 = 0;
      let sum1 = 0;
      let sum2 = 0;
      let sum3 = 0;
      for (let i = 0; i < taps; i += 4) {
        const at = offset + i;
        sum0 += table[i] * data[at];
        sum1 += table[i + 1] * data[at + 1];
        sum2 += table[i + 2] * data[at + 2];
        sum3 += table[i + 3] * data[at + 3];
      }
      out.append(sum0 + sum1 + (sum2 + sum3));
      nextPhase += down;
      nextCentre += Math.floor(nextPhase / up);
      nextPhase %= up;
    }
  };
}
