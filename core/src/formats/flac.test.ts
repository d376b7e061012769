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
