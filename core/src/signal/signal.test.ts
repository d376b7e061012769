import { describe, expect, it } from 'vitest';
import {
  amplitudeFromDb,
  createBandFilter,
  createHalfBandDecimator,
  createRandom,
  createResampler,
  dbFromPower,
  SampleRing,
} from './index.ts';

const sine = (hz: number, rateHz: number, seconds: number) =>
  Float32Array.from({ length: Math.round(rateHz * seconds) }, (_, n) =>
    Math.sin((2 * Math.PI * hz * n) / rateHz),
  );

function resample(samples: Float32Array, fromHz: number, toHz: number): Float32Array {
  const source = new SampleRing(4096);
  const out = new SampleRing(65536);
  const step =
    fromHz === 2 * toHz
      ? createHalfBandDecimator(source, out, 0.433)
      : createResampler(fromHz, toHz, source, out);
  for (let n = 0; n < samples.length; n += 100) {
    source.appendFrom(samples, n, Math.min(samples.length, n + 100));
    step();
  }
  const result = new Float32Array(out.end);
  out.readInto(result, 0);
  return result;
}

describe('the resampler and the halver', () => {
  it('keeps a tone in place, phase and size, at every rate a device has', () => {
    for (const fromHz of [8000, 16000, 22050, 24000, 44100, 48000, 96000, 192000]) {
      const out = resample(sine(440, fromHz, 0.5), fromHz, 12000);
      // Away from the start, output n is the tone at n / 12000 s exactly: no delay, no gain.
      const worst = Math.max(
        ...Array.from({ length: 2000 }, (_, i) =>
          Math.abs(out[2000 + i] - Math.sin((2 * Math.PI * 440 * (2000 + i)) / 12000)),
        ),
      );
      expect(worst).toBeLessThan(0.002);
    }
  });

  it('lets nothing from above the band fold into it', () => {
    for (const [hz, fromHz] of [
      [6900, 48000],
      [9000, 48000],
      [15000, 48000],
      [6900, 24000],
      [9000, 24000],
    ]) {
      const out = resample(sine(hz, fromHz, 0.5), fromHz, 12000).slice(1000, 5000);
      const power = out.reduce((sum, value) => sum + value * value, 0) / out.length;
      expect(dbFromPower(power)).toBeLessThan(-60);
    }
  });

  it('names the rate it cannot use', () => {
    const ring = new SampleRing(16);
    expect(() => createResampler(44100.5, 12000, ring, ring)).toThrowError(/44100.5/);
    expect(() => createResampler(400000, 12000, ring, ring)).toThrowError(
      expect.objectContaining({ code: 'sample-rate-unsupported' }),
    );
  });
});

describe('the band filter', () => {
  it('passes the lowest note and stops rumble and offset', () => {
    const gainDb = (hz: number) => {
      const filter = createBandFilter(45, 14000, 48000);
      const whole = sine(hz, 48000, 1);
      filter(whole, 0, whole.length, whole);
      const out = whole.slice(24000);
      return dbFromPower((2 * out.reduce((sum, value) => sum + value * value, 0)) / out.length);
    };
    expect(gainDb(69)).toBeGreaterThan(-0.3);
    expect(gainDb(1000)).toBeCloseTo(0, 1);
    // Fourth order: 24 dB an octave.
    expect(gainDb(11.25)).toBeLessThan(-45);
    const filter = createBandFilter(45, 14000, 48000);
    const offset = new Float32Array(48000).fill(0.5);
    // In parts: the state runs on.
    for (let n = 0; n < 48000; n += 480) filter(offset, n, n + 480, offset.subarray(n));
    expect(Math.abs(offset[47999])).toBeLessThan(1e-4);
  });

  it('comes to rest in silence, and leaves no numbers too small to be worked with', () => {
    const filter = createBandFilter(45, 14000, 48000);
    const click = new Float32Array(480);
    click[0] = 1;
    // Of doubles: among floats what is smaller than 1e-45 would look like nothing.
    const out = new Float64Array(480) as unknown as Float32Array;
    filter(click, 0, 480, out);
    let blocks = 0;
    do filter(new Float32Array(480), 0, 480, out);
    while (out.some((value) => value !== 0) && ++blocks < 1000);
    // Unhindered it would ring on for seconds more, down to 1e-308.
    expect(blocks * 0.01).toBeGreaterThan(0.1);
    expect(blocks * 0.01).toBeLessThan(0.6);
  });
});

describe('the ring of samples', () => {
  it('gives what it still has and 0 for the rest', () => {
    const ring = new SampleRing(4);
    ring.appendFrom(Float32Array.of(1, 2, 3, 4, 5, 6), 0, 6);
    const out = new Float32Array(8);
    ring.readInto(out, 0);
    expect(Array.from(out)).toEqual([0, 0, 3, 4, 5, 6, 0, 0]);
    expect([ring.at(1), ring.at(2), ring.at(5), ring.at(6)]).toEqual([0, 3, 6, 0]);
  });
});

describe('seeded chance', () => {
  it('is the same row for the same seed, and has the moments of its kinds', () => {
    const row = (seed: number) => {
      const random = createRandom(seed);
      return Array.from({ length: 5 }, () => random.uniform());
    };
    expect(row(7)).toEqual(row(7));
    expect(row(7)).not.toEqual(row(8));
    const random = createRandom(3);
    const normals = Array.from({ length: 20000 }, () => random.normal());
    const mean = normals.reduce((sum, value) => sum + value, 0) / normals.length;
    const variance = normals.reduce((sum, value) => sum + (value - mean) ** 2, 0) / normals.length;
    // Standard errors: 0.007 and 0.01.
    expect(Math.abs(mean)).toBeLessThan(0.03);
    expect(Math.abs(variance - 1)).toBeLessThan(0.04);
  });

  it('turns decibels both ways', () => {
    expect(dbFromPower(amplitudeFromDb(-17.3) ** 2)).toBeCloseTo(-17.3, 10);
    expect(dbFromPower(0)).toBe(-200);
  });
});
