import type { Random } from '../signal/index.ts';

/** A slow random curve with mean 0, standard deviation 1 and a memory of 0.25 s, one value every 10 ms. */
export function wander(count: number, random: Random): Float64Array {
  const keep = Math.exp(-0.01 / 0.25);
  const fresh = Math.sqrt(1 - keep * keep);
  const curve = new Float64Array(count);
  let value = random.normal();
  for (let i = 0; i < count; i++) {
    curve[i] = value;
    value = keep * value + fresh * random.normal();
  }
  return curve;
}
