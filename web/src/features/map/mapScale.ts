/** Where notes stand, from left to right. */
export interface MapScale {
  lowest: number;
  highest: number;
  /** Room for labels at the left. */
  left: number;
  width: number;
}

/** Notes nearer than this cannot be hit by a finger. */
const LEAST_STEP = 29;

export function mapScale(lowest: number, highest: number, room: number, left: number): MapScale {
  return { lowest, highest, left, width: Math.max(room, left + LEAST_STEP * (highest - lowest + 1)) };
}

export const stepOf = ({ lowest, highest, left, width }: MapScale) => (width - left) / (highest - lowest + 1);

export const xOfNote = (scale: MapScale, midi: number) =>
  scale.left + (midi - scale.lowest + 0.5) * stepOf(scale);
