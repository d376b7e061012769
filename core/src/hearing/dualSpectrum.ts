import FFT from 'fft.js';
import type { SampleRing } from '../signal/index.ts';

const SIZE = 512;
const HALF = SIZE / 2;
/** Rates of the signals that the short and the long spectrum see. */
const SHORT_RATE_HZ = 12000;
const LONG_RATE_HZ = 6000;
/** Under this fundamental the long window is needed to part the harmonics. */
export const LONG_WINDOW_BELOW_HZ = 115;

/** One spectrum centred on a frame: bins 0..256 of the plain transform and of its Hann-windowed power. */
export class Spectrum {
  readonly binHz: number;
  /** Highest frequency at which the internal rate still tells the truth. */
  readonly topHz: number;
  readonly re = new Float64Array(HALF + 2);
  readonly im = new Float64Array(HALF + 2);
  private readonly powers = new Float64Array(HALF + 1);
  private windowed = false;

  constructor(sampleRateHz: number, topHz: number) {
    this.binHz = sampleRateHz / SIZE;
    this.topHz = topHz;
  }

  /** `re` and `im` have been filled anew, up to bin 256. */
  filled(): void {
    // The mean of the window is a bad input's offset; without it nothing of that leaks into the other bins.
    this.re[0] = 0;
    this.im[0] = 0;
    this.re[HALF + 1] = this.re[HALF - 1];
    this.im[HALF + 1] = -this.im[HALF - 1];
    this.windowed = false;
  }

  /** Power of the Hann-windowed signal, formed in the frequency domain (centre at index 0) when it is first wanted. */
  get power(): Float64Array {
    const { re, im, powers } = this;
    if (this.windowed) return powers;
    for (let bin = 1; bin <= HALF; bin++) {
      const wRe = re[bin] / 2 + (re[bin - 1] + re[bin + 1]) / 4;
      const wIm = im[bin] / 2 + (im[bin - 1] + im[bin + 1]) / 4;
      powers[bin] = wRe * wRe + wIm * wIm;
    }
    powers[0] = 0;
    this.windowed = true;
    return powers;
  }

  /**
   * Frequency of the sinusoid under a bin, in Hz, from the window's derivative
   * (Auger & Flandrin 1995, reassigned frequency). Bins 2..254 only.
   */
  reassignedHz(bin: number): number {
    const { re, im } = this;
    const xRe = re[bin] / 2 + (re[bin - 1] + re[bin + 1]) / 4;
    const xIm = im[bin] / 2 + (im[bin - 1] + im[bin + 1]) / 4;
    // D = (j/2)(R[b-1] - R[b+1])
    const dRe = -(im[bin - 1] - im[bin + 1]) / 2;
    const dIm = (re[bin - 1] - re[bin + 1]) / 2;
    const ratioIm = (dIm * xRe - dRe * xIm) / (xRe * xRe + xIm * xIm + 1e-30);
    return bin * this.binHz - (this.binHz / 2) * ratioIm;
  }

  /** Frequency of the sinusoid under the louder of the two bins around `hz`, in Hz; from 2 bins up to 254. */
  strongestHzNear(hz: number): number {
    const below = Math.max(2, Math.min(253, Math.floor(hz / this.binHz)));
    return this.reassignedHz(this.power[below] < this.power[below + 1] ? below + 1 : below);
  }
}

/** The two views of one frame: short (42.7 ms, to 5.2 kHz) and long (85.3 ms, to 2.6 kHz). */
export interface DualSpectrum {
  short: Spectrum;
  long: Spectrum;
}

/** The view in which the harmonics of a fundamental are parted: long under the border, short above it. */
export const spectrumFor = ({ short, long }: DualSpectrum, f0Hz: number): Spectrum =>
  f0Hz < LONG_WINDOW_BELOW_HZ ? long : short;

/** Length of the window in which a pitch is heard: long under the border, short above it. */
export function pitchWindowSeconds(f0Hz: number): number {
  return SIZE / (f0Hz < LONG_WINDOW_BELOW_HZ ? LONG_RATE_HZ : SHORT_RATE_HZ);
}

/** Room for both views of a frame. */
export function createDualSpectrum(): DualSpectrum {
  return { short: new Spectrum(SHORT_RATE_HZ, 5200), long: new Spectrum(LONG_RATE_HZ, 2600) };
}

/**
 * Returns a function that fills `out` with both spectra around one moment from a single complex FFT: the 12 kHz signal
 * as its real part, the 6 kHz signal as its imaginary part. `withLong` is false while the long window has not arrived
 * whole: the long spectrum then means nothing, and half of the work is enough.
 */
export function createDualSpectrumStage(
  at12: SampleRing,
  at6: SampleRing,
): (centre12: number, withLong: boolean, out: DualSpectrum) => void {
  const fft = new FFT(SIZE);
  const pair = new Array<number>(2 * SIZE).fill(0);
  const single = new Array<number>(SIZE).fill(0);
  const output = fft.createComplexArray();
  const data12 = at12.data;
  const data6 = at6.data;

  function both(from12: number, from6: number, { short, long }: DualSpectrum) {
    for (let n = 0; n < HALF; n++) {
      pair[2 * (n + HALF)] = data12[from12 + n];
      pair[2 * (n + HALF) + 1] = data6[from6 + n];
      pair[2 * n] = data12[from12 + HALF + n];
      pair[2 * n + 1] = data6[from6 + HALF + n];
    }
    fft.transform(output, pair);
    for (let bin = 0; bin <= HALF; bin++) {
      const mirror = 2 * ((SIZE - bin) & (SIZE - 1));
      const zRe = output[2 * bin];
      const zIm = output[2 * bin + 1];
      const mRe = output[mirror];
      const mIm = output[mirror + 1];
      short.re[bin] = (zRe + mRe) / 2;
      short.im[bin] = (zIm - mIm) / 2;
      long.re[bin] = (zIm + mIm) / 2;
      long.im[bin] = (mRe - zRe) / 2;
    }
    long.filled();
  }

  function shortOnly(from12: number, { short }: DualSpectrum) {
    for (let n = 0; n < HALF; n++) {
      single[n + HALF] = data12[from12 + n];
      single[n] = data12[from12 + HALF + n];
    }
    fft.realTransform(output, single);
    for (let bin = 0; bin <= HALF; bin++) {
      short.re[bin] = output[2 * bin];
      short.im[bin] = output[2 * bin + 1];
    }
  }

  return (centre12, withLong, out) => {
    const from12 = at12.offsetOf(centre12 - HALF);
    if (withLong) both(from12, at6.offsetOf(centre12 / 2 - HALF), out);
    else shortOnly(from12, out);
    out.short.filled();
  };
}
