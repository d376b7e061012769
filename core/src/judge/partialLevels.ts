import { columnValue, MAX_PARTIAL, type FrameTrack } from '../hearing/index.ts';

/** Partials that every note of the horn has. */
export const PARTIALS = 6;
/** A partial stands out where it is heard in so much of the frames. */
export const LEAST_SHARE = 0.6;

/**
 * The levels of the first partials of a tone, from its frame `first` on for `length` frames: dBFS a frame, NaN where one is not heard. Partials that
 * do not stand out are left out.
 */
export function partialLevels(
  { columns: { partialsDb } }: FrameTrack,
  first: number,
  length: number,
): Float64Array[] {
  return Array.from({ length: PARTIALS }, (_, k) =>
    Float64Array.from(
      { length },
      (_, i) => columnValue(partialsDb, (first + i) * MAX_PARTIAL + k) ?? Number.NaN,
    ),
  ).filter((own) => own.filter((db) => !Number.isNaN(db)).length >= LEAST_SHARE * length);
}
