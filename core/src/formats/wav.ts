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

/** Frames of all channels that are decoded at a time: a recording of an hour is never held twice. */
const BLOCK_FRAMES = 2 ** 19;
/** The sound of a WAV begins within so many bytes, or, after a cover or notes, within so many more. */
const HEAD_BYTES = 1_000_000;
const LONGEST_HEAD_BYTES = 64_000_000;

/** A file as far as it is asked for; a `Blob` is one. */
export interface FileParts {
  readonly size: number;
  slice(from: number, to: number): { arrayBuffer(): Promise<ArrayBuffer> };
}

/**
 * Reads a PCM or float WAV, mixing channels to mono. Throws `wav-unreadable` with what is wrong with the file, and
 * `samples-not-finite` where a sample is no number.
 */
export function decodeWav(bytes: Uint8Array): Sound {
  const header = readWavHeader(bytes);
  const mixer = createMixer(bytes, header);
  for (const { from, to } of blocksOf(header)) mixer.add(bytes.subarray(from, to));
  return mixer.sound();
}

/** The same from a file, block by block: at no time more than one block of it is held beside the samples. */
export async function readWavFile(file: FileParts): Promise<Sound> {
  const bytesOf = async (from: number, to: number) =>
    new Uint8Array(await file.slice(from, to).arrayBuffer());
  const { head, header } = await headOf(file, bytesOf);
  const mixer = createMixer(head, header);
  for (const { from, to } of blocksOf(header)) mixer.add(await bytesOf(from, to));
  return mixer.sound();
}

async function headOf({ size }: FileParts, bytesOf: (from: number, to: number) => Promise<Uint8Array>) {
  const headOfLength = async (length: number) => {
    const head = await bytesOf(0, Math.min(size, length));
    return { head, header: readWavHeader(head, size) };
  };
  try {
    return await headOfLength(HEAD_BYTES);
  } catch (error) {
    const isLonger = size > HEAD_BYTES && error instanceof CoreError && error.reason?.name === 'cutShort';
    if (!isLonger) throw error;
    return headOfLength(LONGEST_HEAD_BYTES);
  }
}

/** Where the blocks of its sound lie, in bytes. */
function blocksOf({ dataAt, dataSize, channels, bitsPerSample }: WavHeader): { from: number; to: number }[] {
  const blockBytes = (BLOCK_FRAMES * channels * bitsPerSample) / 8;
  return Array.from({ length: Math.ceil(dataSize / blockBytes) }, (_, i) => ({
    from: dataAt + i * blockBytes,
    to: dataAt + Math.min((i + 1) * blockBytes, dataSize),
  }));
}

/** Decodes blocks one after the other into one channel. `head`: the bytes in which the format stands. */
function createMixer(head: Uint8Array, header: WavHeader) {
  const { sampleRateHz, sampleCount } = header;
  const samples = new Float32Array(sampleCount);
  let at = 0;
  return {
    add(data: Uint8Array) {
      const channels = readChannels(onlyFormatAndData(head, header, data));
      const count = Math.min(channels[0]?.length ?? 0, sampleCount - at);
      for (const channel of channels)
        for (let n = 0; n < count; n++) samples[at + n] += channel[n] / channels.length;
      for (let n = at; n < at + count; n++)
        if (!Number.isFinite(samples[n])) throw notFinite((n / sampleRateHz).toFixed(3));
      at += count;
    },
    sound: (): Sound => ({ sampleRateHz, samples }),
  };
}

const notFinite = (seconds: string) =>
  new CoreError('samples-not-finite', `The WAV file holds a sample that is no number, at ${seconds} s.`, {
    name: 'notFinite',
    values: { seconds },
  });

function readChannels(wav: Uint8Array): Float32Array[] {
  try {
    return decode(wav).channelData;
  } catch (error) {
    throw new CoreError('wav-unreadable', `The WAV file cannot be read: ${String(error)}`, {
      name: 'damaged',
      values: {},
    });
  }
}

/** The decoder loses its way after chunks of odd length: it gets a file without any other chunk. */
function onlyFormatAndData(
  head: Uint8Array,
  { formatAt, formatSize }: WavHeader,
  data: Uint8Array,
): Uint8Array {
  const formatEnd = 12 + 8 + formatSize + (formatSize % 2);
  const plain = new Uint8Array(formatEnd + 8 + data.length);
  const view = new DataView(plain.buffer);
  plain.set(new TextEncoder().encode('RIFF'));
  view.setUint32(4, plain.length - 8, true);
  plain.set(head.subarray(8, 12), 8);
  plain.set(head.subarray(formatAt - 8, formatAt + formatSize), 12);
  plain.set(new TextEncoder().encode('data'), formatEnd);
  // As long as it is, whatever it said of itself.
  view.setUint32(formatEnd + 4, data.length, true);
  plain.set(data, formatEnd + 8);
  return plain;
}
