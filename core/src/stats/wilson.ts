import { CoreError } from '../signal/index.ts';

/** Standard normal quantile of a two-sided 90 % interval. */
const Z_90 = 1.6448536269514722;

export interface Interval {
  low: number;
  high: number;
}

/** Wilson's score interval of a share (Wilson 1927), 90 % unless another z is given; null for no tries. Throws `argument-invalid` where there are more successes than tries, or fewer than none. */
export function wilson(successes: number, tries: number, z = Z_90): Interval | null {
  if (!(successes >= 0 && successes <= tries && Number.isFinite(tries) && z > 0))
    throw new CoreError('argument-invalid', `${successes} of ${tries} tries at z = ${z} are no share.`);
  if (tries === 0) return null;
  const share = successes / tries;
  const z2 = z * z;
  const middle = (share + z2 / (2 * tries)) / (1 + z2 / tries);
  const half = (z / (1 + z2 / tries)) * Math.sqrt((share * (1 - share)) / tries + z2 / (4 * tries * tries));
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

/** Interval of the difference of two shares, first less second, from their Wilson intervals (Newcombe 1998, method 10); null without tries of both. */
export function rateDifference(
  successes: number,
  tries: number,
  otherSuccesses: number,
  otherTries: number,
  z = Z_90,
): Interval | null {
  const [one, other] = [wilson(successes, tries, z), wilson(otherSuccesses, otherTries, z)];
  if (!one || !other) return null;
  const [p, q] = [successes / tries, otherSuccesses / otherTries];
  return {
    low: p - q - Math.hypot(p - one.low, other.high - q),
    high: p - q + Math.hypot(one.high - p, q - other.low),
  };
}
