import { expect, it } from 'vitest';
import { falling, sineSum } from './sineSum.ts';

it('is the sum of every sine, at any phase, however many turns it has run', () => {
  const amplitudes = falling(40);
  for (const phase of [0, 1e-6, 0.3, Math.PI / 2, Math.PI, -2, 100.1, 1e5]) {
    const plain = amplitudes.reduce((sum, each, i) => sum + each * Math.sin((i + 1) * phase), 0);
    expect(sineSum(amplitudes, phase), `${phase}`).toBeCloseTo(plain, 8);
  }
  expect(sineSum([], 1)).toBe(0);
  expect(sineSum([2], Math.PI / 6)).toBeCloseTo(1, 12);
});
