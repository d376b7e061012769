import type * as LibFlac from 'libflacjs/dist/libflac.js';
import { CoreError, fromSteps, inSteps, concat } from '../signal/index.ts';
import type { Sound } from './wav.ts';

const BITS = 24;
/** A higher level takes three to ten times as long and saves a twentieth. */
const LEVEL = 2;
/** State of a decoder that has read all there is; what comes after it are errors. */
const END_OF_STREAM = 4;
/** Samples that are handed over at a time. */
const BLOCK = 65536;

/** The head of a FLAC file, as the library tells it. */
type StreamInfo = Pick<LibFlac.StreamMetadata, 'min_framesize' | 'max_framesize' | 'md5sum'>;

let loading: Promise<typeof LibFlac> | null = null;

/** The library is large and seldom needed: it comes when it is first asked for. */
function library(): Promise<typeof LibFlac> {
  loading ??= import('libflacjs/dist/libflac.js').then(async (module) => {
    // A module of the older kind: its exports stand under `default` in some bundlers.
    const flac = ('default' in module ? module.default : module) as typeof LibFlac;
    if (!flac.isReady()) await new Promise<void>((resolve) => flac.on('ready', () => resolve()));
    return flac;
  });
  return loading;
}

/**
 * A mono FLAC file of 24 bits, sample for sample what it was made of. Null where the samples do not lie on the steps of 24
 * bits: then nothing but floats would keep them.
 */
export async function encodeFlac({ sampleRateHz, samples }: Sound): Promise<Uint8Array<ArrayBuffer> | null> {
  const steps = inSteps(samples);
  if (!steps) return null;
  const flac = await library();
  const encoder = flac.create_libflac_encoder(sampleRateHz, 1, BITS, LEVEL, samples.length);
  const parts: Uint8Array<ArrayBuffer>[] = [];
  let info: StreamInfo | null = null;
  const state = flac.init_encoder_stream(
    encoder,
    (data) => void parts.push(new Uint8Array(data)),
    (streamInfo) => (info = streamInfo ?? null),
  );
  if (state !== 0) throw new CoreError('flac-unwritable', `The FLAC encoder did not start (${state}).`);
  try {
    for (let n = 0; n < steps.length; n += BLOCK) {
      const block = steps.slice(n, n + BLOCK);
      if (!flac.FLAC__stream_encoder_process_interleaved(encoder, block, block.length))
        throw new CoreError('flac-unwritable', `The FLAC encoder stopped at sample ${n}.`);
    }
    flac.FLAC__stream_encoder_finish(encoder);
  } finally {
    flac.FLAC__stream_encoder_delete(encoder);
  }
  const bytes = concat(Uint8Array, parts);
  if (info) completeHeader(bytes, info);
  return bytes;
}

/** What is known only at the end, and which the encoder cannot go back to write: the size of its frames and the sum of the samples. */
function completeHeader(bytes: Uint8Array, { min_framesize, max_framesize, md5sum }: StreamInfo): void {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const FRAME_SIZES_AT = 12;
  const MD5_AT = 26;
  for (const [place, size] of [min_framesize, max_framesize].entries()) {
    view.setUint8(FRAME_SIZES_AT + 3 * place, size >> 16);
    view.setUint16(FRAME_SIZES_AT + 3 * place + 1, size & 0xffff);
  }
  for (let i = 0; i < 16; i++) bytes[MD5_AT + i] = parseInt(md5sum.slice(2 * i, 2 * i + 2), 16);
}

/** Whole steps from decoded bytes, 3 or 4 to a sample, low byte first. */
function readSteps(data: Uint8Array, count: number): Int32Array<ArrayBuffer> {
  const width = data.length / count;
  const steps = new Int32Array(count);
  for (let n = 0; n < count; n++) {
    const at = n * width;
    const low = data[at] | (data[at + 1] << 8) | (data[at + 2] << 16);
    steps[n] = (low << 8) >> 8;
  }
  return steps;
}

/**
 * Reads a mono FLAC file of 24 bits, as `encodeFlac` writes it. Throws `flac-unreadable` where it is damaged, cut short or of
 * another kind; its own checksums are looked at.
 */
export async function decodeFlac(bytes: Uint8Array<ArrayBuffer>): Promise<Sound> {
  const flac = await library();
  const decoder = flac.create_libflac_decoder(true);
  const parts: Int32Array<ArrayBuffer>[] = [];
  let offset = 0;
  let sampleRateHz = 0;
  let promised = 0;
  let count = 0;
  let wrong: string | null = null;
  const refuse = (why: string) =>
    new CoreError('flac-unreadable', `The FLAC sound cannot be read: ${why}.`, {
      name: 'damaged',
      values: {},
    });
  try {
    flac.init_decoder_stream(
      decoder,
      (wanted) => {
        const part = bytes.subarray(offset, offset + wanted);
        offset += part.length;
        return part.length === 0
          ? { buffer: undefined, readDataLength: 0 }
          : { buffer: part, readDataLength: part.length };
      },
      (channels, { blocksize, bitsPerSample }) => {
        if (channels.length !== 1 || bitsPerSample !== BITS) wrong ??= `it is not mono with ${BITS} bits`;
        else parts.push(readSteps(channels[0], blocksize));
        // Frames of silence weigh next to nothing: more than is promised is never unpacked.
        count += blocksize;
        if (count > promised) wrong ??= 'it holds more than it says';
      },
      (_code, error) => (wrong ??= String(error)),
      (info) => {
        sampleRateHz = info?.sampleRate ?? 0;
        promised = info?.total_samples ?? 0;
      },
    );
    let read = true;
    while (read && wrong === null && flac.FLAC__stream_decoder_get_state(decoder) < END_OF_STREAM)
      read = flac.FLAC__stream_decoder_process_single(decoder);
    const matches = flac.FLAC__stream_decoder_finish(decoder);
    if (!read || !matches) wrong ??= 'its checksum does not fit';
  } finally {
    flac.FLAC__stream_decoder_delete(decoder);
  }
  const steps = concat(Int32Array, parts);
  if (wrong === null && (sampleRateHz === 0 || steps.length !== promised)) wrong = 'it is cut short';
  if (wrong !== null) throw refuse(wrong);
  return { sampleRateHz, samples: fromSteps(steps) };
}
