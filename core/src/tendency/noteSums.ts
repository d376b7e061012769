import {
  CELL,
  CELL_MEASURES,
  START_KINDS,
  type CellMeasure,
  type DayCells,
  type StartKind,
} from './cells.ts';
import { median } from '../stats/index.ts';
import { writtenMidi, type WrittenMidi } from '../horn/index.ts';

/** Tries at beginning a note, and those that failed. */
export interface Starts {
  tries: number;
  failed: number;
}

/** Everything besides pitch that days tell of a note. */
export interface NoteSums {
  writtenMidi: WrittenMidi;
  /** Median over the days' means; null where nothing told it. */
  measures: Record<CellMeasure, number | null>;
  /** Softest and loudest place on the player's scale that sounded. */
  softest: number | null;
  loudest: number | null;
  starts: Record<StartKind, { soft: Starts; loud: Starts }>;
}

/** The measures of every note from `lowest` to `highest`, over all days. */
export function noteSums(days: readonly DayCells[], lowest: number, highest: number): NoteSums[] {
  const notes = Array.from({ length: highest - lowest + 1 }, () => ({
    means: CELL_MEASURES.map(() => [] as number[]),
    softest: [] as number[],
    loudest: [] as number[],
    starts: new Float64Array(4 * START_KINDS.length),
  }));
  for (const { cells } of days)
    for (let at = 0; at < cells.length; at += CELL.width) {
      const note = notes.at(cells[at + CELL.midi] - lowest);
      if (cells[at + CELL.midi] < lowest || !note) continue;
      CELL_MEASURES.forEach((_, i) => {
        const count = cells[at + CELL.measures + 2 * i];
        if (count > 0) note.means[i].push(cells[at + CELL.measures + 2 * i + 1] / count);
      });
      const [softest, loudest] = [cells[at + CELL.softest], cells[at + CELL.loudest]];
      if (!Number.isNaN(softest)) note.softest.push(softest);
      if (!Number.isNaN(loudest)) note.loudest.push(loudest);
      note.starts.forEach((_, i) => (note.starts[i] += cells[at + CELL.starts + i]));
    }
  return notes.map(({ means, softest, loudest, starts }, i) => ({
    writtenMidi: writtenMidi(lowest + i),
    measures: Object.fromEntries(CELL_MEASURES.map((name, k) => [name, median(means[k])])) as Record<
      CellMeasure,
      number | null
    >,
    softest: softest.length === 0 ? null : Math.min(...softest),
    loudest: loudest.length === 0 ? null : Math.max(...loudest),
    starts: Object.fromEntries(
      START_KINDS.map((kind, k) => [
        kind,
        {
          soft: { tries: starts[4 * k], failed: starts[4 * k + 1] },
          loud: { tries: starts[4 * k + 2], failed: starts[4 * k + 3] },
        },
      ]),
    ) as NoteSums['starts'],
  }));
}
