/** Both texts; what is already in one of them is not written twice. */
export function joinTexts(ours: string, theirs: string): string {
  if (ours.includes(theirs)) return ours;
  if (theirs.includes(ours)) return theirs;
  return `${ours}\n${theirs}`;
}

/** The row that was changed last. */
export const newer = <Row extends { changedAt: number }>(ours: Row, theirs: Row): Row =>
  theirs.changedAt > ours.changedAt ? theirs : ours;
