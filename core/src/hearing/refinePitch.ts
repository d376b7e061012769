import { spectrumFor, type DualSpectrum } from './dualSpectrum.ts';

const PASSES = [
  { harmonics: 3, outlier: 0.035 },
  { harmonics: 8, outlier: 0.015 },
  { harmonics: 14, outlier: 0.01 },
];

/**
 * The fundamental in Hz from the reassigned frequencies of the harmonics near `roughHz`, weighted by
 * k^2 (P - N) / N as their information about f0 is. In three passes, each trusting more harmonics and a
 * narrower spread. Returns `roughHz` itself where no harmonic stands out of the noise between them.
 */
export function refinePitch(spectra: DualSpectrum, roughHz: number): number {
  const spectrum = spectrumFor(spectra, roughHz);
  const { power, binHz } = spectrum;
  let f0Hz = roughHz;
  for (const { harmonics, outlier } of PASSES) {
    const highest = Math.min(harmonics, Math.floor(spectrum.topHz / f0Hz));
    let between = 0;
    let strongest = 0;
    for (let k = 1; k <= highest; k++) {
      between += power[Math.round(((k - 0.5) * f0Hz) / binHz)];
      strongest = Math.max(strongest, power[Math.round((k * f0Hz) / binHz)]);
    }
    const noise = between / Math.max(1, highest) + 1e-4 * strongest + 1e-24;
    let sum = 0;
    let weights = 0;
    for (let k = 1; k <= highest; k++) {
      const below = Math.floor((k * f0Hz) / binHz);
      for (let bin = Math.max(2, below); bin <= below + 1 && bin < 255; bin++) {
        if (power[bin] < 3 * noise) continue;
        const estimate = spectrum.reassignedHz(bin) / k;
        if (Math.abs(estimate / f0Hz - 1) > outlier) continue;
        const weight = (k * k * (power[bin] - noise)) / noise;
        sum += weight * estimate;
        weights += weight;
      }
    }
    if (weights > 0) f0Hz = sum / weights;
  }
  return f0Hz;
}
