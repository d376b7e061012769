import decode from '@audio/decode-wav';
import createEncoder from '@audio/encode-wav';
import { CoreError } from '../signal/index.ts';
import { readWavHeader, type WavHeader } from './wavHeader.ts';

export interface Sound {
  sampleRateHz: number;
  /** Mono, full scale = 1. */
  samples: Float32Array<ArrayBuffer>;
}

/** A mono WAV file: 32-bit float keeps every bit of a take, 16-bit is for programs that want it. */
export async function encodeWav(
  { sampleRateHz, samples }: Sound,
  bitDepth: 16 | 32 = 32,
): Promise<Uint8Array<ArrayBuffer>> {
  const encoder = await createEncoder({ sampleRate: sampleRateHz, bitDepth });
  encoder.encode([samples]);
  const bytes = new Uint8Array(encoder.flush());
  return bitDepth === 32 ? withFloatHeader(bytes, samples.length) : bytes;
}

/** A coding that is not PCM wants the size of its extension (none) in the format, and how many samples there are. */
function withFloatHeader(bytes: Uint8Array<ArrayBuffer>, sampleCount: number): Uint8Array<ArrayBuffer> {
  const [FORMAT_END, EXTENSION, FACT] = [36, 2, 12];
  const out = new Uint8Array(bytes.length + EXTENSION + FACT);
  out.set(bytes.subarray(0, FORMAT_END));
  out.set(bytes.subarray(FORMAT_END), FORMAT_END + EXTENSION + FACT);
  const view = new DataView(out.buffer);
  view.setUint32(4, out.length - 8, true);
  view.setUint32(16, 18, true);
  const factAt = FORMAT_END + EXTENSION;
  out.set(new TextEncoder().encode('fact'), factAt);
  view.setUint32(factAt + 4, 4, true);
  view.setUint32(factAt + 8, sampleCount, true);
  return out;
}

/**
 * Reads a PCM or float WAV, mixing channels to mono. Throws `wav-unreadable` with what is wrong with the file, and
 * `samples-not-finite` where a sample is no number.
 */
export function decodeWav(bytes: Uint8Array): Sound {
  const header = readWavHeader(bytes);
  const { sampleRateHz, sampleCount } = header;
  const channels = readChannels(bytes, header);
  const samples = new Float32Array(sampleCount);
  for (const channel of channels)
    for (let n = 0; n < sampleCount; n++) samples[n] += channel[n] / channels.length;
  const bad = samples.findIndex((sample) => !Number.isFinite(sample));
  if (bad >= 0)
    throw new CoreError(
      'samples-not-finite',
      `The WAV file holds a sample that is no number, at ${(bad / sampleRateHz).toFixed(3)} s.`,
      { name: 'notFinite', values: { seconds: (bad / sampleRateHz).toFixed(3) } },
    );
  return { sampleRateHz, samples };
}

function readChannels(bytes: Uint8Array, header: WavHeader): Float32Array[] {
  try {
    return decode(onlyFormatAndData(bytes, header)).channelData;
  } catch (error) {
    throw new CoreError('wav-unreadable', `The WAV file cannot be read: ${String(error)}`, {
      name: 'damaged',
      values: {},
    });
  }
}

/** The decoder loses its way after chunks of odd length: it gets a file without any other chunk. */
function onlyFormatAndData(
  bytes: Uint8Array,
  { formatAt, formatSize, dataAt, dataSize }: WavHeader,
): Uint8Array {
  const formatEnd = 12 + 8 + formatSize + (formatSize % 2);
  const plain = new Uint8Array(formatEnd + 8 + dataSize);
  const view = new DataView(plain.buffer);
  plain.set(new TextEncoder().encode('RIFF'));
  view.setUint32(4, plain.length - 8, true);
  plain.set(bytes.subarray(8, 12), 8);
  plain.set(bytes.subarray(formatAt - 8, formatAt + formatSize), 12);
  plain.set(bytes.subarray(dataAt - 8, dataAt + dataSize), formatEnd);
  // As long as it is, whatever it said of itself.
  view.setUint32(formatEnd + 4, dataSize, true);
  return plain;
}
