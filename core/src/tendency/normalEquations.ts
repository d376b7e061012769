import { CELL } from './cells.ts';
import type { CellTable } from './cellTable.ts';
import { isBorder, PRIOR } from './prior.ts';

/** Which notes the unknowns are of: pitches of all notes, then bends of all notes, then the curve of the bend, then the warm-up. */
export interface Unknowns {
  lowest: number;
  notes: number;
  size: number;
}

/** The unknowns of a map from one written MIDI note to another, both included. */
export const unknownsOf = (lowest: number, highest: number): Unknowns => {
  const notes = highest - lowest + 1;
  return { lowest, notes, size: 2 * notes + 2 };
};

/** Standard deviations in cents: within a cell, of a note from day to day, and of whole days. */
export interface Spread {
  within: number;
  cell: number;
  day: number;
}

/** What a cell has to do with the unknowns: pitch (1), bend (level), curve of the bend (level²), warm-up. */
export const COLUMNS = 4;

/** The sums of one cell that the model needs, its own random offset already taken out. */
export interface CellSums {
  /** Products of the columns, row by row. */
  products: Float64Array;
  /** Columns with cents. */
  cents: Float64Array;
}

/** Room for the sums of a cell, empty. */
export const newSums = (): CellSums => ({
  products: new Float64Array(COLUMNS * COLUMNS),
  cents: new Float64Array(COLUMNS),
});

/** Writes the sums of a cell; allocates nothing. `curve`: which warm-up curve; null: none. */
export function cellSumsInto(
  out: CellSums,
  { rows }: CellTable,
  row: number,
  curve: number | null,
  spread: Spread,
  weight: number,
): void {
  const at = row * CELL.width;
  const k = at + CELL.curves + 5 * (curve ?? 0);
  const warm = curve === null ? 0 : 1;
  const { products: p, cents } = out;
  const n = rows[at + CELL.count];
  const L = rows[at + CELL.level];
  const L2 = rows[at + CELL.level2];
  const e = warm * rows[k];
  const y = rows[at + CELL.cents];
  // A random offset of the cell: what all its points share counts once.
  const inner = weight / spread.within ** 2;
  const shared = weight / spread.within ** 4 / (n / spread.within ** 2 + 1 / spread.cell ** 2);
  p[0] = inner * n - shared * n * n;
  p[1] = inner * L - shared * n * L;
  p[2] = inner * L2 - shared * n * L2;
  p[3] = inner * e - shared * n * e;
  p[4] = p[1];
  p[5] = inner * L2 - shared * L * L;
  p[6] = inner * rows[at + CELL.level3] - shared * L * L2;
  p[7] = inner * warm * rows[k + 2] - shared * L * e;
  p[8] = p[2];
  p[9] = p[6];
  p[10] = inner * rows[at + CELL.level4] - shared * L2 * L2;
  p[11] = inner * warm * rows[k + 3] - shared * L2 * e;
  p[12] = p[3];
  p[13] = p[7];
  p[14] = p[11];
  p[15] = inner * warm * rows[k + 1] - shared * e * e;
  cents[0] = inner * y - shared * n * y;
  cents[1] = inner * rows[at + CELL.levelCents] - shared * L * y;
  cents[2] = inner * rows[at + CELL.level2Cents] - shared * L2 * y;
  cents[3] = inner * warm * rows[k + 4] - shared * e * y;
}

/**
 * Normal equations of penalised least squares: cells weighted, the offset of each day taken out (Schur complement), notes and
 * bends tied to their neighbours. `curve`: which warm-up curve; null: none. Writes the symmetric matrix, row by row, and the right side.
 */
export function normalEquations(
  table: CellTable,
  { lowest, notes, size }: Unknowns,
  curve: number | null,
  spread: Spread,
  weights: Float64Array,
): { matrix: Float64Array; right: Float64Array } {
  const matrix = new Float64Array(size * size);
  const right = new Float64Array(size);
  const [bow, warm] = [size - 2, size - 1];
  // Only the lower half is summed up; the other is its mirror.
  const add = (i: number, j: number, value: number) => {
    matrix[i > j ? i * size + j : j * size + i] += value;
  };
  const touched = new Int32Array(size);
  const dayRow = new Float64Array(size);
  const sums = newSums();
  const places = new Int32Array([0, 0, bow, warm]);
  for (let d = 0; d + 1 < table.starts.length; d++) {
    let [dayDay, dayY, count] = [1 / spread.day ** 2, 0, 0];
    for (let row = table.starts[d]; row < table.starts[d + 1]; row++) {
      if (weights[row] === 0) continue;
      cellSumsInto(sums, table, row, curve, spread, weights[row]);
      const { products, cents } = sums;
      const i = table.rows[row * CELL.width + CELL.midi] - lowest;
      places[0] = i;
      places[1] = notes + i;
      for (let a = 0; a < COLUMNS; a++) {
        for (let b = 0; b <= a; b++) add(places[a], places[b], products[a * COLUMNS + b]);
        right[places[a]] += cents[a];
        dayRow[places[a]] += products[a];
      }
      touched[count++] = i;
      touched[count++] = notes + i;
      dayDay += products[0];
      dayY += cents[0];
    }
    if (count === 0) continue;
    touched[count++] = bow;
    touched[count++] = warm;
    for (let a = 0; a < count; a++) {
      const i = touched[a];
      right[i] -= (dayRow[i] / dayDay) * dayY;
      const share = dayRow[i] / dayDay;
      for (let c = 0; c <= a; c++) add(i, touched[c], -share * dayRow[touched[c]]);
    }
    for (let a = 0; a < count; a++) dayRow[touched[a]] = 0;
  }
  for (let i = 0; i < size; i++) for (let j = 0; j < i; j++) matrix[j * size + i] = matrix[i * size + j];
  tie(matrix, right, { lowest, notes, size });
  return { matrix, right };
}

/** What is likely before anything is played. */
function tie(matrix: Float64Array, right: Float64Array, { lowest, notes, size }: Unknowns): void {
  const ridge = (i: number, sd: number, mean: number) => {
    matrix[i * size + i] += 1 / sd ** 2;
    right[i] += mean / sd ** 2;
  };
  const link = (i: number, j: number, sd: number) => {
    const strength = 1 / sd ** 2;
    matrix[i * size + i] += strength;
    matrix[j * size + j] += strength;
    matrix[i * size + j] -= strength;
    matrix[j * size + i] -= strength;
  };
  for (let i = 0; i < notes; i++) {
    ridge(i, PRIOR.note, 0);
    ridge(notes + i, PRIOR.bend, PRIOR.bendMean);
    if (i === 0) continue;
    const over = isBorder(lowest + i);
    link(i - 1, i, over ? PRIOR.noteStepOver : PRIOR.noteStep);
    link(notes + i - 1, notes + i, over ? PRIOR.bendStepOver : PRIOR.bendStep);
  }
  ridge(size - 2, PRIOR.bow, 0);
  ridge(size - 1, PRIOR.warmUp, 0);
}
