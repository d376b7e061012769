/** Arithmetic mean; NaN for no values. */
export const mean = (values: readonly number[]) =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** Sum of the squared distances from their mean. */
export function squaresAroundMean(values: readonly number[]): number {
  const middle = mean(values);
  return values.reduce((sum, value) => sum + (value - middle) ** 2, 0);
}
