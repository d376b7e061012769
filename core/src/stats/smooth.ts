/**
 * Smooths `values` with a Hann-shaped kernel `width` samples long in all, into `out`.
 * NaN marks a missing value: it gets no weight, and is filled from its neighbours where any are in reach.
 */
export function smoothInto(out: Float64Array, values: ArrayLike<number>, width: number): void {
  const reach = Math.max(0, Math.floor(width / 2));
  const kernel = Array.from(
    { length: reach + 1 },
    (_, d) => 0.5 + 0.5 * Math.cos((Math.PI * d) / (reach + 1)),
  );
  for (let i = 0; i < values.length; i++) {
    let sum = 0;
    let weight = 0;
    for (let d = -reach; d <= reach; d++) {
      const value = values[i + d];
      if (value === undefined || Number.isNaN(value)) continue;
      sum += kernel[Math.abs(d)] * value;
      weight += kernel[Math.abs(d)];
    }
    out[i] = weight > 0 ? sum / weight : Number.NaN;
  }
}
