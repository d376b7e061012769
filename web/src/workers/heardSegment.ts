import {
  createListener,
  FRAME_SECONDS,
  FrameTrack,
  type FrameColumns,
  type Listener,
} from '@inner-hum/core/hearing';

/**
 * A stretch of the input that is heard from its first sample on, so that its frames are the same whenever that sound is
 * heard again: the time before a take, or a take. Samples are counted from the start of the input.
 */
export class HeardSegment {
  readonly track = new FrameTrack();
  readonly startSample: number;
  readonly #sampleRateHz: number;
  readonly #listener: Listener;
  #sent = 0;

  constructor(startSample: number, sampleRateHz: number) {
    this.startSample = startSample;
    this.#sampleRateHz = sampleRateHz;
    this.#listener = createListener({ sampleRateHz });
  }

  /** Hears the next sound, whose first sample has this place; what lies before the segment is left out. */
  push(samples: Float32Array<ArrayBuffer>, fromSample: number): void {
    const early = Math.max(0, this.startSample - fromSample);
    this.#listener.push(early > 0 ? samples.subarray(early) : samples, this.track);
  }

  /** How many of its frames went out. */
  get sent(): number {
    return this.#sent;
  }

  /** The frames that have not gone out, which count as sent from now on; null where there are none. */
  takeNewFrames(): FrameColumns | null {
    if (this.track.count <= this.#sent) return null;
    const columns = this.track.slice(this.#sent);
    this.#sent = this.track.count;
    return columns;
  }

  /** The sample at which a frame begins. */
  sampleOf(frame: number): number {
    return this.startSample + Math.round(frame * FRAME_SECONDS * this.#sampleRateHz);
  }

  /** The first frame that begins at a sample or after it. */
  frameFrom(sample: number): number {
    return Math.ceil((sample - this.startSample) / this.#sampleRateHz / FRAME_SECONDS);
  }
}
