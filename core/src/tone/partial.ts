import { centsBetween } from '../horn/index.ts';

/** A pitch farther than this from every partial of the tube is no partial of it. */
export const MAX_PARTIAL_ERROR_CENTS = 60;

/**
 * Which partial of a tube sounds: 1, 2, ... or null where none fits within 60 cents. `tubeHz` is the nominal
 * frequency of the tube's first partial.
 */
export function partialOf(f0Hz: number, tubeHz: number): number | null {
  const partial = Math.max(1, Math.round(f0Hz / tubeHz));
  return Math.abs(centsBetween(f0Hz, partial * tubeHz)) <= MAX_PARTIAL_ERROR_CENTS ? partial : null;
}

/** `partialOf` for a column of frames; null also where no pitch is heard. */
export function partialsOf(f0Hz: Float32Array, tubeHz: number): (number | null)[] {
  return Array.from(f0Hz, (hz) => (Number.isNaN(hz) ? null : partialOf(hz, tubeHz)));
}
