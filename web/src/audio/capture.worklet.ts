// Copies samples from the audio thread to the worker, nothing else.
const BLOCK = 512;

class CaptureProcessor extends AudioWorkletProcessor implements AudioWorkletProcessorImpl {
  private sink: MessagePort | null = null;
  private block = new Float32Array(BLOCK);
  private filled = 0;
  private startFrame = 0;

  constructor() {
    super();
    this.port.onmessage = ({ data }: MessageEvent<MessagePort | null>) => {
      this.sink = data;
      this.filled = 0;
    };
  }

  process(inputs: Float32Array[][]): boolean {
    const channels = inputs[0] ?? [];
    const count = channels[0]?.length ?? 128;
    if (!this.sink) return true;
    for (let n = 0; n < count; n++) {
      if (this.filled === 0) this.startFrame = currentFrame + n;
      let sum = 0;
      for (const channel of channels) sum += channel[n] ?? 0;
      this.block[this.filled++] = channels.length > 0 ? sum / channels.length : 0;
      if (this.filled < BLOCK) continue;
      this.sink.postMessage({ startFrame: this.startFrame, samples: this.block }, [this.block.buffer]);
      this.block = new Float32Array(BLOCK);
      this.filled = 0;
    }
    return true;
  }
}

registerProcessor('inner-hum-capture', CaptureProcessor);
