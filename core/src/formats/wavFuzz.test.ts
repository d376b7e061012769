import fc from 'fast-check';
import { expect, it } from 'vitest';
import { CoreError } from '../signal/index.ts';
import { decodeWav, encodeWav, type Sound } from './index.ts';

/** What comes through the door is whole; what does not is refused in words. Anything else fails the property. */
function sound(bytes: Uint8Array): Sound | null {
  try {
    const read = decodeWav(bytes);
    expect(read.samples.length).toBeGreaterThan(0);
    expect(read.samples.every(Number.isFinite)).toBe(true);
    return read;
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    expect(error.message).toMatch(/\.$/);
    return null;
  }
}

it('refuses bytes that are no WAV', () => {
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 200 }), (bytes) => {
      expect(sound(bytes)).toBeNull();
    }),
  );
});

it('reads or refuses a WAV that was cut, or in whose header bytes were changed, and throws nothing else', async () => {
  const samples = Float32Array.from({ length: 300 }, (_, n) => Math.sin(n / 9) / 2);
  const files = [
    await encodeWav({ sampleRateHz: 44100, samples }, 16),
    await encodeWav({ sampleRateHz: 96000, samples }, 32),
  ];
  const change = fc.array(fc.tuple(fc.nat({ max: 60 }), fc.nat({ max: 255 })), { maxLength: 6 });
  fc.assert(
    fc.property(fc.nat({ max: 1 }), change, fc.nat({ max: 1300 }), (which, changes, length) => {
      const bytes = files[which].slice(0, length);
      for (const [at, value] of changes) if (at < bytes.length) bytes[at] = value;
      sound(bytes);
    }),
    { numRuns: 3000 },
  );
});
