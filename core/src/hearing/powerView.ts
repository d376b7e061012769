import FFT from 'fft.js';
import { hannInto, type SampleRing } from '../signal/index.ts';

/** The power spectrum of a Hann window of `seconds` over a stream, and sums over its bins. */
export function createPowerView({ data }: SampleRing, rateHz: number, seconds: number) {
  const length = Math.round(seconds * rateHz);
  const size = 2 ** Math.ceil(Math.log2(length) - 0.01);
  const used = Math.min(length, size);
  const window = new Float64Array(used);
  hannInto(window, used);
  const fft = new FFT(size);
  const input = new Array<number>(size).fill(0);
  const output = fft.createComplexArray();
  // Sum of the power of all bins under an index: any stretch of bins is then two reads.
  const powerUnder = new Float64Array(size / 2 + 2);
  const windowEnergy = window.reduce((sum, value) => sum + value * value, 0);
  return {
    length: used,
    binHz: rateHz / size,
    /** Half width of the Hann main lobe. */
    lobeHz: 2 / seconds,
    /** Turns a sum of bins into mean square of the signal (Parseval, one-sided). */
    scale: 2 / (size * windowEnergy),
    /** First bin within a band, and the last one. */
    firstBin: (fromHz: number) => Math.ceil((fromHz * size) / rateHz),
    lastBin: (toHz: number) => Math.min(size / 2, Math.floor((toHz * size) / rateHz)),
    /** Sum of the power of the bins from `first` to `last`. */
    sumOver: (first: number, last: number) => powerUnder[last + 1] - powerUnder[first],
    /** Mean power of the bins within a band; of the nearest bin where none lies within. */
    meanOver(fromHz: number, toHz: number): number {
      const first = this.firstBin(fromHz);
      const last = Math.max(first, this.lastBin(toHz));
      return this.sumOver(first, last) / (last - first + 1);
    },
    /** `offset` is where the window begins in the ring's data. */
    measure(offset: number) {
      for (let n = 0; n < used; n++) input[n] = window[n] * data[offset + n];
      fft.realTransform(output, input);
      let sum = 0;
      for (let bin = 0; bin <= size / 2; bin++) {
        const re = output[2 * bin];
        const im = output[2 * bin + 1];
        sum += re * re + im * im;
        powerUnder[bin + 1] = sum;
      }
    },
  };
}
