import type { Spectrum } from './dualSpectrum.ts';

export const CELLS_PER_OCTAVE = 36;
/** An octave under the lowest tone: half a harmonic under its first tooth is looked at too. */
const GRID_BASE_HZ = 22 * 2 ** (-6 / CELLS_PER_OCTAVE);

/** Place of a frequency on the logarithmic grid, between cells. */
export const cellOf = (hz: number) => CELLS_PER_OCTAVE * Math.log2(hz / GRID_BASE_HZ);
/** Frequency in Hz of a place on that grid: the inverse of `cellOf`. */
export const hzOf = (cell: number) => GRID_BASE_HZ * 2 ** (cell / CELLS_PER_OCTAVE);

/**
 * The compressed spectrum (power ^ 0.375) on a logarithmic grid, where harmonics lie at the same distances for every
 * fundamental. `binHz` is the width of the spectrum's bins, `topHz` where it ends to tell the truth.
 */
export function createGrid(binHz: number, topHz: number) {
  const cells = Math.floor(cellOf(topHz)) + 1;
  const amplitude = new Float64Array(Math.ceil(topHz / binHz) + 2);
  const grid = new Float64Array(cells);
  // Where each cell reads: from a bin with a share of the next one, or the most of bins `from`..`to`.
  const from = new Int32Array(cells);
  const to = new Int32Array(cells);
  const share = new Float64Array(cells);
  let firstWide = cells;
  for (let cell = 0; cell < cells; cell++) {
    const low = hzOf(cell - 0.5) / binHz;
    const high = hzOf(cell + 0.5) / binHz;
    const wide = high - low > 1;
    if (wide) firstWide = Math.min(firstWide, cell);
    from[cell] = wide ? Math.ceil(low) : Math.floor(hzOf(cell) / binHz);
    to[cell] = wide ? Math.floor(high) : from[cell];
    share[cell] = wide ? 0 : hzOf(cell) / binHz - from[cell];
  }
  return {
    cells,
    grid,
    /** Compresses the spectrum, spreads it over the log grid, and returns its energy for the normalisation. */
    fill(spectrum: Spectrum): number {
      const { power } = spectrum;
      let energy = 0;
      for (let bin = 1; bin < amplitude.length; bin++) {
        // power ^ 0.375, by two square roots and a third
        const quarter = Math.sqrt(Math.sqrt(power[bin]));
        amplitude[bin] = quarter * Math.sqrt(quarter);
        energy += amplitude[bin] * amplitude[bin];
      }
      for (let cell = 0; cell < firstWide; cell++) {
        const bin = from[cell];
        grid[cell] = amplitude[bin] + share[cell] * (amplitude[bin + 1] - amplitude[bin]);
      }
      for (let cell = firstWide; cell < cells; cell++) {
        let most = 0;
        for (let bin = from[cell]; bin <= to[cell]; bin++) if (amplitude[bin] > most) most = amplitude[bin];
        grid[cell] = most;
      }
      return energy;
    },
  };
}
