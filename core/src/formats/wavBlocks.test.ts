import { expect, it } from 'vitest';
import { createRandom } from '../signal/index.ts';
import { decodeWav, encodeWav, readWavFile, type FileParts } from './index.ts';

/** A file that remembers how much of it was asked for at once. */
function watched(bytes: Uint8Array<ArrayBuffer>): FileParts & { largest: number } {
  const blob = new Blob([bytes]);
  const file = {
    size: blob.size,
    largest: 0,
    slice(from: number, to: number) {
      file.largest = Math.max(file.largest, to - from);
      return blob.slice(from, to);
    },
  };
  return file;
}

/** 24 bits, two channels, with a chunk of odd length before the sound; the second channel is the first turned over and halved. */
function stereo24(frames: number): { bytes: Uint8Array<ArrayBuffer>; mono: Float64Array } {
  const random = createRandom(3);
  const note = 7;
  const dataAt = 12 + 24 + 8 + note + 1 + 8;
  const bytes = new Uint8Array(dataAt + 6 * frames);
  const view = new DataView(bytes.buffer);
  const write = (at: number, text: string) => bytes.set(new TextEncoder().encode(text), at);
  write(0, 'RIFF');
  view.setUint32(4, bytes.length - 8, true);
  write(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, 2, true);
  view.setUint32(24, 48_000, true);
  view.setUint32(28, 6 * 48_000, true);
  view.setUint16(32, 6, true);
  view.setUint16(34, 24, true);
  write(36, 'note');
  view.setUint32(40, note, true);
  write(dataAt - 8, 'data');
  view.setUint32(dataAt - 4, 6 * frames, true);
  const mono = new Float64Array(frames);
  for (let n = 0; n < frames; n++) {
    const left = Math.floor((random.uniform() - 0.5) * 2 ** 23) & ~1;
    const right = -left / 2;
    for (const [channel, value] of [left, right].entries())
      for (let byte = 0; byte < 3; byte++)
        bytes[dataAt + 6 * n + 3 * channel + byte] = (value >> (8 * byte)) & 0xff;
    mono[n] = (left + right) / 2 / 2 ** 23;
  }
  return { bytes, mono };
}

it('reads a long recording block by block, sample for sample', async () => {
  const { bytes, mono } = stereo24(1_300_000);
  const file = watched(bytes);
  const read = await readWavFile(file);
  expect(read.sampleRateHz).toBe(48_000);
  expect(read.samples.length).toBe(mono.length);
  let worst = 0;
  for (let n = 0; n < mono.length; n++) worst = Math.max(worst, Math.abs(read.samples[n] - mono[n]));
  expect(worst).toBeLessThan(2 ** -22);
  // After its head, never more than one block.
  expect(file.largest).toBeLessThan(bytes.length);
  expect(decodeWav(bytes).samples).toEqual(read.samples);
});

it('says of a block in the middle where a sample is no number', async () => {
  const samples = new Float32Array(1_100_000);
  samples[1_000_000] = NaN;
  const bytes = await encodeWav({ sampleRateHz: 48_000, samples });
  await expect(readWavFile(new Blob([bytes]))).rejects.toThrowError(/no number, at 20\.833 s/);
});

it('refuses a long recording that is cut, by what its header promises', async () => {
  const { bytes } = stereo24(100_000);
  await expect(readWavFile(new Blob([bytes.subarray(0, 400_000)]))).rejects.toThrowError(
    /promises 2\.08 s, 1\.39 s are there/,
  );
});
