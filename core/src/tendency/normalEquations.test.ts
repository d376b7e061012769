import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { writtenMidi } from '../horn/index.ts';
import { CELL, cellsOfDay, WARM_UP_MINUTES, type DayCells, type ObservedTake } from './cells.ts';
import { tableOf, within } from './cellTable.ts';
import { normalEquations, unknownsOf, type Spread } from './normalEquations.ts';
import type { NoteObservation } from './observations.ts';
import { isBorder, PRIOR } from './prior.ts';
import { cost, residualsOf, reweigh } from './residuals.ts';

/** One measured point of pitch: in cents, at a place on the player's scale, so many minutes into the sitting. */
interface Point {
  day: number;
  midi: number;
  level: number;
  minutes: number;
  cents: number;
}

const NOTE: Omit<NoteObservation, 'writtenMidi' | 'points'> = {
  responseMs: null,
  holdSeconds: null,
  noiseToHarmonicDb: null,
  centroidHarmonics: null,
  levelDb: null,
  softest: null,
  loudest: null,
  attack: null,
  start: 'clean',
};
const [LOWEST, HIGHEST] = [72, 76];
const SPREAD: Spread = { within: 4, cell: 5, day: 6 };

function daysOf(points: readonly Point[]): DayCells[] {
  const days = Math.max(...points.map(({ day }) => day)) + 1;
  return Array.from({ length: days }, (_, day) => {
    const own = points.filter((point) => point.day === day);
    // A take at the beginning of the sitting, so that minutes are counted from it.
    const takes: ObservedTake[] = [0, ...own.map(({ minutes }) => minutes)].map((minutes, i) => ({
      startedAt: 60_000 * minutes,
      lengthSeconds: 3600,
      notes: i === 0 ? [] : [{ ...NOTE, writtenMidi: writtenMidi(own[i - 1].midi), points: [own[i - 1]] }],
    }));
    return cellsOfDay(`day ${day}`, takes);
  });
}

/** Solves a x = b by elimination with the largest pivot. */
function solve(a: readonly (readonly number[])[], b: readonly number[]): number[] {
  const rows = a.map((row, i) => [...row, b[i]]);
  const n = rows.length;
  for (let k = 0; k < n; k++) {
    const pivot = rows
      .slice(k)
      .reduce((best, row, i) => (Math.abs(row[k]) > Math.abs(rows[best][k]) ? k + i : best), k);
    [rows[k], rows[pivot]] = [rows[pivot], rows[k]];
    for (let i = 0; i < n; i++) {
      if (i === k) continue;
      const share = rows[i][k] / rows[k][k];
      for (let j = k; j <= n; j++) rows[i][j] -= share * rows[k][j];
    }
  }
  return rows.map((row, i) => row[n] / row[i]);
}

/** What the unknowns are likely to be, straight from the definition: every point, its covariance with every other, and the prior. */
function byDefinition(points: readonly Point[], curve: number | null): number[] {
  const { notes, size } = unknownsOf(LOWEST, HIGHEST);
  const design = points.map(({ midi, level, minutes }) => {
    const row = new Array<number>(size).fill(0);
    row[midi - LOWEST] = 1;
    row[notes + midi - LOWEST] = level;
    row[size - 2] = level ** 2;
    row[size - 1] = curve === null ? 0 : -Math.exp(-minutes / WARM_UP_MINUTES[curve]);
    return row;
  });
  const covariance = points.map((a, i) =>
    points.map(
      (b, j) =>
        (i === j ? SPREAD.within ** 2 : 0) +
        (a.day === b.day && a.midi === b.midi ? SPREAD.cell ** 2 : 0) +
        (a.day === b.day ? SPREAD.day ** 2 : 0),
    ),
  );
  // The inverse covariance times each column of the design, and times the cents.
  const columns = Array.from({ length: size }, (_, k) =>
    solve(
      covariance,
      design.map((row) => row[k]),
    ),
  );
  const cents = solve(
    covariance,
    points.map((point) => point.cents),
  );
  const dot = (k: number, values: readonly number[]) =>
    design.reduce((sum, row, i) => sum + row[k] * values[i], 0);
  const matrix = Array.from({ length: size }, (_, i) => columns.map((column) => dot(i, column)));
  const right = Array.from({ length: size }, (_, i) => dot(i, cents));
  const likely = (i: number, sd: number, mean: number) => {
    matrix[i][i] += 1 / sd ** 2;
    right[i] += mean / sd ** 2;
  };
  const tied = (i: number, j: number, sd: number) => {
    for (const [a, b, sign] of [
      [i, i, 1],
      [j, j, 1],
      [i, j, -1],
      [j, i, -1],
    ])
      matrix[a][b] += sign / sd ** 2;
  };
  for (let i = 0; i < notes; i++) {
    likely(i, PRIOR.note, 0);
    likely(notes + i, PRIOR.bend, PRIOR.bendMean);
    if (i === 0) continue;
    tied(i - 1, i, isBorder(LOWEST + i) ? PRIOR.noteStepOver : PRIOR.noteStep);
    tied(notes + i - 1, notes + i, isBorder(LOWEST + i) ? PRIOR.bendStepOver : PRIOR.bendStep);
  }
  likely(size - 2, PRIOR.bow, 0);
  likely(size - 1, PRIOR.warmUp, 0);
  return solve(matrix, right);
}

function solved(points: readonly Point[], curve: number | null) {
  const unknowns = unknownsOf(LOWEST, HIGHEST);
  const table = tableOf(daysOf(points));
  const weights = new Float64Array(table.starts.at(-1) ?? 0).fill(1);
  const { matrix, right } = normalEquations(table, unknowns, curve, SPREAD, weights);
  const { size } = unknowns;
  const rows = Array.from({ length: size }, (_, i) => [...matrix.subarray(i * size, (i + 1) * size)]);
  return { unknowns, table, weights, matrix, values: solve(rows, [...right]) };
}

const point: fc.Arbitrary<Point> = fc.record({
  day: fc.integer({ min: 0, max: 3 }),
  midi: fc.integer({ min: LOWEST, max: HIGHEST }),
  level: fc.integer({ min: -15, max: 15 }).map((tenths) => tenths / 10),
  minutes: fc.integer({ min: 0, max: 30 }),
  cents: fc.integer({ min: -30, max: 30 }),
});
const points = fc.array(point, { minLength: 1, maxLength: 25 });
const anyCurve = fc.option(fc.integer({ min: 0, max: WARM_UP_MINUTES.length - 1 }));

describe('the normal equations of the map', () => {
  it('have the solution that every point with its covariance has', () => {
    fc.assert(
      fc.property(points, anyCurve, (played, curve) => {
        const { values } = solved(played, curve);
        const wanted = byDefinition(played, curve);
        // Days are kept in single precision.
        for (const [i, value] of values.entries()) expect(value).toBeCloseTo(wanted[i], 2);
      }),
      { numRuns: 60 },
    );
  });

  it('are symmetric, and know more with every point', () => {
    fc.assert(
      fc.property(points, point, anyCurve, (played, another, curve) => {
        const { matrix, unknowns } = solved(played, curve);
        const { size } = unknowns;
        for (let i = 0; i < size; i++)
          for (let j = 0; j < i; j++) expect(matrix[i * size + j]).toBe(matrix[j * size + i]);
        const trace = (of: Float64Array) => Array.from({ length: size }, (_, i) => of[i * size + i]);
        const more = solved([...played, { ...another, day: 4 }], curve);
        trace(more.matrix).forEach((value, i) =>
          expect(value).toBeGreaterThanOrEqual(trace(matrix)[i] - 1e-6),
        );
      }),
      { numRuns: 40 },
    );
  });

  it('are the prior alone where nothing counts', () => {
    const played = [{ day: 0, midi: 73, level: 0, minutes: 5, cents: 25 }];
    const { table, unknowns } = solved(played, null);
    const { size, notes } = unknowns;
    const { matrix, right } = normalEquations(table, unknowns, null, SPREAD, new Float64Array(1));
    const rows = Array.from({ length: size }, (_, i) => [...matrix.subarray(i * size, (i + 1) * size)]);
    const values = solve(rows, [...right]);
    for (let i = 0; i < notes; i++) {
      expect(values[i]).toBeCloseTo(0, 9);
      expect(values[notes + i]).toBeCloseTo(PRIOR.bendMean, 9);
    }
  });
});

describe('residuals', () => {
  it('are what is left of each cell beside the fit and its day, and weigh less the odder they are', () => {
    // Nine days in which everything is 3 cents sharp, and one note of one day 60 cents off.
    const played = Array.from({ length: 9 }, (_, day) =>
      [72, 73, 74, 75, 76].map((midi) => ({
        day,
        midi,
        level: 0,
        minutes: 0,
        cents: day === 4 && midi === 75 ? 63 : 3,
      })),
    ).flat();
    const { unknowns, table, weights, values } = solved(played, null);
    const odd = 4 * 5 + 3;
    const found = residualsOf(table, unknowns, null, SPREAD, weights, Float64Array.from(values));
    expect(found.dayOffsets).toHaveLength(9);
    const largest = found.standard.reduce(
      (most, value, row) => (Math.abs(value) > Math.abs(found.standard[most]) ? row : most),
      0,
    );
    expect(largest).toBe(odd);
    expect(found.standard[odd]).toBeCloseTo(found.cents[odd] / Math.hypot(SPREAD.cell, SPREAD.within), 9);
    reweigh(weights, found);
    expect(weights[odd]).toBeLessThan(0.3);
    expect(weights.filter((weight) => weight === 1).length).toBeGreaterThan(35);
    // Weights cost certainty only where something is odd.
    expect(cost(found)).toBeGreaterThanOrEqual(1);
  });

  it('have no figure where a cell has no pitch, and such a cell keeps its weight', () => {
    const silent: ObservedTake = {
      startedAt: 0,
      lengthSeconds: 9,
      notes: [{ ...NOTE, writtenMidi: writtenMidi(74), points: [], start: 'slow' }],
    };
    const table = tableOf([cellsOfDay('day 0', [silent])]);
    const weights = Float64Array.of(1);
    const unknowns = unknownsOf(LOWEST, HIGHEST);
    const found = residualsOf(table, unknowns, null, SPREAD, weights, new Float64Array(unknowns.size));
    expect([...found.cents, ...found.standard]).toEqual([NaN, NaN]);
    reweigh(weights, found);
    expect([...weights]).toEqual([1]);
    // So few cells tell nothing of what weights cost.
    expect(cost(found)).toBe(1);
  });
});

describe('the table of cells', () => {
  it('leaves out notes beside the map, and keeps what is of each day', () => {
    const played = [70, 72, 76, 78].flatMap((midi) =>
      [0, 1].map((day) => ({ day, midi, level: 0, minutes: 0, cents: midi + day })),
    );
    const all = tableOf(daysOf(played));
    expect(all.starts).toEqual([0, 4, 8]);
    const inner = within(all, LOWEST, HIGHEST);
    expect(inner.starts).toEqual([0, 2, 4]);
    const column = (place: number) =>
      Array.from({ length: 4 }, (_, row) => inner.rows[row * CELL.width + place]);
    expect(column(CELL.midi)).toEqual([72, 76, 72, 76]);
    expect(column(CELL.cents)).toEqual([72, 76, 73, 77]);
    expect(within(inner, LOWEST, HIGHEST).rows).toBe(inner.rows);
  });

  it('counts minutes from the beginning of a sitting: after 45 minutes of rest the horn is cold again', () => {
    const take = (minutes: number, seconds: number): ObservedTake => ({
      startedAt: 60_000 * minutes,
      lengthSeconds: seconds,
      notes: [{ ...NOTE, writtenMidi: writtenMidi(74), points: [{ cents: 0, level: 0 }] }],
    });
    const curveOf = (...takes: ObservedTake[]) => cellsOfDay('day', takes).cells[CELL.curves];
    const cold = -1;
    const warm = -Math.exp(-30 / WARM_UP_MINUTES[0]);
    expect(curveOf(take(0, 60))).toBeCloseTo(cold, 5);
    expect(curveOf(take(0, 60), take(30, 60))).toBeCloseTo(cold + warm, 5);
    expect(curveOf(take(0, 60), take(46.1, 60))).toBeCloseTo(2 * cold, 5);
    expect(curveOf(take(0, 600), take(46.1, 60))).toBeGreaterThan(cold - 0.01);
    // In whatever order they come.
    expect(curveOf(take(30, 60), take(0, 60))).toBeCloseTo(cold + warm, 5);
  });
});
