import type { NoteObservation } from './observations.ts';

/** Time constants of the warm-up curve that are weighed against each other, in minutes. */
export const WARM_UP_MINUTES = [2, 4, 8, 15] as const;
const CURVES = WARM_UP_MINUTES.length;

/** Measures besides pitch whose means a cell keeps. */
export const CELL_MEASURES = [
  'responseMs',
  'holdSeconds',
  'noiseToHarmonicDb',
  'centroidHarmonics',
  'levelDb',
] as const;
export type CellMeasure = (typeof CELL_MEASURES)[number];

/** Ways to begin a note that are counted apart. */
export const START_KINDS = ['tongued', 'breath', 'any'] as const;
export type StartKind = (typeof START_KINDS)[number];

const MEASURES = 10 + 5 * CURVES;

/** Places in a cell: one row of numbers a note and day. Sums only, so that cells of parts add up to the cell of the whole. */
export const CELL = {
  midi: 0,
  count: 1,
  /** Sums of powers of the level, and of their products with cents. */
  level: 2,
  level2: 3,
  level3: 4,
  level4: 5,
  cents: 6,
  levelCents: 7,
  level2Cents: 8,
  cents2: 9,
  /** Five sums a curve: curve, curve², level x curve, level² x curve, curve x cents. */
  curves: 10,
  /** Count and sum of each measure. */
  measures: MEASURES,
  /** Softest and loudest place on the player's scale; NaN where nothing told them. */
  softest: MEASURES + 2 * CELL_MEASURES.length,
  loudest: MEASURES + 2 * CELL_MEASURES.length + 1,
  /** Tries and failed ones of each way to begin (`START_KINDS`), soft and loud. */
  starts: MEASURES + 2 * CELL_MEASURES.length + 2,
  width: MEASURES + 2 * CELL_MEASURES.length + 2 + 4 * START_KINDS.length,
} as const;

/** All notes of one day, one row of `CELL.width` numbers each, by note; single precision holds a day's sums to a thousandth of a cent. */
export interface DayCells {
  /** `yyyy-MM-dd`. */
  day: string;
  cells: Float32Array<ArrayBuffer>;
}

/** The notes of one take, and when it was begun and how long it was. */
export interface ObservedTake {
  /** In ms. */
  startedAt: number;
  lengthSeconds: number;
  notes: readonly NoteObservation[];
}

/** After a longer pause the horn is cold again. */
const PAUSE_MINUTES = 45;

/** The cells of one day from all its takes. The same takes in any order give the same cells. */
export function cellsOfDay(day: string, takes: readonly ObservedTake[]): DayCells {
  const rows = new Map<number, Float64Array<ArrayBuffer>>();
  let sittingAt = -Infinity;
  let endedAt = -Infinity;
  for (const { startedAt, lengthSeconds, notes } of takes.toSorted((a, b) => a.startedAt - b.startedAt)) {
    if (startedAt - endedAt > PAUSE_MINUTES * 60_000) sittingAt = startedAt;
    endedAt = startedAt + 1000 * lengthSeconds;
    const minutes = (startedAt - sittingAt) / 60_000;
    for (const note of notes) addTo(rowOf(rows, note.writtenMidi), note, minutes);
  }
  const sorted = [...rows.values()].toSorted((a, b) => a[CELL.midi] - b[CELL.midi]);
  const cells = new Float32Array(sorted.length * CELL.width);
  sorted.forEach((row, i) => cells.set(row, i * CELL.width));
  return { day, cells };
}

function rowOf(rows: Map<number, Float64Array<ArrayBuffer>>, midi: number): Float64Array<ArrayBuffer> {
  const known = rows.get(midi);
  if (known) return known;
  const row = new Float64Array(CELL.width);
  row[CELL.midi] = midi;
  row[CELL.softest] = NaN;
  row[CELL.loudest] = NaN;
  rows.set(midi, row);
  return row;
}

function addTo(row: Float64Array, note: NoteObservation, minutes: number): void {
  for (const { cents, level } of note.points) {
    row[CELL.count]++;
    row[CELL.level] += level;
    row[CELL.level2] += level ** 2;
    row[CELL.level3] += level ** 3;
    row[CELL.level4] += level ** 4;
    row[CELL.cents] += cents;
    row[CELL.levelCents] += level * cents;
    row[CELL.level2Cents] += level ** 2 * cents;
    row[CELL.cents2] += cents * cents;
    WARM_UP_MINUTES.forEach((constant, k) => {
      const curve = -Math.exp(-minutes / constant);
      const at = CELL.curves + 5 * k;
      row[at] += curve;
      row[at + 1] += curve * curve;
      row[at + 2] += level * curve;
      row[at + 3] += level * level * curve;
      row[at + 4] += curve * cents;
    });
  }
  CELL_MEASURES.forEach((name, i) => {
    const value = note[name];
    if (value === null) return;
    row[CELL.measures + 2 * i]++;
    row[CELL.measures + 2 * i + 1] += value;
  });
  const way = START_KINDS.indexOf(note.attack ?? 'any');
  const isSoft = (note.levelDb ?? 0) < 0;
  const starts = CELL.starts + 4 * way + (isSoft ? 0 : 2);
  row[starts]++;
  if (note.start !== 'clean') row[starts + 1]++;
  const nearer = (at: number, value: number | null, pick: (a: number, b: number) => number) => {
    if (value !== null) row[at] = Number.isNaN(row[at]) ? value : pick(row[at], value);
  };
  nearer(CELL.softest, note.softest, Math.min);
  nearer(CELL.loudest, note.loudest, Math.max);
}
