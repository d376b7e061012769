/** Rows by a word each has, in the order the words first came. */
export function groupedBy<Row>(rows: readonly Row[], wordOf: (row: Row) => string): Map<string, Row[]> {
  const groups = new Map<string, Row[]>();
  for (const row of rows) {
    const word = wordOf(row);
    const group = groups.get(word);
    if (group) group.push(row);
    else groups.set(word, [row]);
  }
  return groups;
}
