/** Samples are kept in steps of 24 bits, as the best converters have them: what was heard can then be packed without loss. */
const STEPS = 2 ** 23;

/** Rounds samples to the steps they are kept in, in place; beyond full scale they are cut. Returns how many were beyond it. */
export function roundToSteps(samples: Float32Array): number {
  let clipped = 0;
  for (let n = 0; n < samples.length; n++) {
    if (Math.abs(samples[n]) > 1) clipped++;
    // Nothing is +0, as it comes back from a file.
    samples[n] = Math.max(-STEPS, Math.min(STEPS - 1, Math.round(samples[n] * STEPS))) / STEPS + 0;
  }
  return clipped;
}

/** The samples in whole steps; null where any of them lies between two, or beyond full scale. */
export function inSteps(samples: Float32Array): Int32Array<ArrayBuffer> | null {
  const steps = new Int32Array(samples.length);
  for (let n = 0; n < samples.length; n++) {
    const exact = samples[n] * STEPS;
    if (exact < -STEPS || exact > STEPS - 1 || !Number.isInteger(exact)) return null;
    steps[n] = exact;
  }
  return steps;
}

/** Samples from whole steps. */
export function fromSteps(steps: Int32Array): Float32Array<ArrayBuffer> {
  return Float32Array.from(steps, (step) => step / STEPS);
}
