import { expect, it } from 'vitest';
import { createRandom, roundToSteps } from '../signal/index.ts';
import { encodeFlac, promisedLength } from './index.ts';

const letters = (text: string) => [...text].map((letter) => letter.charCodeAt(0));
const promised = (bytes: Uint8Array, fileBytes = bytes.length) => promisedLength(bytes, bytes, fileBytes);
const at = (length: number, parts: Record<number, readonly number[]>) => {
  const bytes = new Uint8Array(length);
  for (const [place, part] of Object.entries(parts)) bytes.set(part, Number(place));
  return bytes;
};
const word = (value: number, bytes = 4) =>
  Array.from({ length: bytes }, (_, i) => Math.floor(value / 256 ** (bytes - 1 - i)) % 256);

it('knows a FLAC file by the samples that it counts', async () => {
  const random = createRandom(1);
  const samples = Float32Array.from({ length: 30_000 }, () => random.uniform() / 2);
  roundToSteps(samples);
  const bytes = await encodeFlac({ sampleRateHz: 48_000, samples });
  expect(promised(bytes ?? new Uint8Array(0))).toEqual({ seconds: 30_000 / 48_000, isExact: true });
});

// MPEG 1 layer III at 128 kbit/s and 44.1 kHz, stereo; a tag of 300 bytes before it.
const MP3 = { 0: letters('ID3'), 6: word(0x0000022c), 310: [0xff, 0xfb, 0x90, 0x00] };

it('knows an MP3 by the frames that its encoder counted, and by its size where it counted none', () => {
  const counted = at(2000, { ...MP3, 346: [...letters('Xing'), 0, 0, 0, 1, ...word(1000)] });
  expect(promised(counted)?.seconds).toBeCloseTo((1000 * 1152) / 44_100, 9);
  expect(promised(counted)?.isExact).toBe(true);
  const plain = at(2000, MP3);
  expect(promised(plain, 310 + 16_000 * 60)).toEqual({ seconds: 60, isExact: false });
});

it('knows an Ogg file by its last page, and an M4A by its movie box, wherever that stands', () => {
  const page = (samples: number) => [...letters('OggS'), 0, 0, ...word(samples, 8).toReversed()];
  const opus = at(600, { 0: page(0), 200: page(48_000), 500: page(48_000 * 90) });
  expect(promised(opus)).toEqual({ seconds: 90, isExact: true });
  const vorbis = at(600, {
    0: page(0),
    28: [1, ...letters('vorbis')],
    40: word(44_100).toReversed(),
    500: page(44_100 * 7),
  });
  expect(promised(vorbis)).toEqual({ seconds: 7, isExact: true });
  const movie = [...letters('mvhd'), 0, 0, 0, 0, ...word(0), ...word(0), ...word(1000), ...word(12_500)];
  const m4a = at(900, { 4: letters('ftypM4A '), 700: movie });
  expect(promised(m4a)).toEqual({ seconds: 12.5, isExact: true });
});

it('promises nothing of what says nothing, or says what no file can be', () => {
  expect(promised(new Uint8Array(0))).toBeNull();
  expect(promised(at(400, { 0: letters('RIFF'), 8: letters('WAVE') }))).toBeNull();
  expect(promised(at(40, { 0: letters('fLaC') }))).toBeNull();
  expect(promised(at(600, { 0: letters('OggS') }))).toBeNull();
  expect(promised(at(600, { 0: letters('ID3'), 6: [0x7f, 0x7f, 0x7f, 0x7f] }))).toBeNull();
});
