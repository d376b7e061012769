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
  readonly power = new Float64Array(HALF + 1);

  constructor(sampleRateHz: number, topHz: number) {
    this.binHz = sampleRateHz / SIZE;
    this.topHz = topHz;
  }

  private hann(part: Float64Array, bin: number): number {
    return part[bin] / 2 + (part[bin - 1] + part[bin + 1]) / 4;
  }

  /** Fills the power of the Hann-windowed signal, formed in the frequency domain (centre at index 0). */
  window(): void {
    for (let bin = 1; bin <= HALF; bin++)
      this.power[bin] = this.hann(this.re, bin) ** 2 + this.hann(this.im, bin) ** 2;
    this.power[0] = 0;
  }

  /**
   * Frequency of the sinusoid under a bin, in Hz, from the window's derivative
   * (Auger & Flandrin 1995, reassigned frequency). Bins 2..254 only.
   */
  reassignedHz(bin: number): number {
    const xRe = this.hann(this.re, bin);
    const xIm = this.hann(this.im, bin);
    // D = (j/2)(R[b-1] - R[b+1])
    const dRe = -(this.im[bin - 1] - this.im[bin + 1]) / 2;
    const dIm = (this.re[bin - 1] - this.re[bin + 1]) / 2;
    const ratioIm = (dIm * xRe - dRe * xIm) / (xRe * xRe + xIm * xIm + 1e-30);
    return bin * this.binHz - (this.binHz / 2) * ratioIm;
  }
}

/** The two views of one frame: short (42.7 ms, to 5.2 kHz) and long (85.3 ms, to 2.6 kHz). */
export interface DualSpectrum {
  short: Spectrum;
  long: Spectrum;
}

/** Length of the window in which a pitch is heard: long under the border, short above it. */
export function pitchWindowSeconds(f0Hz: number): number {
  return SIZE / (f0Hz < LONG_WINDOW_BELOW_HZ ? LONG_RATE_HZ : SHORT_RATE_HZ);
}

export function createDualSpectrum(): DualSpectrum {
  return { short: new Spectrum(SHORT_RATE_HZ, 5200), long: new Spectrum(LONG_RATE_HZ, 2600) };
}

/**
 * Returns a function that fills `out` with both spectra around one moment from a single complex FFT: the
 * 12 kHz signal as its real part, the 6 kHz signal as its imaginary part.
 */
export function createDualSpectrumStage(): (
  ring12: SampleRing,
  centre12: number,
  ring6: SampleRing,
  centre6: number,
  out: DualSpectrum,
) => void {
  const fft = new FFT(SIZE);
  const input = new Array<number>(2 * SIZE).fill(0);
  const output = fft.createComplexArray();
  const part12 = new Float64Array(SIZE);
  const part6 = new Float64Array(SIZE);
  return (ring12, centre12, ring6, centre6, out) => {
    ring12.readInto(part12, centre12 - HALF);
    ring6.readInto(part6, centre6 - HALF);
    for (let n = 0; n < SIZE; n++) {
      const slot = 2 * ((n + HALF) & (SIZE - 1));
      input[slot] = part12[n];
      input[slot + 1] = part6[n];
    }
    fft.transform(output, input);
    for (let bin = 0; bin <= HALF; bin++) {
      const mirror = (SIZE - bin) & (SIZE - 1);
      const zRe = output[2 * bin];
      const zIm = output[2 * bin + 1];
      const mRe = output[2 * mirror];
      const mIm = output[2 * mirror + 1];
      out.short.re[bin] = (zRe + mRe) / 2;
      out.short.im[bin] = (zIm - mIm) / 2;
      out.long.re[bin] = (zIm + mIm) / 2;
      out.long.im[bin] = (mRe - zRe) / 2;
    }
    for (const spectrum of [out.short, out.long]) {
      spectrum.re[HALF + 1] = spectrum.re[HALF - 1];
      spectrum.im[HALF + 1] = -spectrum.im[HALF - 1];
      spectrum.window();
    }
  };
}
