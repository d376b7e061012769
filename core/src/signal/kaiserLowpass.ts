/** Zeroth-order modified Bessel function by its power series (Abramowitz & Stegun 9.6.12). */
function besselI0(x: number): number {
  let term = 1;
  let sum = 1;
  for (let k = 1; term > 1e-12 * sum; k++) {
    term *= (x / (2 * k)) ** 2;
    sum += term;
  }
  return sum;
}

/**
 * The continuous impulse response of a Kaiser-windowed low-pass filter (Kaiser 1974).
 * `cutoffHz` is the middle of the transition, `halfWidthSeconds` half the length of the response.
 * Returns a function of time in seconds; integrate over samples at rate R by multiplying with 1 / R.
 */
export function createKaiserLowpass(
  cutoffHz: number,
  halfWidthSeconds: number,
  beta: number,
): (seconds: number) => number {
  const scale = 1 / besselI0(beta);
  return (seconds) => {
    const u = seconds / halfWidthSeconds;
    if (Math.abs(u) >= 1) return 0;
    const x = 2 * cutoffHz * seconds;
    const sinc = Math.abs(x) < 1e-9 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x);
    return 2 * cutoffHz * sinc * besselI0(beta * Math.sqrt(1 - u * u)) * scale;
  };
}
