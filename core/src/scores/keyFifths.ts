import { MAJOR_KEYS, type MajorKey } from '../exercise/index.ts';

/** Keys stand round the circle of fifths, from five flats on. */
const FEWEST_FIFTHS = -5;

/** Sharps (+) or flats (-) of a major key. */
export const fifthsOf = (key: MajorKey | undefined): number =>
  key === undefined ? 0 : MAJOR_KEYS.indexOf(key) + FEWEST_FIFTHS;

/** The major key with so many sharps (+) or flats (-); null where it has no name of ours. */
export const keyOfFifths = (fifths: number): MajorKey | null => MAJOR_KEYS[fifths - FEWEST_FIFTHS] ?? null;
