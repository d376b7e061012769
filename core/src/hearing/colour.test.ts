import { describe, expect, it } from 'vitest';
import { createRandom } from '../signal/index.ts';
import { listenTo, MAX_PARTIAL } from './index.ts';

/** Harmonics of these amplitudes, from the first. */
function tone(f0Hz: number, amplitudes: readonly number[], sampleRateHz: number, seconds = 0.8) {
  return Float32Array.from({ length: seconds * sampleRateHz }, (_, n) =>
    amplitudes.reduce(
      (sum, a, i) => sum + a * Math.sin(((i + 1) * 2 * Math.PI * f0Hz * n) / sampleRateHz + i),
      0,
    ),
  );
}

describe('the harmonics of a frame', () => {
  for (const sampleRateHz of [44100, 48000, 96000])
    it(`have their levels, low notes and high, at ${sampleRateHz} Hz`, () => {
      for (const f0Hz of [62, 104, 139, 233, 415, 466, 880, 1760]) {
        const within = Math.min(MAX_PARTIAL, Math.ceil(14000 / f0Hz) - 1);
        const amplitudes = Array.from({ length: within }, (_, i) => 0.1 / (i + 1) ** 1.2);
        const { columns } = listenTo(tone(f0Hz, amplitudes, sampleRateHz), sampleRateHz);
        const heard = columns.partialsDb.subarray(40 * MAX_PARTIAL, 41 * MAX_PARTIAL);
        amplitudes.forEach((a, i) => {
          const error = Math.abs(heard[i] - 10 * Math.log10((a * a) / 2));
          expect(error, `${f0Hz} Hz, harmonic ${i + 1}`).toBeLessThan(0.3);
        });
        expect(heard.subarray(within).every(Number.isNaN)).toBe(true);
        const sum = amplitudes.reduce((total, a) => total + a, 0);
        const mean = amplitudes.reduce((total, a, i) => total + a * (i + 1), 0) / sum;
        expect(Math.abs(columns.centroidHarmonics[40] / mean - 1)).toBeLessThan(0.02);
      }
    });

  it('are absent where they drown in noise', () => {
    const random = createRandom(5);
    const samples = tone(233, [0.1, 0.05, 1e-5, 1e-5], 48000).map((value) => value + 0.003 * random.normal());
    const { columns } = listenTo(samples, 48000);
    const present = (harmonic: number) =>
      Array.from({ length: 60 }, (_, i) => columns.partialsDb[(i + 10) * MAX_PARTIAL + harmonic - 1]).filter(
        (db) => !Number.isNaN(db),
      ).length;
    expect([present(1), present(2)]).toEqual([60, 60]);
    // Noise by itself now and then looks like more.
    expect(present(3) + present(4)).toBeLessThan(10);
  });
});

it('measures the air where no pitch is heard, and only there', () => {
  const random = createRandom(6);
  const air = Float32Array.from({ length: 48000 }, () => 0.01 * random.normal());
  const { columns, count } = listenTo(air, 48000);
  // 2-8 kHz is a quarter of the band of white noise.
  const values = columns.airDb.subarray(5, count - 5);
  const power = values.reduce((sum, db) => sum + 10 ** (db / 10), 0) / values.length;
  expect(10 * Math.log10(power)).toBeCloseTo(-40 - 6.02, 0);
  expect(Number.isNaN(listenTo(tone(233, [0.1, 0.1], 48000), 48000).columns.airDb[40])).toBe(true);
});

describe('a tone in a real room', () => {
  const f0Hz = 233;
  const clean = tone(f0Hz, [0.05, 0.06, 0.03, 0.02, 0.01, 0.01], 48000);
  const faults: Record<string, (value: number, n: number) => number> = {
    'a constant offset': (value) => value + 0.3,
    'hum of 50 Hz': (value, n) => value + 0.01 * Math.sin((2 * Math.PI * 50 * n) / 48000),
    clipping: (value) => Math.max(-0.05, Math.min(0.05, value)),
    'a reflection': (value, n) => value + 0.6 * (clean[n - 1500] ?? 0),
    'a knock every 0.1 s': (value, n) => value + (n % 4800 < 60 ? 0.1 : 0),
    'a level of -60 dBFS': (value) => value / 50,
  };
  for (const [name, fault] of Object.entries(faults))
    it(`is heard on its pitch through ${name}`, () => {
      const { columns } = listenTo(clean.map(fault), 48000);
      for (let frame = 10; frame < 70; frame++)
        expect(Math.abs(1200 * Math.log2(columns.f0Hz[frame] / f0Hz)), `frame ${frame}`).toBeLessThan(8);
    });

  it('is not taken for its own loud fourth harmonic near the top of the range', () => {
    const { columns } = listenTo(tone(699, [0.05, 0.01, 0.01, 0.09, 0.003, 0.004], 48000), 48000);
    expect(Math.abs(1200 * Math.log2(columns.f0Hz[40] / 699))).toBeLessThan(2);
  });
});
