/** Of a metre: so many beats in a bar, of such a note at the shortest. */
const MOST_COUNT = 64;
const SHORTEST_NOTE = 64;

/** Quarter notes in a bar of `count` notes, each one `of`th of a whole note; null where no bar could be like this. */
export const metreBeats = (count: number, of: number): number | null =>
  count >= 1 && count <= MOST_COUNT && of >= 1 && of <= SHORTEST_NOTE ? (4 * count) / of : null;
