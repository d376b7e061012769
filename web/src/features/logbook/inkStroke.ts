/** A row of ink in px; a column is one unit wide. */
export const ROW_HEIGHT = 30;
/** The least that is seen at all, and the most, as half a thickness. */
const LEAST = 0.8;
const MOST = ROW_HEIGHT / 2 - 1;
const SIDE = 0.06;

/** A stroke of the brush in a column: thickest in its middle; `share` 0-1 of the thickest there is. */
export function inkStroke(column: number, share: number): string {
  const half = LEAST + (MOST - LEAST) * Math.max(0, Math.min(1, share));
  const middle = ROW_HEIGHT / 2;
  const [left, right] = [column + SIDE, column + 1 - SIDE];
  const [a, b] = [column + 0.28, column + 0.72];
  const up = (middle - half).toFixed(2);
  const down = (middle + half).toFixed(2);
  return `M${left} ${middle}C${a} ${up} ${b} ${up} ${right} ${middle}C${b} ${down} ${a} ${down} ${left} ${middle}Z`;
}

/** Half of the thickest is a quarter of the time: short days are seen beside long ones. */
export const inkShare = (seconds: number, mostSeconds: number) =>
  Math.sqrt(Math.min(1, seconds / mostSeconds));
