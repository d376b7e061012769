import { amplitudeFromDb } from '../signal/index.ts';

const MAX_HARMONICS = 64;
const CUTOFF_HZ = 900;
/** How far the tongue moves the fall above the cutoff, from its darkest to its brightest vowel. */
const COLOUR_DB = 14;
/** A fall of 1.5 dB an octave below the cutoff. */
const BELOW_CUTOFF = Float64Array.from({ length: MAX_HARMONICS }, (_, i) =>
  amplitudeFromDb(-1.5 * Math.log2(i + 1)),
);
/** Decibels an octave as a power of frequency. */
const DB_AN_OCTAVE = 20 * Math.log10(2);

/** Amplitudes of the harmonics of one tone, scaled to unit power, and the share of it within 0.5-8 kHz. */
export interface HarmonicShape {
  count: number;
  amplitude: Float64Array;
  breathBandShare: number;
}

/** Room for a spectrum, empty. */
export function createHarmonicShape(): HarmonicShape {
  return { count: 0, amplitude: new Float64Array(MAX_HARMONICS), breathBandShare: 0 };
}

/**
 * A saxophone-like spectrum: nearly flat up to the tone-hole cutoff (about 0.9 kHz here), falling above it by
 * 20 dB an octave when soft and 9 when loud, with a weak fundamental on loud low notes. `loudness` is the
 * place on the dynamic scale, 0-1; `colour` darkens (0) or brightens (1) it, null leaves it. Harmonics end at 14 kHz or 0.45 of the rate.
 */
export function shapeHarmonicsInto(
  out: HarmonicShape,
  f0Hz: number,
  loudness: number,
  sampleRateHz: number,
  colour: number | null = null,
): void {
  const loud = Math.max(0, Math.min(1, loudness));
  const topHz = Math.min(14000, 0.45 * sampleRateHz);
  const fallDb = 20 - 11 * loud - (colour === null ? 0 : COLOUR_DB * (colour - 0.5));
  out.count = Math.min(MAX_HARMONICS, Math.floor(topHz / f0Hz));
  const weakBass = amplitudeFromDb(-12 * loud * Math.max(0, 1 - f0Hz / 300));
  const fall = -fallDb / 2 / DB_AN_OCTAVE;
  let power = 0;
  let band = 0;
  for (let k = 1; k <= out.count; k++) {
    const hz = k * f0Hz;
    const share = hz / CUTOFF_HZ;
    // A power by its logarithm: half the time of `**`.
    const aboveCutoff = Math.exp(fall * Math.log(1 + share * share));
    const amplitude = (k === 1 ? weakBass : 1) * BELOW_CUTOFF[k - 1] * aboveCutoff;
    out.amplitude[k - 1] = amplitude;
    power += (amplitude * amplitude) / 2;
    if (hz >= 500 && hz <= 8000) band += (amplitude * amplitude) / 2;
  }
  const scale = 1 / Math.sqrt(power);
  for (let k = 0; k < out.count; k++) out.amplitude[k] *= scale;
  out.breathBandShare = band / power;
}
