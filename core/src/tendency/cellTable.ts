import { CELL, type DayCells } from './cells.ts';

/** All cells of a map in one row, with where each day begins. */
export interface CellTable {
  rows: Float64Array;
  /** First row of each day, and at the end the number of rows. */
  starts: readonly number[];
}

/** All days in one table. */
export function tableOf(days: readonly DayCells[]): CellTable {
  const starts = [0];
  for (const { cells } of days) starts.push((starts.at(-1) ?? 0) + cells.length / CELL.width);
  const rows = new Float64Array((starts.at(-1) ?? 0) * CELL.width);
  days.forEach(({ cells }, i) => rows.set(cells, starts[i] * CELL.width));
  return { rows, starts };
}

/** Cells of notes outside the map are left out. */
export function within({ rows, starts }: CellTable, lowest: number, highest: number): CellTable {
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
