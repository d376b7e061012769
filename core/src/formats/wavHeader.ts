import { MAX_RATE_HZ, MIN_RATE_HZ } from '../hearing/index.ts';
import { CoreError, type Reason } from '../signal/index.ts';

interface WavFormat {
  sampleRateHz: number;
  channels: number;
  bitsPerSample: number;
}

/** What a WAV file says of itself, checked against what it holds. */
export interface WavHeader extends WavFormat {
  /** Samples of each channel. */
  sampleCount: number;
  /** Where the bodies of its two chunks lie, in bytes. */
  formatAt: number;
  formatSize: number;
  dataAt: number;
  dataSize: number;
}

const PCM = 1;
const FLOAT = 3;
/** The real format stands in the first two bytes of the sub-format. */
const EXTENSIBLE = 0xfffe;
const DEPTHS: Record<number, number[]> = { [PCM]: [8, 16, 24, 32], [FLOAT]: [32, 64] };
const MAX_CHANNELS = 32;

/** Plain, and with sizes of 64 bits. */
const FORMS = ['RIFF', 'RF64'];
const UNKNOWN = 0xffffffff;
/** Who streams does not know how long it will be, and promises as much as there can be. */
const STREAMED = 0xffffff00;

const refuse = (sentence: string, name: Reason['name'], values: Reason['values'] = {}) =>
  new CoreError('wav-unreadable', sentence, { name, values });

/**
 * Reads and checks the header of a RIFF WAV file before anything trusts it. Throws `wav-unreadable` with a
 * sentence: empty, no WAV, cut short, absurd (rate outside 8-192 kHz, no channel or over 32), or a coding other
 * than PCM and float. `bytes` is its beginning, `fileBytes` how long it is in all. Where a recorder streamed, or crashed before it could say how long its sound is, all that is there is its sound.
 */
export function readWavHeader(bytes: Uint8Array, fileBytes = bytes.length): WavHeader {
  if (bytes.length === 0) throw refuse('The file is empty.', 'empty');
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const name = (at: number) => String.fromCharCode(...bytes.subarray(at, at + 4));
  if (!FORMS.includes(name(0)) || name(8) !== 'WAVE')
    throw refuse('This is no WAV file: save the sound as WAV (PCM or float) and try again.', 'notWav');
  /** Of the sound, where it may be too long for its own chunk to say. */
  let largeSize: number | null = null;
  let format: (WavFormat & Pick<WavHeader, 'formatAt' | 'formatSize'>) | null = null;
  for (let at = 12; at + 8 <= bytes.length;) {
    const size = view.getUint32(at + 4, true);
    const body = at + 8;
    if (name(at) === 'ds64' && body + 16 <= bytes.length)
      largeSize = Number(view.getBigUint64(body + 8, true));
    if (name(at) === 'fmt ') format = { ...readFormat(view, body, size), formatAt: body, formatSize: size };
    if (name(at) === 'data') {
      if (!format) throw refuse('The WAV header is broken: its sound comes before its format.', 'damaged');
      const present = fileBytes - body;
      const told = size === UNKNOWN && largeSize !== null ? largeSize : size;
      const isOpen = told >= STREAMED || (told === 0 && present > 0 && !isChunk(bytes, body));
      const frameBytes = (format.channels * format.bitsPerSample) / 8;
      const dataSize = isOpen ? present - (present % frameBytes) : told;
      return { ...format, sampleCount: countSamples(format, dataSize, present), dataAt: body, dataSize };
    }
    at = body + size + (size % 2);
  }
  throw refuse('The WAV file is cut short: it holds no sound. Copy or record it again.', 'cutShort');
}

/** Whether a chunk begins here, by its name and a size that fits: then what came before it was empty, and not left open by a recorder that crashed. */
function isChunk(bytes: Uint8Array, at: number): boolean {
  if (at + 8 > bytes.length) return false;
  const name = String.fromCharCode(...bytes.subarray(at, at + 4));
  const size = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength).getUint32(at + 4, true);
  return /^[A-Za-z][A-Za-z0-9 ]{3}$/.test(name) && at + 8 + size <= bytes.length;
}

function readFormat(view: DataView, at: number, size: number): WavFormat {
  if (size < 16 || at + size > view.byteLength)
    throw refuse('The WAV header is broken: its format is cut short.', 'damaged');
  const tag = view.getUint16(at, true);
  const coding = tag === EXTENSIBLE && size >= 40 ? view.getUint16(at + 24, true) : tag;
  const channels = view.getUint16(at + 2, true);
  const sampleRateHz = view.getUint32(at + 4, true);
  const bitsPerSample = view.getUint16(at + 14, true);
  const depths = DEPTHS[coding];
  if (!depths)
    throw refuse(
      `The WAV file is coded in a way that is not read (${coding}): save it as PCM or float.`,
      'coding',
      {
        coding,
      },
    );
  if (!depths.includes(bitsPerSample))
    throw refuse(`The WAV header is absurd: ${bitsPerSample} bits per sample.`, 'damaged');
  if (sampleRateHz < MIN_RATE_HZ || sampleRateHz > MAX_RATE_HZ)
    throw refuse(
      `The sample rate must be ${MIN_RATE_HZ}-${MAX_RATE_HZ} Hz; the file says ${sampleRateHz}.`,
      'rate',
      {
        least: MIN_RATE_HZ,
        most: MAX_RATE_HZ,
        hz: sampleRateHz,
      },
    );
  if (channels < 1 || channels > MAX_CHANNELS)
    throw refuse(`The WAV header is absurd: ${channels} channels.`, 'damaged');
  if (view.getUint16(at + 12, true) !== (channels * bitsPerSample) / 8)
    throw refuse('The WAV header is broken: its samples do not fit together.', 'damaged');
  return { sampleRateHz, channels, bitsPerSample };
}

function countSamples(format: WavFormat, promised: number, present: number): number {
  const { sampleRateHz, channels, bitsPerSample } = format;
  const frameBytes = (channels * bitsPerSample) / 8;
  const seconds = (size: number) => (size / frameBytes / sampleRateHz).toFixed(2);
  if (promised > present)
    throw refuse(
      `The WAV file is cut short: its header promises ${seconds(promised)} s, ${seconds(present)} s are there. ` +
        'Copy or record it again.',
      'cutShort',
    );
  const sampleCount = Math.floor(promised / frameBytes);
  if (sampleCount === 0) throw refuse('The WAV file holds no sound.', 'noSound');
  return sampleCount;
}
