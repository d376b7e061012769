import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { writtenMidi, type WrittenMidi } from '../horn/index.ts';
import { median } from '../stats/index.ts';
import { CELL, WARM_UP_MINUTES, type DayCells } from './cells.ts';
import {
  cellSumsInto,
  newSums,
  normalEquations,
  unknownsOf,
  type CellTable,
  type Spread,
  type Unknowns,
} from './normalEquations.ts';

/** A pitch with its standard error, in cents. */
export interface Estimate {
  cents: number;
  error: number;
}

/** What is known of one note of the horn. */
export interface NoteTendency {
  writtenMidi: WrittenMidi;
  /** Days on which it was heard, and how many pitches. */
  days: number;
  count: number;
  /** How well its place among the other notes is known, whatever the day: standard error in cents. */
  placeError: number;
  /** Cents per 10 dB louder. */
  bendWithLevel: Estimate;
  /** Pitch at a level in tens of dB from the middle of the player's scale, warm horn, usual day. */
  at(level: number): Estimate;
}

export interface TendencyMap {
  notes: NoteTendency[];
  /** Covariance of the notes' places among each other at medium loudness, row by row. */
  covariance: Float64Array;
  /** How flat the cold horn is and its time constant in minutes; null where nothing tells it. */
  warmUp: { cents: number; error: number; minutes: number } | null;
  /** How far days, and a note from day to day, lie apart: standard deviations in cents. */
  spread: Spread;
}

/** What the shape of the model - one bow for all notes, an exponential - may be off by; from simulations with other shapes. */
const SHAPE_CENTS = 1.5;

const START: Spread = { within: 4, cell: 4, day: 6 };
/** Beyond so many standard deviations a cell counts less (Huber 1964): 95 % efficient where nothing is odd. */
const HUBER = 1.345;
const MOST_ROUNDS = 10;
const SPREAD_ROUNDS = 4;
const SAME_CENTS = 0.05;
/** Fewer cells do not tell how far they scatter. */
const LEAST_CELLS = 8;

/** All days in one table. */
export function tableOf(days: readonly DayCells[]): CellTable {
  const starts = [0];
  for (const { cells } of days) starts.push((starts.at(-1) ?? 0) + cells.length / CELL.width);
  const rows = new Float64Array((starts.at(-1) ?? 0) * CELL.width);
  days.forEach(({ cells }, i) => rows.set(cells, starts[i] * CELL.width));
  return { rows, starts };
}

/**
 * The tendency of every note of a horn: cents = note + bend x level + bow x level² + day + note that day - warm-up + error, by penalised least
 * squares with neighbour shrinkage, robust against odd cells (Huber weights, iterated). `lowest`, `highest`: written notes of
 * the map. Standard errors are those of the penalised fit, widened by what the robust weights cost.
 */
export function fitMap(days: readonly DayCells[], lowest: number, highest: number): TendencyMap {
  const table = within(tableOf(days), lowest, highest);
  const unknowns = unknownsOf(lowest, highest);
  const cells = table.starts.at(-1) ?? 0;
  const weights = new Float64Array(cells);
  for (let row = 0; row < cells; row++) weights[row] = table.rows[row * CELL.width + CELL.count] > 0 ? 1 : 0;
  let spread = START;
  let curve: number | null = null;
  let solved = solve(table, unknowns, curve, spread, weights);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const residuals = residualsOf(table, unknowns, curve, spread, weights, solved.values);
    // How far things scatter is soon known; then only the notes settle.
    if (round < SPREAD_ROUNDS) spread = spreadOf(table, unknowns, residuals, solved.values, spread);
    reweigh(weights, residuals);
    if (round === 1) curve = bestCurve(table, unknowns, spread, weights);
    const next = solve(table, unknowns, curve, spread, weights);
    const moved = Math.max(0, ...next.values.map((value, i) => Math.abs(value - solved.values[i])));
    solved = next;
    if (round > 2 && moved < SAME_CENTS) break;
  }
  const residuals = residualsOf(table, unknowns, curve, spread, weights, solved.values);
  return described(table, unknowns, curve, spread, solved, cost(residuals));
}

interface Solved {
  values: Float64Array;
  cholesky: CholeskyDecomposition;
  /** What the fit explains: right side times solution. */
  explained: number;
}

function solve(
  table: CellTable,
  unknowns: Unknowns,
  curve: number | null,
  spread: Spread,
  weights: Float64Array,
): Solved {
  const { matrix, right } = normalEquations(table, unknowns, curve, spread, weights);
  const { size } = unknowns;
  const cholesky = new CholeskyDecomposition(Matrix.from1DArray(size, size, matrix));
  const values = Float64Array.from(cholesky.solve(Matrix.columnVector(right)).to1DArray());
  return { values, cholesky, explained: values.reduce((sum, value, i) => sum + value * right[i], 0) };
}

/** Of all warm-up curves the one that explains most: from the middle on uphill, for what they explain has one top. */
function bestCurve(table: CellTable, unknowns: Unknowns, spread: Spread, weights: Float64Array): number {
  const known = new Map<number, number>();
  const explained = (k: number) => {
    const value = known.get(k) ?? solve(table, unknowns, k, spread, weights).explained;
    known.set(k, value);
    return value;
  };
  let best = Math.floor(WARM_UP_MINUTES.length / 2) - 1;
  for (;;) {
    const next = [best - 1, best + 1]
      .filter((k) => k >= 0 && k < WARM_UP_MINUTES.length)
      .find((k) => explained(k) > explained(best));
    if (next === undefined) return best;
    best = next;
  }
}

/** Residual of each cell's mean in cents, and in its own standard deviations; NaN where it has no pitch. */
interface Residuals {
  cents: Float64Array;
  standard: Float64Array;
  dayOffsets: number[];
}

function residualsOf(
  table: CellTable,
  unknowns: Unknowns,
  curve: number | null,
  spread: Spread,
  weights: Float64Array,
  values: Float64Array,
): Residuals {
  const { rows, starts } = table;
  const count = starts.at(-1) ?? 0;
  const residuals: Residuals = {
    cents: new Float64Array(count).fill(NaN),
    standard: new Float64Array(count).fill(NaN),
    dayOffsets: [],
  };
  const [bow, warm] = [values[unknowns.size - 2], values[unknowns.size - 1]];
  const sums = newSums();
  for (let d = 0; d + 1 < starts.length; d++) {
    let [dayDay, dayY] = [1 / spread.day ** 2, 0];
    for (let row = starts[d]; row < starts[d + 1]; row++) {
      if (weights[row] === 0) continue;
      cellSumsInto(sums, table, row, curve, spread, weights[row]);
      const i = rows[row * CELL.width + CELL.midi] - unknowns.lowest;
      const { products, cents } = sums;
      dayDay += products[0];
      dayY +=
        cents[0] -
        products[0] * values[i] -
        products[1] * values[unknowns.notes + i] -
        products[2] * bow -
        products[3] * warm;
    }
    const offset = dayY / dayDay;
    residuals.dayOffsets.push(offset);
    for (let row = starts[d]; row < starts[d + 1]; row++) {
      const at = row * CELL.width;
      const n = rows[at + CELL.count];
      if (n === 0) continue;
      const i = rows[at + CELL.midi] - unknowns.lowest;
      const curveSum = curve === null ? 0 : rows[at + CELL.curves + 5 * curve];
      const fitted =
        values[i] +
        (values[unknowns.notes + i] * rows[at + CELL.level] +
          bow * rows[at + CELL.level2] +
          warm * curveSum) /
          n +
        offset;
      const cents = rows[at + CELL.cents] / n - fitted;
      residuals.cents[row] = cents;
      residuals.standard[row] = cents / Math.hypot(spread.cell, spread.within / Math.sqrt(n));
    }
  }
  return residuals;
}

function reweigh(weights: Float64Array, { standard }: Residuals): void {
  standard.forEach((value, row) => {
    if (!Number.isNaN(value)) weights[row] = Math.min(1, HUBER / Math.max(1e-9, Math.abs(value)));
  });
}

/** Scatter within cells from their own sums, of cells and days from the residuals; all robust, all kept within reason. */
function spreadOf(
  { rows }: CellTable,
  { lowest, notes }: Unknowns,
  { cents, dayOffsets }: Residuals,
  values: Float64Array,
  before: Spread,
): Spread {
  const inner: number[] = [];
  let share = 0;
  let heard = 0;
  cents.forEach((value, row) => {
    if (Number.isNaN(value)) return;
    const at = row * CELL.width;
    const n = rows[at + CELL.count];
    heard++;
    share += 1 / n;
    if (n < 3) return;
    const bend = values[notes + rows[at + CELL.midi] - lowest];
    const [L, y] = [rows[at + CELL.level], rows[at + CELL.cents]];
    const yy = rows[at + CELL.cents2] - (y * y) / n;
    const Ly = rows[at + CELL.levelCents] - (L * y) / n;
    const LL = rows[at + CELL.level2] - (L * L) / n;
    inner.push(Math.max(0, yy - 2 * bend * Ly + bend * bend * LL) / (n - 1));
  });
  if (heard < LEAST_CELLS) return before;
  // The median of a sample variance lies under its mean; of a few degrees of freedom by about a sixth.
  const within = inner.length < LEAST_CELLS ? before.within : Math.sqrt(1.2 * (median(inner) ?? 0));
  const held = Math.max(1, Math.min(12, within));
  const total = 1.4826 * (median(cents.filter((value) => !Number.isNaN(value)).map(Math.abs)) ?? 0);
  const cell = Math.sqrt(Math.max(1, total ** 2 - (held ** 2 * share) / heard));
  const day = dayOffsets.length < LEAST_CELLS ? before.day : 1.4826 * (median(dayOffsets.map(Math.abs)) ?? 0);
  return { within: held, cell: Math.min(15, cell), day: Math.max(2, Math.min(20, day)) };
}

/** What robust weights cost in certainty: mean of the squared influence over the squared mean of its slope (Huber 1981, 7.6). */
function cost({ standard }: Residuals): number {
  let [squares, slopes, count] = [0, 0, 0];
  for (const value of standard) {
    if (Number.isNaN(value)) continue;
    const size = Math.abs(value);
    squares += Math.min(size, HUBER) ** 2;
    slopes += size < HUBER ? 1 : 0;
    count++;
  }
  if (count < LEAST_CELLS || slopes === 0) return 1;
  return Math.max(1, Math.sqrt(squares / count / (slopes / count) ** 2 / NORMAL_COST));
}
/** The same where residuals are normal: E[psi²] / E[psi']² at 1.345. */
const NORMAL_COST = 0.71016 / 0.82137 ** 2;

function described(
  { rows, starts }: CellTable,
  { lowest, notes, size }: Unknowns,
  curve: number | null,
  spread: Spread,
  { values, cholesky }: Solved,
  widened: number,
): TendencyMap {
  const days = new Int32Array(notes);
  const count = new Float64Array(notes);
  for (let row = 0; row < (starts.at(-1) ?? 0); row++) {
    const i = rows[row * CELL.width + CELL.midi] - lowest;
    const n = rows[row * CELL.width + CELL.count];
    if (n > 0) days[i]++;
    count[i] += n;
  }
  const inverse = cholesky.solve(Matrix.eye(size));
  const variance = (i: number, j: number) => inverse.get(i, j);
  const error = (squared: number) => widened * Math.sqrt(Math.max(0, squared));
  const [bow, warm] = [size - 2, size - 1];
  const places = placesAmong(inverse, days, widened ** 2);
  return {
    notes: Array.from({ length: notes }, (_, i): NoteTendency => {
      const b = notes + i;
      return {
        writtenMidi: writtenMidi(lowest + i),
        days: days[i],
        count: count[i],
        placeError: Math.sqrt(Math.max(0, places[i * notes + i])),
        bendWithLevel: { cents: values[b], error: error(variance(b, b)) },
        at(level) {
          const parts = [
            [i, 1],
            [b, level],
            [bow, level * level],
          ] as const;
          let [cents, squared] = [0, 0];
          for (const [place, share] of parts) {
            cents += share * values[place];
            for (const [other, by] of parts) squared += share * by * variance(place, other);
          }
          return { cents, error: Math.hypot(SHAPE_CENTS, error(squared)) };
        },
      };
    }),
    covariance: places,
    warmUp:
      curve === null
        ? null
        : { cents: values[warm], error: error(variance(warm, warm)), minutes: WARM_UP_MINUTES[curve] },
    spread,
  };
}

/** Covariance of the notes less the mean of those that were heard (of all, before any was): what one day moves alike is taken out. */
function placesAmong(inverse: Matrix, days: Int32Array, widened: number): Float64Array {
  const count = days.length;
  const some = days.some((each) => each > 0);
  const heard = Array.from(days, (each, i) => (each > 0 || !some ? i : -1)).filter((i) => i >= 0);
  const means = Array.from(
    { length: count },
    (_, i) => heard.reduce((sum, h) => sum + inverse.get(i, h), 0) / heard.length,
  );
  const mean = heard.reduce((sum, h) => sum + means[h], 0) / heard.length;
  return Float64Array.from({ length: count * count }, (_, at) => {
    const [i, j] = [Math.floor(at / count), at % count];
    return widened * (inverse.get(i, j) - means[i] - means[j] + mean);
  });
}

/** Cells of notes outside the map are left out. */
function within({ rows, starts }: CellTable, lowest: number, highest: number): CellTable {
  const isInside = (row: number) => {
    const midi = rows[row * CELL.width + CELL.midi];
    return midi >= lowest && midi <= highest;
  };
  const all = Array.from({ length: starts.at(-1) ?? 0 }, (_, row) => row);
  if (all.every(isInside)) return { rows, starts };
  const kept = all.filter(isInside);
  const inner = new Float64Array(kept.length * CELL.width);
  kept.forEach((row, i) =>
    inner.set(rows.subarray(row * CELL.width, (row + 1) * CELL.width), i * CELL.width),
  );
  const before = [0];
  for (const row of all) before.push(before[row] + (isInside(row) ? 1 : 0));
  return { rows: inner, starts: starts.map((start) => before[start]) };
}
