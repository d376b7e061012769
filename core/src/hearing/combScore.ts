import { cellOf, CELLS_PER_OCTAVE, createGrid, hzOf } from './combGrid.ts';
import { LONG_WINDOW_BELOW_HZ, spectrumFor, type DualSpectrum } from './dualSpectrum.ts';
import { createHeldTone } from './heldTone.ts';
import { MAX_CANDIDATES, type Candidates } from './pitchCandidates.ts';

/**
 * What every horn needs at every A4, whichever is played: a sound must be heard the same again when it is put down to another horn.
 * A test of the horns holds it.
 */
export const LOWEST_HZ = 43;
export const HIGHEST_HZ = 3100;

const MIN_SCORE = 0.15;
/**
 * A comb has no teeth at thirds: a tone whose third, sixth and ninth harmonics stand out reads a twelfth high. Where its fundamental is no
 * farther under its third harmonic than 10 dB, and the second no farther than 20, it is what sounds; in the compressed spectrum: */
const THIRD_FUNDAMENTAL = 10 ** (-0.375 * 1);
const THIRD_SECOND = 10 ** (-0.375 * 2);
const TWELFTH_NEAR = 0.02;
/** Both must sound where that tone has them, or they are another's: the mains hum at 50 and 100 Hz beside a low note. */
const THIRD_SPREAD = 0.015;
const MAX_HARMONIC = 16;
const HALF_HARMONIC_WEIGHT = 0.45;

/** After a frame with this score only the neighbourhood is searched, everything again every sixth frame... */
const SURE_SCORE = 0.6;
const ALL_EVERY = 6;
/** ...or as soon as the best falls to this share of the last one. */
const STILL_SURE = 0.85;
const NEAR_CELLS = 4;
/** A tone over this does not fall under the long window's border from one frame to the next without being missed. */
const EARLY_ABOVE_HZ = 1.1 * LONG_WINDOW_BELOW_HZ;
/**
 * Under this the octave below is under the border. An attack of a low note may hold nothing but even harmonics, and reads an octave high
 * in a short window: so long the octave below is looked for in every frame, then in one of so many.
 */
const UNDOUBTED_ABOVE_HZ = 2.1 * LONG_WINDOW_BELOW_HZ;
const SETTLING_FRAMES = 8;
const DOUBT_EVERY = 12;
/** Pitches of neighbouring frames this near are of one tone. */
export const SAME_TONE_SHARE = 0.04;

const harmonicOffset = (k: number) => Math.round(CELLS_PER_OCTAVE * Math.log2(k));
const ATTACK = Array.from({ length: MAX_HARMONIC }, (_, i) => harmonicOffset(i + 1));
const BETWEEN = Array.from({ length: MAX_HARMONIC }, (_, i) => harmonicOffset(i + 0.5));
/** Where a tone could be mistaken for: a third, half, two thirds, itself, one and a half, two and three times. */
const MISTAKEN = [1 / 3, 1 / 2, 2 / 3, 1, 3 / 2, 2, 3].map(harmonicOffset);
const WEIGHT = Array.from({ length: MAX_HARMONIC }, (_, i) => 1 / Math.sqrt(i + 1));

/** A comb of fewer teeth is judged as one of so many, or a single loud harmonic would pass for a high fundamental. */
const LEAST_TEETH = 3;

/** One over the root of the weights of the teeth that lie within the grid, for each cell up to `last`. */
function combNorm(cells: number, last: number): Float64Array {
  return Float64Array.from({ length: last + 1 }, (_, cell) => {
    const weights = WEIGHT.filter((_weight, k) => k < LEAST_TEETH || cell + ATTACK[k] < cells).map(
      (weight) => weight * weight,
    );
    return 1 / Math.sqrt(weights.reduce((sum, weight) => sum + weight, 0));
  });
}

export interface CombScore {
  /** Whether the coming frame may be searched before its long window has arrived: nothing low is to be expected. */
  canSearchEarly(): boolean;
  /**
   * Writes the six best peaks with a score over 0.15 into `out`. Without the long spectrum nothing under 115 Hz is
   * looked for, and the answer is false, and counts for nothing, where the tone of the last frame is not found again:
   * the frame must then be searched once more, with it.
   */
  search(spectra: DualSpectrum, withLong: boolean, out: Candidates): boolean;
}

/**
 * Scores every fundamental of 43-3100 Hz by a harmonic comb on the compressed spectrum (power ^ 0.375), with a penalty
 * for what lies between the teeth - that penalty is what keeps sub-octaves away.
 */
export function createCombScore(): CombScore {
  const short = createGrid(12000 / 512, 5200);
  const long = createGrid(6000 / 512, 2600);
  const first = Math.floor(cellOf(LOWEST_HZ)) - 1;
  const last = Math.ceil(cellOf(HIGHEST_HZ)) + 1;
  const border = Math.round(cellOf(LONG_WINDOW_BELOW_HZ));
  const score = new Float64Array(last + 1);
  const shortNorm = combNorm(short.cells, last);
  const longNorm = combNorm(long.cells, last);
  const held = createHeldTone();
  // What the last frame knew.
  let sureHz = 0;
  let sureScore = 0;
  let framesSinceAll = 0;
  /** How many frames of this tone were searched with the long window, and how many since the last. */
  let longFrames = 0;
  let framesSinceLong = 0;

  /** Scores cells `from` to `to`: tooth by tooth over all cells, which reads the grid in one sweep each time. */
  function scoreRange(
    from: number,
    to: number,
    { grid, cells }: typeof short,
    norm: Float64Array,
    energy: number,
  ) {
    for (let cell = from; cell <= to; cell++) score[cell] = 0;
    for (let k = 0; k < MAX_HARMONIC; k++) {
      const tooth = ATTACK[k];
      const gap = BETWEEN[k];
      const weight = WEIGHT[k];
      const gapWeight = HALF_HARMONIC_WEIGHT * weight;
      const last = Math.min(to, cells - 1 - tooth);
      for (let cell = from; cell <= last; cell++)
        score[cell] += weight * grid[cell + tooth] - gapWeight * grid[cell + gap];
    }
    const scale = 1.9 / Math.sqrt(energy);
    for (let cell = from; cell <= to; cell++) score[cell] *= scale * norm[cell];
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

  /** Keeps the peaks of the cells from `from` to `to`, whose neighbours have been scored too. */
  function keepPeaks(from: number, to: number, out: Candidates) {
    for (let cell = from; cell <= to; cell++) {
      const here = score[cell];
      if (here < MIN_SCORE || here < score[cell - 1] || here <= score[cell + 1]) continue;
      const curve = score[cell - 1] - 2 * here + score[cell + 1];
      const shift = curve < 0 ? (score[cell - 1] - score[cell + 1]) / (2 * curve) : 0;
      keep(out, hzOf(cell + Math.max(-0.5, Math.min(0.5, shift))), here);
    }
  }

  function searchAll(spectra: DualSpectrum, shortEnergy: number, withLong: boolean, out: Candidates) {
    out.count = 0;
    const from = withLong ? first : border;
    if (withLong) scoreRange(from, border - 1, long, longNorm, long.fill(spectra.long) + 1e-12);
    scoreRange(border, last, short, shortNorm, shortEnergy);
    keepPeaks(from + 1, last - 1, out);
    framesSinceAll = 0;
  }

  /** Looks only where the tone of the last frame could be or could be mistaken for. */
  function searchNear(spectra: DualSpectrum, shortEnergy: number, withLong: boolean, out: Candidates) {
    const middle = Math.round(cellOf(sureHz));
    let longEnergy = -1;
    let searched = withLong ? first : border;
    for (const offset of MISTAKEN) {
      // Neighbouring stretches must not overlap, or a peak would be kept twice.
      const from = Math.max(searched, middle + offset - NEAR_CELLS);
      const to = Math.min(last, middle + offset + NEAR_CELLS);
      if (to - from < 2) continue;
      searched = to + 1;
      if (from < border) {
        if (longEnergy < 0) longEnergy = long.fill(spectra.long) + 1e-12;
        scoreRange(from, Math.min(to, border - 1), long, longNorm, longEnergy);
      }
      if (to >= border) scoreRange(Math.max(from, border), to, short, shortNorm, shortEnergy);
      keepPeaks(from + 1, to - 1, out);
    }
    framesSinceAll++;
  }

  /** Puts the tone a twelfth under the best candidate before it, where its own first and second harmonic are there. */
  function preferTwelfthBelow(spectra: DualSpectrum, out: Candidates, hasLong: boolean) {
    const [best] = out.f0Hz;
    for (let i = 1; i < out.count; i++) {
      const hz = out.f0Hz[i];
      if (Math.abs((3 * hz) / best - 1) > TWELFTH_NEAR) continue;
      if (hz < LONG_WINDOW_BELOW_HZ && !hasLong) return;
      const { grid } = hz < LONG_WINDOW_BELOW_HZ ? long : short;
      const spectrum = spectrumFor(spectra, hz);
      const at = (k: number) => {
        const cell = Math.round(cellOf(k * hz));
        return Math.max(grid[cell - 1], grid[cell], grid[cell + 1]);
      };
      if (at(1) < THIRD_FUNDAMENTAL * at(3) || at(2) < THIRD_SECOND * at(3)) return;
      for (const k of [1, 2])
        if (Math.abs(spectrum.strongestHzNear(k * hz) / (k * hz) - 1) > THIRD_SPREAD) return;
      out.f0Hz[0] = hz;
      out.f0Hz[i] = best;
      return;
    }
  }

  const isSure = () => sureScore >= SURE_SCORE;
  return {
    canSearchEarly: () =>
      isSure() &&
      (sureHz > UNDOUBTED_ABOVE_HZ ||
        (sureHz > EARLY_ABOVE_HZ && longFrames >= SETTLING_FRAMES && framesSinceLong < DOUBT_EVERY)),
    search(spectra, withLong, out) {
      out.count = 0;
      const shortEnergy = short.fill(spectra.short);
      // Digital silence has no pitch; the bound is far under any microphone's own noise.
      const silent = shortEnergy < 1e-7;
      if (!silent && isSure() && framesSinceAll < ALL_EVERY - 1) {
        searchNear(spectra, shortEnergy, withLong, out);
        const fallen = out.count === 0 || out.score[0] < STILL_SURE * sureScore;
        if (fallen && withLong) searchAll(spectra, shortEnergy, withLong, out);
        else if (fallen) return false;
      } else if (!silent) {
        searchAll(spectra, shortEnergy, withLong, out);
        if (!withLong && (out.count === 0 || out.score[0] < STILL_SURE * sureScore)) return false;
      }
      if (out.count > 1) preferTwelfthBelow(spectra, out, withLong);
      held.keep(spectra, withLong, out);
      const hz = out.count > 0 ? out.f0Hz[0] : 0;
      if (Math.abs(hz / sureHz - 1) > SAME_TONE_SHARE) longFrames = 0;
      if (withLong) longFrames++;
      framesSinceLong = withLong ? 0 : framesSinceLong + 1;
      sureScore = out.count > 0 ? out.score[0] : 0;
      sureHz = out.f0Hz[0];
      return true;
    },
  };
}
