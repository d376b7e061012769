import { soundKind } from './soundKind.ts';

/** How long a file of sound says it is. */
export interface PromisedLength {
  seconds: number;
  /** Said by the file itself; otherwise worked out of its size. */
  isExact: boolean;
}

/** So much of its beginning and of its end is looked at, in bytes. */
export const PROMISE_BYTES = 262_144;

const text = (bytes: Uint8Array, at: number, length = 4) =>
  String.fromCharCode(...bytes.subarray(at, at + length));
const viewOf = (bytes: Uint8Array) => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);

/**
 * How long a compressed recording (MP3, FLAC, Ogg, M4A) is, before anything unpacks it. `head` and `tail`: its first and last `PROMISE_BYTES`, or all of it;
 * `fileBytes`: its size. Null where nothing says so; WAV says it in its own header.
 */
export function promisedLength(head: Uint8Array, tail: Uint8Array, fileBytes: number): PromisedLength | null {
  const read = READERS[soundKind(head)];
  const promised = read?.(head, tail, fileBytes) ?? null;
  return promised && Number.isFinite(promised.seconds) && promised.seconds > 0 ? promised : null;
}

type Reader = (head: Uint8Array, tail: Uint8Array, fileBytes: number) => PromisedLength | null;

const exactly = (seconds: number): PromisedLength => ({ seconds, isExact: true });

/** The first block of a FLAC file (RFC 9639, 8.2): 20 bits of rate, 36 of samples; 0 samples where the encoder did not know. */
const flacLength: Reader = (head) => {
  const AT = 18;
  if (head.length < AT + 8) return null;
  const word = viewOf(head).getBigUint64(AT);
  return exactly(Number(word & 0xfffffffffn) / Number(word >> 44n));
};

/** By the samples that its last page counts; Opus counts at 48 kHz, Vorbis says its rate in the first page. */
const oggLength: Reader = (head, tail) => {
  for (let at = tail.length - 14; at >= 0; at--) {
    if (text(tail, at) !== 'OggS') continue;
    const samples = Number(viewOf(tail).getBigInt64(at + 6, true));
    const isVorbis = text(head, 29, 6) === 'vorbis';
    return exactly(samples / (isVorbis && head.length > 44 ? viewOf(head).getUint32(40, true) : 48_000));
  }
  return null;
};

/** By the head of its movie box (ISO/IEC 14496-12, 8.2.2), wherever it lies. */
const mp4Length: Reader = (head, tail) => {
  for (const bytes of [head, tail])
    for (let at = 0; at + 32 < bytes.length; at++) {
      if (bytes[at] !== 0x6d || text(bytes, at) !== 'mvhd') continue;
      const view = viewOf(bytes);
      return bytes[at + 4] === 1
        ? exactly(Number(view.getBigUint64(at + 28)) / view.getUint32(at + 24))
        : exactly(view.getUint32(at + 20) / view.getUint32(at + 16));
    }
  return null;
};

/** Of layer III, by version: MPEG 1, and 2 and 2.5, which have half the rate. */
const KBITS = {
  1: [0, 32, 40, 48, 56, 64, 80, 96, 112, 128, 160, 192, 224, 256, 320],
  2: [0, 8, 16, 24, 32, 40, 48, 56, 64, 80, 96, 112, 128, 144, 160],
} as const;
const RATES_HZ = [44_100, 48_000, 32_000];

/** Where the first frame stands: after a tag, whose size has seven bits a byte. */
function firstFrame(head: Uint8Array): number {
  if (text(head, 0, 3) !== 'ID3') return 0;
  return 10 + ((head[6] << 21) | (head[7] << 14) | (head[8] << 7) | head[9]);
}

/** By the count of frames that encoders write into a first frame without sound; else as if every frame were as the first. */
const mp3Length: Reader = (head, _tail, fileBytes) => {
  let at = firstFrame(head);
  while (at + 4 < head.length && !(head[at] === 0xff && (head[at + 1] & 0xe6) === 0xe2)) at++;
  if (at + 200 > head.length) return null;
  const versionBits = (head[at + 1] >> 3) & 3;
  const version = versionBits === 3 ? 1 : 2;
  const rate = RATES_HZ.at((head[at + 2] >> 2) & 3);
  const kbits = KBITS[version].at(head[at + 2] >> 4);
  if (versionBits === 1 || rate === undefined || !kbits) return null;
  const rateHz = version === 1 ? rate : versionBits === 2 ? rate / 2 : rate / 4;
  const samplesAFrame = version === 1 ? 1152 : 576;
  const isMono = head[at + 3] >> 6 === 3;
  const tagAt = at + 4 + (version === 1 ? (isMono ? 17 : 32) : isMono ? 9 : 17);
  const isTagged = ['Xing', 'Info'].includes(text(head, tagAt)) && (head[tagAt + 7] & 1) === 1;
  if (isTagged) return exactly((viewOf(head).getUint32(tagAt + 8) * samplesAFrame) / rateHz);
  return { seconds: (8 * (fileBytes - at)) / (1000 * kbits), isExact: false };
};

const READERS: Partial<Record<ReturnType<typeof soundKind>, Reader>> = {
  flac: flacLength,
  ogg: oggLength,
  mp4: mp4Length,
  mp3: mp3Length,
};
