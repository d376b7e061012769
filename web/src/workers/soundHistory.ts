const KEPT_SECONDS = 62;

/** The last minute of the input, addressed by frame number of the audio clock. */
export class SoundHistory {
  private readonly data: Float32Array<ArrayBuffer>;
  private first = 0;
  private next = 0;

  constructor(sampleRateHz: number) {
    this.data = new Float32Array(KEPT_SECONDS * sampleRateHz);
  }

  /** The first frame there will ever be. */
  begin(frame: number): void {
    this.first = frame;
    this.next = frame;
  }

  /** Oldest frame still kept, and the one that comes next. */
  get start(): number {
    return Math.max(this.first, this.next - this.data.length);
  }
  get end(): number {
    return this.next;
  }

  /**
   * A block that begins at `frame`, with what the machine was too busy to hear before it as silence, so that the clock stays true, and
   * how many samples that are.
   */
  filledUpTo(
    frame: number,
    samples: Float32Array<ArrayBuffer>,
  ): { block: Float32Array<ArrayBuffer>; lost: number } {
    const lost = frame - this.next;
    if (lost <= 0) return { block: samples, lost: 0 };
    const block = new Float32Array(lost + samples.length);
    block.set(samples, lost);
    return { block, lost };
  }

  append(samples: Float32Array): void {
    const kept =
      samples.length > this.data.length ? samples.subarray(samples.length - this.data.length) : samples;
    this.next += samples.length - kept.length;
    const at = this.next % this.data.length;
    const room = Math.min(kept.length, this.data.length - at);
    this.data.set(kept.subarray(0, room), at);
    this.data.set(kept.subarray(room), 0);
    this.next += kept.length;
  }

  /** A copy of everything from `frame` on, which must not be older than `start`. */
  since(frame: number): Float32Array<ArrayBuffer> {
    const count = Math.max(0, this.next - frame);
    const out = new Float32Array(count);
    const at = frame % this.data.length;
    const room = Math.min(count, this.data.length - at);
    out.set(this.data.subarray(at, at + room), 0);
    out.set(this.data.subarray(0, count - room), room);
    return out;
  }
}
