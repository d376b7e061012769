import { median } from '../stats/index.ts';
import { CELL } from './cells.ts';
import type { CellTable } from './cellTable.ts';
import { cellSumsInto, newSums, type Spread, type Unknowns } from './normalEquations.ts';

/** Beyond so many standard deviations a cell counts less (Huber 1964): 95 % efficient where nothing is odd. */
const HUBER = 1.345;
/** Fewer cells do not tell how far they scatter. */
const LEAST_CELLS = 8;

/** Residual of each cell's mean in cents, and in its own standard deviations; NaN where it has no pitch. */
export interface Residuals {
  cents: Float64Array;
  standard: Float64Array;
  dayOffsets: number[];
}

/** Residuals of all cells for some `values` of the unknowns, weighted; `curve`: which warm-up curve, null: none. */
export function residualsOf(
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

/** Writes how much each cell counts: 1, and less the odder it is (Huber 1964). */
export function reweigh(weights: Float64Array, { standard }: Residuals): void {
  standard.forEach((value, row) => {
    if (!Number.isNaN(value)) weights[row] = Math.min(1, HUBER / Math.max(1e-9, Math.abs(value)));
  });
}

/** Scatter within cells from their own sums, of cells and days from the residuals; all robust, all kept within reason. */
export function spreadOf(
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
export function cost({ standard }: Residuals): number {
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
