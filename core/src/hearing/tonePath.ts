import FFT from 'fft.js';
import { dbFromPower, hannInto, type SampleRing } from '../signal/index.ts';

/** Windows long enough to part the harmonics of low notes, short enough to follow high ones. */
const VIEWS = [
  { belowHz: 110, seconds: 0.12 },
  { belowHz: 220, seconds: 0.0853 },
  { belowHz: Infinity, seconds: 0.0427 },
];
const MAX_PARTIAL = 16;
const BREATH_FROM_HZ = 500;
const BREATH_TO_HZ = 8000;

/** What the full-rate spectrum says of a frame; NaN where there is no answer. */
export interface ToneColour {
  brightness: number;
  breathDb: number;
  /** Level of harmonics 1-16 in dBFS, NaN where null. */
  partialsDb: Float64Array;
}

function createView(seconds: number, sampleRateHz: number) {
  const length = Math.round(seconds * sampleRateHz);
  const size = 2 ** Math.ceil(Math.log2(length));
  const window = new Float64Array(length);
  hannInto(window, length);
  const fft = new FFT(size);
  const part = new Float64Array(length);
  const input = new Array<number>(size).fill(0);
  const output = fft.createComplexArray();
  const power = new Float64Array(size / 2 + 1);
  const windowEnergy = window.reduce((sum, value) => sum + value * value, 0);
  return {
    power,
    binHz: sampleRateHz / size,
    /** Half width of the Hann main lobe. */
    lobeHz: 2 / seconds,
    /** Turns a sum of bins into mean square of the signal (Parseval, one-sided). */
    scale: 2 / (size * windowEnergy),
    measure(ring: SampleRing, centre: number) {
      ring.readInto(part, centre - (length >> 1));
      for (let n = 0; n < length; n++) input[n] = window[n] * part[n];
      fft.realTransform(output, input);
      for (let bin = 0; bin < power.length; bin++)
        power[bin] = output[2 * bin] ** 2 + output[2 * bin + 1] ** 2;
    },
  };
}

/**
 * Returns a function that measures colour and breath around a sample of the full-rate signal, given its
 * fundamental. Each harmonic's power is what its main lobe holds above the noise in the gap beside it.
 */
export function createTonePath(
  sampleRateHz: number,
): (ring: SampleRing, centre: number, f0Hz: number, out: ToneColour) => void {
  const views = VIEWS.map(({ belowHz, seconds }) => ({ belowHz, view: createView(seconds, sampleRateHz) }));
  const topHz = Math.min(14000, 0.45 * sampleRateHz);
  const breathTopHz = Math.min(BREATH_TO_HZ, 0.45 * sampleRateHz);
  return (ring, centre, f0Hz, out) => {
    const { view } = views.find(({ belowHz }) => f0Hz < belowHz) ?? views[views.length - 1];
    view.measure(ring, centre);
    const { power, binHz, lobeHz } = view;
    const meanOver = (fromHz: number, toHz: number) => {
      const from = Math.ceil(fromHz / binHz);
      const to = Math.max(from, Math.floor(toHz / binHz));
      let sum = 0;
      for (let bin = from; bin <= to; bin++) sum += power[bin];
      return sum / (to - from + 1);
    };
    const lobeBins = (2 * lobeHz) / binHz;
    const gap = Math.max(0.04 * f0Hz, f0Hz / 2 - 1.25 * lobeHz);
    out.partialsDb.fill(Number.NaN);
    let numberSum = 0;
    let amplitudeSum = 0;
    let harmonic = 0;
    let noise = 0;
    let gapBefore = meanOver(f0Hz / 2 - gap / 2, f0Hz / 2 + gap / 2);
    for (let k = 1; k * f0Hz < Math.max(topHz, breathTopHz); k++) {
      const hz = k * f0Hz;
      if (k > MAX_PARTIAL && hz > breathTopHz) break;
      const gapAfter = meanOver(hz + f0Hz / 2 - gap / 2, hz + f0Hz / 2 + gap / 2);
      const floor = (gapBefore + gapAfter) / 2;
      gapBefore = gapAfter;
      const lobe = meanOver(hz - lobeHz, hz + lobeHz) * lobeBins;
      const above = Math.max(0, lobe - floor * lobeBins);
      if (hz >= BREATH_FROM_HZ && hz <= breathTopHz) {
        harmonic += above;
        noise += (floor * f0Hz) / binHz;
      }
      if (k <= MAX_PARTIAL && hz < topHz && lobe > 3 * floor * lobeBins) {
        const amplitude = Math.sqrt(above * view.scale);
        out.partialsDb[k - 1] = dbFromPower(amplitude * amplitude);
        numberSum += k * amplitude;
        amplitudeSum += amplitude;
      }
    }
    out.brightness = amplitudeSum > 0 ? numberSum / amplitudeSum : Number.NaN;
    out.breathDb = harmonic > 0 ? dbFromPower(noise / harmonic) : Number.NaN;
  };
}
