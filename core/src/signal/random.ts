/** A seeded source of random numbers: the same seed gives the same row, on every machine. */
export interface Random {
  /** Uniform in [0, 1). */
  uniform(): number;
  /** Normal with mean 0 and standard deviation 1. */
  normal(): number;
}

/** Mulberry32 (T. Ettinger, 2017, public domain) with Box-Muller normals. `seed` is any whole number. */
export function createRandom(seed: number): Random {
  let state = seed >>> 0;
  const uniform = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    uniform,
    normal: () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()),
  };
}
