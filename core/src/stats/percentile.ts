import { CoreError } from '../signal/index.ts';

/**
 * Percentile `p` (0-100) with linear interpolation between order statistics (Hyndman & Fan 1996, type 7).
 * Returns null for an empty list, and where a value is no number. Does not change its input. Throws `argument-invalid` where `p` is
 * no percentage.
 */
export function percentile(values: ArrayLike<number>, p: number): number | null {
  const position = positionOf(p, values.length);
  if (values.length === 0) return null;
  const row = new Float64Array(values.length);
  for (let i = 0; i < values.length; i++) {
    if (Number.isNaN(values[i])) return null;
    row[i] = values[i];
  }
  const place = Math.floor(position);
  const below = select(row, place);
  if (position === place) return below;
  let above = Infinity;
  for (let i = place + 1; i < row.length; i++) if (row[i] < above) above = row[i];
  return between(below, above, position - place);
}

/** Where a percentile lies in a sorted list, between two places. */
function positionOf(p: number, length: number): number {
  if (!(p >= 0 && p <= 100)) throw new CoreError('argument-invalid', `Percentile ${p}: 0 to 100.`);
  return ((length - 1) * p) / 100;
}

/** Between two that are equal there is nothing, not even between two infinities. */
const between = (below: number, above: number, share: number) =>
  share === 0 || above === below ? below : below + share * (above - below);

/** The value that would stand at a place if the row were sorted; afterwards nothing before the place is larger, nothing after it smaller (Hoare 1961). */
function select(row: Float64Array, place: number): number {
  let [low, high] = [0, row.length - 1];
  while (low < high) {
    const pivot = row[(low + high) >> 1];
    let [i, j] = [low, high];
    while (i <= j) {
      while (row[i] < pivot) i++;
      while (row[j] > pivot) j--;
      if (i > j) break;
      const held = row[i];
      row[i++] = row[j];
      row[j--] = held;
    }
    if (place <= j) high = j;
    else if (place >= i) low = i;
    else break;
  }
  return row[place];
}

/** Several percentiles of one list, as `percentile` gives each, with one sorting: all null where it would be. */
export function percentiles<const P extends readonly number[]>(
  values: ArrayLike<number>,
  ps: P,
): { [Place in keyof P]: number | null } {
  const sorted = new Float64Array(values).sort();
  // What is no number is sorted to the end.
  const isNone = sorted.length === 0 || Number.isNaN(sorted[sorted.length - 1]);
  const at = (p: number) => {
    const position = positionOf(p, sorted.length);
    if (isNone) return null;
    const place = Math.floor(position);
    return between(sorted[place], sorted[Math.min(place + 1, sorted.length - 1)], position - place);
  };
  return ps.map(at) as { [Place in keyof P]: number | null };
}

/** Middle value, or null for an empty list. */
export function median(values: ArrayLike<number>): number | null {
  return percentile(values, 50);
}

/** Half the distance between the 16th and 84th percentile: one standard deviation where the values are normal. */
export function halfWidth16to84(values: ArrayLike<number>): number | null {
  const low = percentile(values, 16);
  const high = percentile(values, 84);
  return low === null || high === null ? null : (high - low) / 2;
}
