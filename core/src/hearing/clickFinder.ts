import FFT from 'fft.js';
import { CLICK_SECONDS, renderClick } from './clickShape.ts';

export interface FoundClick {
  /** Start of the click as heard, on the sound's own clock. */
  timeSeconds: number;
  /** Height of its correlation over the RMS of the correlation around it: how sure the finding is. */
  prominence: number;
}

/** Chance alone reaches about 3 in a search of this length, the horn's own upper partials about 4. */
const MIN_PROMINENCE = 5;
const HEARD_FROM_HZ = 2000;

/**
 * Finds metronome clicks near the times at which they are expected: matched filter with the known shape, the
 * spectrum whitened (only phase kept: Knapp & Carter 1976, PHAT) so that a loud harmonic cannot pose as a
 * click. `expectedSeconds` is where each click would start were there no error; `slackSeconds` how far to
 * either side to look. Clicks that are not in the sound (headphones) are simply not found.
 */
export function findClicks(
  samples: Float32Array,
  sampleRateHz: number,
  expectedSeconds: readonly number[],
  slackSeconds: number,
): FoundClick[] {
  const click = renderClick(sampleRateHz);
  const span = Math.ceil((2 * slackSeconds + CLICK_SECONDS) * sampleRateHz);
  const size = 2 ** Math.ceil(Math.log2(span + click.length));
  const fft = new FFT(size);
  const shape = fft.createComplexArray();
  const sound = fft.createComplexArray();
  const lag = fft.createComplexArray();
  const output = fft.createComplexArray();
  const input = new Array<number>(size).fill(0);
  click.forEach((value, n) => (input[n] = value));
  fft.realTransform(shape, input);
  const lowestBin = Math.ceil((HEARD_FROM_HZ * size) / sampleRateHz);
  const highestBin = Math.min(size / 2 - 1, Math.floor((8000 * size) / sampleRateHz));

  const found: FoundClick[] = [];
  for (const expected of expectedSeconds) {
    const start = Math.round((expected - slackSeconds) * sampleRateHz);
    for (let n = 0; n < size; n++) input[n] = n < span ? (samples[start + n] ?? 0) : 0;
    fft.realTransform(sound, input);
    lag.fill(0);
    for (let bin = lowestBin; bin <= highestBin; bin++) {
      const re = sound[2 * bin] * shape[2 * bin] + sound[2 * bin + 1] * shape[2 * bin + 1];
      const im = sound[2 * bin + 1] * shape[2 * bin] - sound[2 * bin] * shape[2 * bin + 1];
      const magnitude = Math.hypot(re, im) + 1e-12;
      lag[2 * bin] = re / magnitude;
      lag[2 * bin + 1] = im / magnitude;
    }
    fft.inverseTransform(output, lag);
    let best = 0;
    let energy = 0;
    const last = Math.min(span, Math.round(2 * slackSeconds * sampleRateHz) + 1);
    const height = (n: number) => Math.hypot(output[2 * n], output[2 * n + 1]);
    for (let n = 0; n < last; n++) {
      energy += height(n) ** 2;
      if (height(n) > height(best)) best = n;
    }
    const prominence = height(best) / Math.sqrt(energy / last + 1e-30);
    if (prominence >= MIN_PROMINENCE) found.push({ timeSeconds: (start + best) / sampleRateHz, prominence });
  }
  return found;
}
