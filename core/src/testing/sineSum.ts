/** Amplitudes of so many harmonics that fall as their number. */
export const falling = (count: number) => Float64Array.from({ length: count }, (_, i) => 1 / (i + 1));

/**
 * The sum of `amplitudes[k - 1] * sin(k * phase)` at one phase of the fundamental, in radians,
 * by sin((k + 1)x) = 2 cos x sin kx - sin((k - 1)x).
 */
export function sineSum(amplitudes: ArrayLike<number>, phase: number): number {
  const twice = 2 * Math.cos(phase);
  let sine = Math.sin(phase);
  let before = 0;
  let sum = 0;
  for (let k = 0; k < amplitudes.length; k++) {
    sum += amplitudes[k] * sine;
    [before, sine] = [sine, twice * sine - before];
  }
  return sum;
}
