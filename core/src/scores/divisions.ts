/** Parts of a quarter note: sixteenths and triplets, and places inside notes to a 48th. */
export const DIVISIONS = 48;

/** Beats in such parts. */
export const divisions = (beats: number) => Math.round(beats * DIVISIONS);
