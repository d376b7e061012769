/** A ring of the newest samples, addressed by their absolute index since the first one appended. */
export class SampleRing {
  private readonly data: Float32Array;
  private readonly mask: number;
  private written = 0;

  /** Keeps at least `minCapacity` samples. */
  constructor(minCapacity: number) {
    const capacity = 2 ** Math.ceil(Math.log2(minCapacity));
    this.data = new Float32Array(capacity);
    this.mask = capacity - 1;
  }

  /** Samples appended so far: the index the next one will get. */
  get end(): number {
    return this.written;
  }

  append(sample: number): void {
    this.data[this.written & this.mask] = sample;
    this.written++;
  }

  /** Appends samples `from` up to, not including, `to`. */
  appendFrom(samples: Float32Array, from: number, to: number): void {
    const { data, mask } = this;
    let at = this.written;
    for (let n = from; n < to; n++) data[at++ & mask] = samples[n];
    this.written = at;
  }

  /** The sample at an absolute index; 0 before the first and after the last one. */
  at(index: number): number {
    return index < 0 || index >= this.written || index < this.written - this.data.length
      ? 0
      : this.data[index & this.mask];
  }

  /** Copies `out.length` samples from absolute index `start` on; 0 where there is none. */
  readInto(out: Float32Array | Float64Array, start: number): void {
    const { data, mask, written } = this;
    const oldest = written - data.length;
    if (start >= 0 && start >= oldest && start + out.length <= written) {
      for (let n = 0; n < out.length; n++) out[n] = data[(start + n) & mask];
      return;
    }
    for (let n = 0, index = start; n < out.length; n++, index++)
      out[n] = index < 0 || index >= written || index < oldest ? 0 : data[index & mask];
  }
}
