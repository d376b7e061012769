import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tappedTempo, withTap } from './tappedTempo.ts';

const tapped = (times: number[]) => tappedTempo(times.reduce<number[]>(withTap, []));
const every = (gapMs: number, count: number) => Array.from({ length: count }, (_, i) => 1000 + i * gapMs);

describe('a tapped tempo', () => {
  it.each([
    [1000, 60],
    [500, 120],
    [750, 80],
    [1500, 40],
  ])('is that of taps every %i ms: %i', (gap, bpm) => {
    expect(tapped(every(gap, 4))).toBe(bpm);
  });
  it('is none before the third tap', () => {
    expect(tapped([])).toBeNull();
    expect(tapped([0, 500])).toBeNull();
  });
  it('begins anew after a pause', () => {
    const slow = every(1000, 5);
    expect(tapped([...slow, ...every(400, 4).map((at) => at + 9000)])).toBe(150);
  });
  it('hardly minds a hand that is not even, nor one late tap', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 300, max: 1500 }),
        fc.array(fc.integer({ min: -15, max: 15 }), { minLength: 9, maxLength: 9 }),
        (gap, shakes) => {
          const bpm = tapped(every(gap, 9).map((at, i) => at + shakes[i])) ?? 0;
          expect(Math.abs(60000 / bpm - gap)).toBeLessThanOrEqual(30 + 60000 / bpm / bpm);
        },
      ),
    );
    expect(tapped([0, 500, 1000, 1700, 2000, 2500])).toBe(120);
  });
  it('follows whoever gets faster: old taps are forgotten', () => {
    expect(tapped([...every(1000, 9), ...Array.from({ length: 8 }, (_, i) => 9000 + (i + 1) * 500)])).toBe(
      120,
    );
  });
});
