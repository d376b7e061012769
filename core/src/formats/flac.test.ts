import { createHash } from 'node:crypto';
import * as fc from 'fast-check';
import { expect, it } from 'vitest';
import { CoreError, createRandom, roundToSteps } from '../signal/index.ts';
import { decodeFlac, encodeFlac } from './flac.ts';

it('keeps every sample that lies on its steps, and says so of others', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.integer({ min: 0, max: 1e6 }),
      fc.integer({ min: 1, max: 9000 }),
      fc.double({ min: 1e-6, max: 2, noNaN: true }),
      fc.constantFrom(44100, 48000, 96000),
      async (seed, count, loud, sampleRateHz) => {
        const random = createRandom(seed);
        const samples = Float32Array.from({ length: count }, () => loud * (2 * random.uniform() - 1));
        roundToSteps(samples);
        const bytes = await encodeFlac({ sampleRateHz, samples });
        if (!bytes) throw new Error('It was not written.');
        expect(await decodeFlac(bytes)).toEqual({ sampleRateHz, samples });
      },
    ),
    { numRuns: 40 },
  );
  expect(await encodeFlac({ sampleRateHz: 48000, samples: Float32Array.of(1e-9) })).toBeNull();
  expect(await encodeFlac({ sampleRateHz: 48000, samples: Float32Array.of(NaN) })).toBeNull();
});

it('has the sum of its samples in its head, as programs that check files want it', async () => {
  const samples = Float32Array.from(
    { length: 5000 },
    (_, n) => Math.round(2 ** 22 * Math.sin(n / 9)) / 2 ** 23,
  );
  const bytes = (await encodeFlac({ sampleRateHz: 48000, samples })) ?? new Uint8Array();
  const steps = Buffer.alloc(3 * samples.length);
  samples.forEach((sample, n) => steps.writeIntLE(sample * 2 ** 23, 3 * n, 3));
  expect(Buffer.from(bytes.subarray(26, 42)).toString('hex')).toBe(
    createHash('md5').update(steps).digest('hex'),
  );
  // Samples that are not those of the sum are refused, though every frame of theirs is whole.
  const wrong = bytes.slice();
  wrong[30] ^= 1;
  await expect(decodeFlac(wrong)).rejects.toBeInstanceOf(CoreError);
  // Files of before had no sum.
  const none = bytes.slice().fill(0, 26, 42);
  expect((await decodeFlac(none)).samples).toEqual(samples);
});

it('refuses a sound that is damaged, cut short or none', async () => {
  const random = createRandom(4);
  const samples = Float32Array.from({ length: 20000 }, () => random.uniform() - 0.5);
  roundToSteps(samples);
  const bytes = (await encodeFlac({ sampleRateHz: 48000, samples })) ?? new Uint8Array();
  const flipped = bytes.slice();
  flipped[Math.floor(bytes.length / 2)] ^= 0x10;
  for (const bad of [flipped, bytes.slice(0, bytes.length / 2), bytes.slice(0, 20), new Uint8Array(500)])
    await expect(decodeFlac(bad)).rejects.toBeInstanceOf(CoreError);
});

it('unpacks no more than a file says it holds', async () => {
  const bytes =
    (await encodeFlac({ sampleRateHz: 48000, samples: new Float32Array(2_000_000) })) ?? new Uint8Array();
  // The count of samples in its head, of which the low 32 bits stand here.
  new DataView(bytes.buffer).setUint32(22, 5000);
  await expect(decodeFlac(bytes)).rejects.toThrowError(/more than it says/);
  new DataView(bytes.buffer).setUint32(22, 0);
  await expect(decodeFlac(bytes)).rejects.toBeInstanceOf(CoreError);
});
