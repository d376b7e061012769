import { LONG_WINDOW_BELOW_HZ, type DualSpectrum, type Spectrum } from './dualSpectrum.ts';

export const MAX_CANDIDATES = 6;
export const LOWEST_HZ = 48;
export const HIGHEST_HZ = 2900;

const CELLS_PER_OCTAVE = 48;
const GRID_BASE_HZ = 22;
const MIN_SCORE = 0.15;
const MAX_HARMONIC = 16;
const HALF_HARMONIC_WEIGHT = 0.45;

/** Candidates of one frame, best first; only the first `count` mean anything. */
export interface Candidates {
  count: number;
  f0Hz: Float64Array;
  score: Float64Array;
}

export function createCandidates(): Candidates {
  return { count: 0, f0Hz: new Float64Array(MAX_CANDIDATES), score: new Float64Array(MAX_CANDIDATES) };
}

const cellOf = (hz: number) => CELLS_PER_OCTAVE * Math.log2(hz / GRID_BASE_HZ);
const hzOf = (cell: number) => GRID_BASE_HZ * 2 ** (cell / CELLS_PER_OCTAVE);
const harmonicOffset = (k: number) => Math.round(CELLS_PER_OCTAVE * Math.log2(k));
const ATTACK = Array.from({ length: MAX_HARMONIC }, (_, i) => harmonicOffset(i + 1));
const BETWEEN = Array.from({ length: MAX_HARMONIC }, (_, i) => harmonicOffset(i + 0.5));
const WEIGHT = Array.from({ length: MAX_HARMONIC }, (_, i) => 1 / Math.sqrt(i + 1));

function createGrid(binHz: number, topHz: number) {
  const cells = Math.floor(cellOf(topHz)) + 1;
  const amplitude = new Float64Array(Math.ceil(topHz / binHz) + 2);
  const grid = new Float64Array(cells);
  // Where each cell reads: from a bin with a share of the next one, or the most of bins `from`..`to`.
  const from = new Int32Array(cells);
  const to = new Int32Array(cells);
  const share = new Float64Array(cells);
  for (let cell = 0; cell < cells; cell++) {
    const low = hzOf(cell - 0.5) / binHz;
    const high = hzOf(cell + 0.5) / binHz;
    const wide = high - low > 1;
    from[cell] = wide ? Math.ceil(low) : Math.floor(hzOf(cell) / binHz);
    to[cell] = wide ? Math.floor(high) : from[cell];
    share[cell] = wide ? 0 : hzOf(cell) / binHz - from[cell];
  }
  return {
    cells,
    grid,
    /** Compresses the spectrum, spreads it over the log grid, and returns its energy for the normalisation. */
    fill({ power }: Spectrum): number {
      let energy = 0;
      for (let bin = 1; bin < amplitude.length; bin++) {
        // power ^ 0.375, by two square roots and a third
        const quarter = Math.sqrt(Math.sqrt(power[bin]));
        amplitude[bin] = quarter * Math.sqrt(quarter);
        energy += amplitude[bin] * amplitude[bin];
      }
      for (let cell = 0; cell < cells; cell++) {
        let most = amplitude[from[cell]];
        for (let bin = from[cell] + 1; bin <= to[cell]; bin++) most = Math.max(most, amplitude[bin]);
        grid[cell] = most + share[cell] * (amplitude[from[cell] + 1] - most);
      }
      return energy;
    },
  };
}

/**
 * Returns a function that scores every fundamental of 48-2900 Hz by a harmonic comb on the compressed
 * spectrum (power ^ 0.375), with a penalty for what lies between the teeth - that penalty is what keeps
 * sub-octaves away - and writes the six best peaks with a score over 0.15 into `out`.
 */
export function createCombScore(): (spectra: DualSpectrum, out: Candidates) => void {
  const short = createGrid(12000 / 512, 5200);
  const long = createGrid(6000 / 512, 2600);
  const first = Math.floor(cellOf(LOWEST_HZ)) - 1;
  const last = Math.ceil(cellOf(HIGHEST_HZ)) + 1;
  const border = Math.round(cellOf(LONG_WINDOW_BELOW_HZ));
  const score = new Float64Array(last + 1);

  function scoreRange(from: number, to: number, { grid, cells }: typeof short, energy: number) {
    const scale = 1.9 / Math.sqrt(energy);
    for (let cell = from; cell <= to; cell++) {
      let sum = 0;
      let weights = 0;
      for (let k = 0; k < MAX_HARMONIC && cell + ATTACK[k] < cells; k++) {
        const between = Math.max(0, cell + BETWEEN[k]);
        sum += WEIGHT[k] * (grid[cell + ATTACK[k]] - HALF_HARMONIC_WEIGHT * grid[between]);
        weights += WEIGHT[k] * WEIGHT[k];
      }
      score[cell] = (scale * sum) / Math.sqrt(weights);
    }
  }

  function keep(out: Candidates, f0Hz: number, value: number) {
    let place = Math.min(out.count, MAX_CANDIDATES - 1);
    if (out.count === MAX_CANDIDATES && value <= out.score[place]) return;
    while (place > 0 && out.score[place - 1] < value) {
      out.score[place] = out.score[place - 1];
      out.f0Hz[place] = out.f0Hz[place - 1];
      place--;
    }
    out.score[place] = value;
    out.f0Hz[place] = f0Hz;
    out.count = Math.min(out.count + 1, MAX_CANDIDATES);
  }

  return (spectra, out) => {
    out.count = 0;
    const shortEnergy = short.fill(spectra.short);
    const longEnergy = long.fill(spectra.long);
    // Digital silence has no pitch; the bound is far under any microphone's own noise.
    if (shortEnergy < 1e-7) return;
    scoreRange(first, border - 1, long, longEnergy + 1e-12);
    scoreRange(border, last, short, shortEnergy);
    for (let cell = first + 1; cell < last; cell++) {
      const here = score[cell];
      if (here < MIN_SCORE || here < score[cell - 1] || here <= score[cell + 1]) continue;
      const curve = score[cell - 1] - 2 * here + score[cell + 1];
      const shift = curve < 0 ? (score[cell - 1] - score[cell + 1]) / (2 * curve) : 0;
      keep(out, hzOf(cell + Math.max(-0.5, Math.min(0.5, shift))), here);
    }
  };
}
