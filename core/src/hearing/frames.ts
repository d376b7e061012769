/** Hop between frames. Frame i is centred at i * FRAME_SECONDS on the clock of its own sound. */
export const FRAME_SECONDS = 0.01;

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
  brightness: Float32Array<ArrayBuffer>;
  /** Residual noise against harmonic power within 0.5-8 kHz, in dB; absent without pitch. */
  breathDb: Float32Array<ArrayBuffer>;
}

const NAMES = ['f0Hz', 'clarity', 'levelDb', 'brightness', 'breathDb'] as const;

/** The value of a column at a frame, or null where there is no answer or no such frame. */
export function columnValue(column: Float32Array, index: number): number | null {
  const value = column[index];
  return value === undefined || Number.isNaN(value) ? null : value;
}

function allocate(capacity: number): FrameColumns {
  const column = () => new Float32Array(capacity);
  return {
    f0Hz: column(),
    clarity: column(),
    levelDb: column(),
    brightness: column(),
    breathDb: column(),
  };
}

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

  /** Appends one frame; absent values are NaN. Grows by doubling. */
  append(f0Hz: number, clarity: number, levelDb: number, brightness: number, breathDb: number): void {
    this.reserve(1);
    const { columns, count } = this;
    columns.f0Hz[count] = f0Hz;
    columns.clarity[count] = clarity;
    columns.levelDb[count] = levelDb;
    columns.brightness[count] = brightness;
    columns.breathDb[count] = breathDb;
    this.count++;
  }

  /** Appends every frame of `batch`. */
  appendColumns(batch: FrameColumns): void {
    this.reserve(batch.f0Hz.length);
    for (const name of NAMES) this.columns[name].set(batch[name], this.count);
    this.count += batch.f0Hz.length;
  }

  /** A copy of frames from `start` up to, not including, `end`. */
  slice(start: number, end: number = this.count): FrameColumns {
    const copy = allocate(0);
    for (const name of NAMES) copy[name] = this.columns[name].slice(start, end);
    return copy;
  }

  private reserve(more: number): void {
    const capacity = this.columns.f0Hz.length;
    if (this.count + more <= capacity) return;
    const grown = allocate(Math.max(2 * capacity, this.count + more));
    for (const name of NAMES) grown[name].set(this.columns[name].subarray(0, this.count));
    this.columns = grown;
  }
}
