import wavefile from 'wavefile/dist/wavefile.js';
import { CoreError } from '../signal/index.ts';

export interface Sound {
  sampleRateHz: number;
  /** Mono, full scale = 1. */
  samples: Float32Array<ArrayBuffer>;
}

/** A mono WAV file: 32-bit float keeps every bit of a take, 16-bit is for programs that want it. */
export function encodeWav(
  { sampleRateHz, samples }: Sound,
  depth: '32f' | '16' = '32f',
): Uint8Array<ArrayBuffer> {
  const file = new wavefile.WaveFile();
  const values =
    depth === '16' ? Array.from(samples, (s) => Math.round(Math.max(-1, Math.min(1, s)) * 32767)) : samples;
  file.fromScratch(1, sampleRateHz, depth, values);
  return new Uint8Array(file.toBuffer());
}

/** Reads a PCM or float WAV, mixing channels to mono. Throws `wav-unreadable`. */
export function decodeWav(bytes: Uint8Array): Sound {
  try {
    const file = new wavefile.WaveFile(bytes);
    file.toBitDepth('32f');
    const { sampleRate } = file.fmt as { sampleRate: number };
    const data = file.getSamples(false, Float32Array) as unknown;
    const channels = (Array.isArray(data) ? data : [data]) as Float32Array[];
    const samples = new Float32Array(channels[0].length);
    for (const channel of channels)
      for (let n = 0; n < samples.length; n++) samples[n] += channel[n] / channels.length;
    return { sampleRateHz: sampleRate, samples };
  } catch (error) {
    throw new CoreError('wav-unreadable', `Not a readable WAV file: ${String(error)}`);
  }
}
