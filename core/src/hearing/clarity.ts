import { spectrumFor, type DualSpectrum } from './dualSpectrum.ts';

/**
 * Normalised autocorrelation of the frame at the period of `f0Hz`, 0-1, read off the power spectrum
 * (Wiener-Khinchin) so that the lag need not be a whole number of samples. The taper of the Hann window is
 * divided out: its circular autocorrelation is (2 + cos(2 pi T / N)) / 3.
 */
export function clarityAt(spectra: DualSpectrum, f0Hz: number): number {
  const { power, binHz } = spectrumFor(spectra, f0Hz);
  const turn = (2 * Math.PI * binHz) / f0Hz;
  const twice = 2 * Math.cos(turn);
  let before = Math.cos(turn);
  let cos = Math.cos(2 * turn);
  let total = 0;
  let correlated = 0;
  for (let bin = 2; bin < power.length; bin++) {
    total += power[bin];
    correlated += power[bin] * cos;
    const next = twice * cos - before;
    before = cos;
    cos = next;
  }
  const taper = (2 + Math.cos(turn)) / 3;
  return total > 0 ? Math.max(0, Math.min(1, correlated / total / taper)) : 0;
}
