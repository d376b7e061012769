/**
 * Writes a Hann window of `length` samples into `out[0..length-1]`, symmetric about its middle sample
 * position (length - 1) / 2 and never quite zero at the ends, so that every sample counts.
 */
export function hannInto(out: Float32Array | Float64Array, length: number): void {
  for (let n = 0; n < length; n++) out[n] = 0.5 - 0.5 * Math.cos((2 * Math.PI * (n + 0.5)) / length);
}
