/**
 * Smooths `values` with a Hann-shaped kernel `width` samples long in all, into `out`.
 * NaN marks a missing value: it gets no weight, and is filled from its neighbours where any are in reach.
 */
export function smoothInto(out: Float64Array, values: ArrayLike<number>, width: number): void {
  const reach = Math.max(0, Math.floor(width / 2));
  const kernel = new Float64Array(reach + 1);
  for (let d = 0; d <= reach; d++) kernel[d] = 0.5 + 0.5 * Math.cos((Math.PI * d) / (reach + 1));
  const row = new Float64Array(values);
  for (let i = 0; i < row.length; i++) {
    let sum = 0;
    let weight = 0;
    const last = Math.min(row.length - 1, i + reach);
    for (let at = Math.max(0, i - reach); at <= last; at++) {
      const value = row[at];
      // What is no number is not itself.
      if (value !== value) continue;
      const share = kernel[at < i ? i - at : at - i];
      sum += share * value;
      weight += share;
    }
    out[i] = weight > 0 ? sum / weight : Number.NaN;
  }
}
