declare const BLOCK = 512;
declare class CaptureProcessor extends AudioWorkletProcessor implements AudioWorkletProcessorImpl {
  private sink;
  private block;
  private filled;
  private startFrame;
  constructor();
  process(inputs: Float32Array[][]): boolean;
}
