/** Hop between frames. Frame i is centred at i * FRAME_SECONDS on the clock of its own sound. */
export const FRAME_SECONDS = 0.01;
/** Harmonics whose levels a frame keeps. */
export const MAX_PARTIAL = 16;

/**
 * Frames as columns, one value a frame. "No answer" is stored as NaN inside a column only; read values
 * through `columnValue`, which says null. Columns travel between threads and into storage as they are.
 */
export interface FrameColumns {
  /** Sounding fundamental in Hz, 50-2800; absent where no pitch is heard. */
  f0Hz: Float32Array<ArrayBuffer>;
  /** Periodicity at the period, 0-1; 0 where nothing periodic was found at all. */
  clarity: Float32Array<ArrayBuffer>;
  /** Band-limited RMS in dBFS (a full-scale sine reads -3.01). */
  levelDb: Float32Array<ArrayBuffer>;
  /** Amplitude-weighted mean harmonic number; absent without pitch. */
  centroidHarmonics: Float32Array<ArrayBuffer>;
  /** Residual noise against harmonic power within 0.5-8 kHz, in dB; absent without pitch. */
  noiseToHarmonicDb: Float32Array<ArrayBuffer>;
  /** RMS of 2-8 kHz in a 21 ms window, in dBFS: the air before a tone. Absent with pitch, and in old takes. */
  airDb: Float32Array<ArrayBuffer>;
  /** Levels of harmonics 1-16 in dBFS, 16 values a frame; absent under the noise and above the band. */
  partialsDb: Float32Array<ArrayBuffer>;
  /** What was heard without the expected note, 0 for no pitch; absent where that is `f0Hz` too. */
  unaidedHz: Float32Array<ArrayBuffer>;
}

type ColumnName = keyof FrameColumns;
/** Values a frame in each column. */
const WIDTHS: Record<ColumnName, number> = {
  f0Hz: 1,
  clarity: 1,
  levelDb: 1,
  centroidHarmonics: 1,
  noiseToHarmonicDb: 1,
  airDb: 1,
  partialsDb: MAX_PARTIAL,
  unaidedHz: 1,
};
const NAMES = Object.keys(WIDTHS) as ColumnName[];

/** The value of a column at a frame, or null where there is no answer or no such frame. */
export function columnValue(column: Float32Array, index: number): number | null {
  const value = column[index];
  return value === undefined || Number.isNaN(value) ? null : value;
}

/** Columns of so many frames, each made by `column` from its name and length. */
function eachColumn(column: (name: ColumnName) => Float32Array<ArrayBuffer>): FrameColumns {
  return {
    f0Hz: column('f0Hz'),
    clarity: column('clarity'),
    levelDb: column('levelDb'),
    centroidHarmonics: column('centroidHarmonics'),
    noiseToHarmonicDb: column('noiseToHarmonicDb'),
    airDb: column('airDb'),
    partialsDb: column('partialsDb'),
    unaidedHz: column('unaidedHz'),
  };
}

const allocate = (frames: number) => eachColumn((name) => new Float32Array(frames * WIDTHS[name]));

/** A growing row of frames. Columns are longer than `count`: only the first `count` values mean anything. */
export class FrameTrack {
  columns: FrameColumns;
  count = 0;

  constructor(capacity = 1024) {
    this.columns = allocate(capacity);
  }

  /** Wraps stored or received columns; every frame in them counts. */
  static from(columns: FrameColumns): FrameTrack {
    const track = new FrameTrack(0);
    track.columns = columns;
    track.count = columns.f0Hz.length;
    return track;
  }

  /** Appends one frame; absent values are NaN, and null is no harmonic at all. Grows by doubling. */
  append(
    f0Hz: number,
    clarity: number,
    levelDb: number,
    centroidHarmonics: number,
    noiseToHarmonicDb: number,
    airDb = NaN,
    partialsDb: Float64Array | null = null,
    unaidedHz = NaN,
  ): void {
    this.reserve(1);
    const { columns, count } = this;
    columns.f0Hz[count] = f0Hz;
    columns.clarity[count] = clarity;
    columns.levelDb[count] = levelDb;
    columns.centroidHarmonics[count] = centroidHarmonics;
    columns.noiseToHarmonicDb[count] = noiseToHarmonicDb;
    columns.airDb[count] = airDb;
    columns.unaidedHz[count] = unaidedHz;
    if (partialsDb === null) columns.partialsDb.fill(NaN, count * MAX_PARTIAL, (count + 1) * MAX_PARTIAL);
    else columns.partialsDb.set(partialsDb, count * MAX_PARTIAL);
    this.count++;
  }

  /** Appends every frame of `batch`. */
  appendColumns(batch: FrameColumns): void {
    this.reserve(batch.f0Hz.length);
    for (const name of NAMES) this.columns[name].set(batch[name], this.count * WIDTHS[name]);
    this.count += batch.f0Hz.length;
  }

  /** A copy of frames from `start` up to, not including, `end`. */
  slice(start: number, end: number = this.count): FrameColumns {
    return eachColumn((name) => this.columns[name].slice(start * WIDTHS[name], end * WIDTHS[name]));
  }

  private reserve(more: number): void {
    const capacity = this.columns.f0Hz.length;
    if (this.count + more <= capacity) return;
    const grown = allocate(Math.max(2 * capacity, this.count + more));
    for (const name of NAMES) grown[name].set(this.columns[name].subarray(0, this.count * WIDTHS[name]));
    this.columns = grown;
  }
}
