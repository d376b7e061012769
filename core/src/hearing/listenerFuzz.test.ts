import fc from 'fast-check';
import { expect, it } from 'vitest';
import { CoreError } from '../signal/index.ts';
import { HIGHEST_HZ, LOWEST_HZ } from './combScore.ts';
import { createListener, FrameTrack } from './index.ts';

const RATES = [8000, 11025, 22050, 44100, 48000, 96000, 192000];

/** Sound as no horn makes it: noise, clicks, steps, offsets, silence, far over full scale, in pushes of any length. */
const piece = fc.record({
  kind: fc.constantFrom('noise', 'click', 'step', 'silence', 'sine', 'random'),
  gain: fc.constantFrom(1e-30, 1e-6, 0.01, 1, 100, 1e6),
  offset: fc.constantFrom(0, 0, 0.9, -3),
  length: fc.nat({ max: 3000 }),
  seed: fc.nat(),
});

function render({
  kind,
  gain,
  offset,
  length,
  seed,
}: typeof piece extends fc.Arbitrary<infer T> ? T : never) {
  let state = seed >>> 0;
  const chance = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2147483648 - 1;
  };
  return Float32Array.from({ length }, (_, n) => {
    if (kind === 'silence') return 0;
    if (kind === 'click') return n === 0 ? gain : 0;
    if (kind === 'step') return offset + (n > length / 2 ? gain : -gain);
    if (kind === 'sine') return offset + gain * Math.sin(n * (0.001 + (seed % 1000) / 500));
    return offset + gain * chance() ** (kind === 'random' ? 9 : 1);
  });
}

it('hears any sound without stumbling: a pitch in its range or none, a level that is a number', () => {
  fc.assert(
    fc.property(fc.constantFrom(...RATES), fc.array(piece, { maxLength: 12 }), (sampleRateHz, pieces) => {
      const listener = createListener({ sampleRateHz });
      const track = new FrameTrack();
      let count = 0;
      for (const each of pieces) {
        const samples = render(each);
        count += samples.length;
        listener.push(samples, track);
      }
      listener.finish(track);
      expect(track.count).toBe(Math.floor((100 * count) / sampleRateHz + 1e-7) + 1);
      const { f0Hz, clarity, levelDb } = track.columns;
      for (let i = 0; i < track.count; i++) {
        expect(Number.isNaN(f0Hz[i]) || (f0Hz[i] > 0.95 * LOWEST_HZ && f0Hz[i] < 1.05 * HIGHEST_HZ)).toBe(
          true,
        );
        expect(clarity[i] >= 0 && clarity[i] <= 1).toBe(true);
        expect(Number.isFinite(levelDb[i])).toBe(true);
      }
    }),
    { numRuns: 60 },
  );
});

it('refuses what is no number and rates that are none, in its own words', () => {
  const bad = fc.constantFrom(NaN, Infinity, -Infinity);
  fc.assert(
    fc.property(bad, fc.nat({ max: 999 }), (value, at) => {
      const samples = new Float32Array(1000);
      samples[at] = value;
      expect(() => createListener({ sampleRateHz: 48000 }).push(samples, new FrameTrack())).toThrowError(
        CoreError,
      );
    }),
  );
  fc.assert(
    fc.property(fc.oneof(fc.double(), fc.constantFrom(0, -1, 7999, 192001, 44100.5)), (sampleRateHz) => {
      fc.pre(!Number.isInteger(sampleRateHz) || sampleRateHz < 8000 || sampleRateHz > 192000);
      expect(() => createListener({ sampleRateHz })).toThrowError(CoreError);
    }),
  );
});
