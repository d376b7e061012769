import { CoreError } from '../signal/index.ts';

/** Lanczos' approximation of the logarithm of the gamma function for x > 0 (Press et al. 1992, section 6.1): off by less than 2e-10. */
function logGamma(x: number): number {
  const coefficients = [
    76.18009172947146, -86.50532032941677, 24.01409824083091, -1.231739572450155, 0.1208650973866179e-2,
    -0.5395239384953e-5,
  ];
  const series = coefficients.reduce((sum, c, i) => sum + c / (x + 1 + i), 1.000000000190015);
  return (x + 0.5) * Math.log(x + 5.5) - (x + 5.5) + Math.log((2.5066282746310005 * series) / x);
}

const MOST_TERMS = 300;
const EXACT = 1e-14;

/** The continued fraction of the incomplete beta function (Press et al. 1992, section 6.4, by Lentz' method). */
function betaFraction(x: number, a: number, b: number): number {
  let c = 1;
  let d = 1 / (1 - ((a + b) * x) / (a + 1));
  let value = d;
  for (let m = 1; m <= MOST_TERMS; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    let step = 1;
    for (const term of [even, odd]) {
      d = 1 / (1 + term * d);
      c = 1 + term / c;
      step = c * d;
      value *= step;
    }
    if (Math.abs(step - 1) < EXACT) break;
  }
  return value;
}

/** The regularised incomplete beta function I_x(a, b). */
function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
  return x < (a + 1) / (a + b + 2)
    ? (front * betaFraction(x, a, b)) / a
    : 1 - (front * betaFraction(1 - x, b, a)) / b;
}

/** Probability that Student's t lies above `t` >= 0, for any number of degrees of freedom > 0. */
const above = (t: number, freedom: number) =>
  incompleteBeta(freedom / (freedom + t * t), freedom / 2, 0.5) / 2;

/**
 * Quantile of Student's t (Student 1908): what it stays under with this probability, 0.5 to 1, both excluded, by halving an interval. Degrees of
 * freedom may be fractional (Welch). With 0.95 and 2 degrees 2.919986. Throws `argument-invalid` for anything else.
 */
export function studentQuantile(probability: number, freedom: number): number {
  if (!(probability > 0.5 && probability < 1 && freedom > 0))
    throw new CoreError('argument-invalid', `Student's t at ${probability} with ${freedom} degrees.`);
  let low = 0;
  let high = 1;
  while (above(high, freedom) > 1 - probability) [low, high] = [high, 2 * high];
  while (high - low > 1e-12 * high) {
    const middle = (low + high) / 2;
    if (above(middle, freedom) > 1 - probability) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
