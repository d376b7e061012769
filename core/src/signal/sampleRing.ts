/**
 * A ring of the newest samples, addressed by their absolute index since the first one appended. Every sample is held
 * twice, a capacity apart, so that any stretch of the ring lies in one piece of `data`.
 */
export class SampleRing {
  /** For readers that know their stretch is there: see `offsetOf`. */
  readonly data: Float32Array;
  private readonly capacity: number;
  private readonly mask: number;
  private written = 0;

  /** Keeps at least `minCapacity` samples. */
  constructor(minCapacity: number) {
    this.capacity = 2 ** Math.ceil(Math.log2(minCapacity));
    this.mask = this.capacity - 1;
    this.data = new Float32Array(2 * this.capacity);
  }

  /** Samples appended so far: the index the next one will get. */
  get end(): number {
    return this.written;
  }

  append(sample: number): void {
    const at = this.written & this.mask;
    this.data[at] = sample;
    this.data[at + this.capacity] = sample;
    this.written++;
  }

  /** Appends samples `from` up to, not including, `to`. */
  appendFrom(samples: Float32Array, from: number, to: number): void {
    const { data, mask, capacity } = this;
    let index = this.written;
    for (let n = from; n < to; n++, index++) {
      const at = index & mask;
      data[at] = samples[n];
      data[at + capacity] = samples[n];
    }
    this.written = index;
  }

  /** The sample at an absolute index; 0 before the first and after the last one. */
  at(index: number): number {
    return index < 0 || index >= this.written || index < this.written - this.capacity
      ? 0
      : this.data[index & this.mask];
  }

  /**
   * Where in `data` the stretch from absolute index `start` on lies in one piece. The caller answers for it that
   * the stretch is no longer than the ring and still in it; before the first sample there are zeros.
   */
  offsetOf(start: number): number {
    return start & this.mask;
  }

  /** Copies `out.length` samples from absolute index `start` on; 0 where there is none. */
  readInto(out: Float32Array | Float64Array, start: number): void {
    const { data, written } = this;
    const oldest = written - this.capacity;
    if (start >= 0 && start >= oldest && start + out.length <= written) {
      const offset = this.offsetOf(start);
      for (let n = 0; n < out.length; n++) out[n] = data[offset + n];
      return;
    }
    for (let n = 0, index = start; n < out.length; n++, index++)
      out[n] = index < 0 || index >= written || index < oldest ? 0 : data[index & this.mask];
  }
}
