import { strFromU8, unzipSync } from 'fflate';
import { expect, it } from 'vitest';
import { decodeWav, encodeWav, packTake, type TakeDocument } from './index.ts';

const samples = Float32Array.from({ length: 1000 }, (_, n) => Math.sin(n / 7) / 3);

it('keeps every sample of a take in its WAV', () => {
  const wav = encodeWav({ sampleRateHz: 44100, samples });
  expect(decodeWav(wav)).toEqual({ sampleRateHz: 44100, samples });
  const rough = decodeWav(encodeWav({ sampleRateHz: 48000, samples }, '16'));
  rough.samples.forEach((sample, n) => expect(Math.abs(sample - samples[n])).toBeLessThan(1 / 32000));
});

it('says so when a file is no WAV', () => {
  expect(() => decodeWav(new Uint8Array(100))).toThrowError(
    expect.objectContaining({ code: 'wav-unreadable' }),
  );
});

it('packs sound and figures of a take side by side', () => {
  const document = { format: 'inner-hum-take', version: 1, playerNote: 'schön' } as TakeDocument;
  const files = unzipSync(packTake('2026 G 4', document, { sampleRateHz: 48000, samples }));
  expect(Object.keys(files)).toEqual(['2026 G 4.wav', '2026 G 4.json']);
  expect(JSON.parse(strFromU8(files['2026 G 4.json']))).toEqual(document);
  expect(decodeWav(files['2026 G 4.wav']).samples).toEqual(samples);
});
