import { dbFromPower } from '../signal/index.ts';
import { MAX_PARTIAL } from './frames.ts';
import { createPowerView } from './powerView.ts';
import { FLAT_24_HZ, RATE_24_HZ, type Rates } from './rates.ts';

/**
 * Windows long enough to part the harmonics of low notes, short enough to follow high ones. Sixteen harmonics of a
 * note under 440 Hz and all of the breath lie under 8.4 kHz, so that half the rate will do. Long windows
 * move so little from frame to frame that they need not look at each: they overlap by half and more.
 */
const VIEWS = [
  { belowHz: 110, at24: true, seconds: 0.12, everyFrames: 4 },
  { belowHz: 220, at24: true, seconds: 0.0853, everyFrames: 4 },
  { belowHz: 440, at24: true, seconds: 0.0427, everyFrames: 2 },
  { belowHz: Infinity, at24: false, seconds: 0.0213, everyFrames: 1 },
];
const BREATH_FROM_HZ = 500;
const BREATH_TO_HZ = 8000;
const TOP_HZ = 14000;
/** A lobe with this many times the power of the noise around it is a harmonic; half of that chance alone reaches. */
const OVER_NOISE = 5;
/** A frame this near to the last one measured is the same tone, and may share its colour. */
const SAME_TONE_SHARE = 0.03;

/** What the spectrum at full width says of a frame; NaN where there is no answer. */
export interface ToneColour {
  centroidHarmonics: number;
  noiseToHarmonicDb: number;
  /** Level of harmonics 1-16 in dBFS, NaN where null. */
  partialsDb: Float64Array;
}

function createToneColour(): ToneColour {
  return {
    centroidHarmonics: NaN,
    noiseToHarmonicDb: NaN,
    partialsDb: new Float64Array(MAX_PARTIAL).fill(NaN),
  };
}

/** Colour of the tone around a moment of a sound, given its fundamental. */
export interface TonePath {
  /** Measures frame number `frame` at `seconds`; the answer stays valid until the next call. */
  measure(frame: number, seconds: number, f0Hz: number): ToneColour;
}

/**
 * Measures colour and breath. Each harmonic's power is what its main lobe holds above the noise in the gaps beside
 * it; `sampleRateHz` is the rate the sound came in, above 45 % of which there is nothing.
 */
export function createTonePath(rates: Rates, sampleRateHz: number): TonePath {
  const views = VIEWS.map(({ at24, seconds, ...rest }) => {
    const [ring, rateHz] = at24 ? [rates.at24, RATE_24_HZ] : [rates.full, rates.fullRateHz];
    const topHz = Math.min(at24 ? FLAT_24_HZ : TOP_HZ, 0.45 * sampleRateHz);
    return { ...rest, ring, rateHz, topHz, view: createPowerView(ring, rateHz, seconds) };
  });
  const colour = createToneColour();
  const silence = new Float64Array(MAX_PARTIAL).fill(NaN);
  let lastFrame = -Infinity;
  let lastHz = 0;
  let last = views[0];

  return {
    measure(frame, seconds, f0Hz) {
      let index = 0;
      while (f0Hz >= views[index].belowHz) index++;
      const chosen = views[index];
      const near = chosen === last && Math.abs(f0Hz / lastHz - 1) < SAME_TONE_SHARE;
      if (near && frame - lastFrame < chosen.everyFrames) return colour;
      lastFrame = frame;
      lastHz = f0Hz;
      last = chosen;
      const { view, ring, rateHz, topHz } = chosen;
      view.measure(ring.offsetOf(Math.round(seconds * rateHz) - (view.length >> 1)));
      colour.partialsDb.set(silence);
      const breathTopHz = Math.min(BREATH_TO_HZ, topHz);
      const { lobeHz, scale, binHz } = view;
      const halfGap = Math.max(0.04 * f0Hz, f0Hz / 2 - 1.25 * lobeHz) / 2;
      let numberSum = 0;
      let amplitudeSum = 0;
      let harmonic = 0;
      let noise = 0;
      let gapBefore = view.meanOver(f0Hz / 2 - halfGap, f0Hz / 2 + halfGap);
      for (let k = 1; k * f0Hz < topHz; k++) {
        const hz = k * f0Hz;
        if (k > MAX_PARTIAL && hz > breathTopHz) break;
        const gapAfter = view.meanOver(hz + f0Hz / 2 - halfGap, hz + f0Hz / 2 + halfGap);
        const floor = (gapBefore + gapAfter) / 2;
        gapBefore = gapAfter;
        const first = view.firstBin(hz - lobeHz);
        const last = view.lastBin(hz + lobeHz);
        const lobe = view.sumOver(first, last);
        const noiseInLobe = floor * (last - first + 1);
        const above = Math.max(0, lobe - noiseInLobe);
        if (hz >= BREATH_FROM_HZ && hz <= breathTopHz) {
          harmonic += above;
          noise += (floor * f0Hz) / binHz;
        }
        if (k <= MAX_PARTIAL && lobe > OVER_NOISE * noiseInLobe) {
          const power = above * scale;
          const amplitude = Math.sqrt(power);
          colour.partialsDb[k - 1] = dbFromPower(power);
          numberSum += k * amplitude;
          amplitudeSum += amplitude;
        }
      }
      colour.centroidHarmonics = amplitudeSum > 0 ? numberSum / amplitudeSum : NaN;
      colour.noiseToHarmonicDb = harmonic > 0 ? dbFromPower(noise / harmonic) : NaN;
      return colour;
    },
  };
}
