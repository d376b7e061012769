/** What was played, so many ms at a time, counted back from the latest; each span oldest first, the oldest span first. Empty spans are left out. */
export function spansBack<Played extends { at: number }>(
  played: readonly Played[],
  spanMs: number,
): Played[][] {
  const sorted = played.toSorted((a, b) => a.at - b.at);
  const last = sorted.at(-1)?.at ?? 0;
  const spans = new Map<number, Played[]>();
  for (const each of sorted) {
    const ago = Math.floor((last - each.at) / spanMs);
    const span = spans.get(ago);
    if (span) span.push(each);
    else spans.set(ago, [each]);
  }
  return [...spans.values()];
}
