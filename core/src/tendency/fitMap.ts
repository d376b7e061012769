import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { writtenMidi, type WrittenMidi } from '../horn/index.ts';
import { CELL, WARM_UP_MINUTES, type DayCells } from './cells.ts';
import { tableOf, within, type CellTable } from './cellTable.ts';
import { normalEquations, unknownsOf, type Spread, type Unknowns } from './normalEquations.ts';
import { cost, residualsOf, reweigh, spreadOf } from './residuals.ts';

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
  pitchSlopeCentsPer10Db: Estimate;
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
const MOST_ROUNDS = 10;
const SPREAD_ROUNDS = 4;
const SAME_CENTS = 0.05;

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
        pitchSlopeCentsPer10Db: { cents: values[b], error: error(variance(b, b)) },
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
