/** How long something lasted; `censored`: it was stopped while it still went on, so that this is a lower bound only. */
export interface Duration {
  seconds: number;
  censored: boolean;
}

/** A time, and whether nothing is known beyond it. */
export interface Lasting {
  seconds: number;
  /** Everything that was tried lasted so long: it may last longer. */
  isLowerBound: boolean;
}

/**
 * The longest time that is reached with at least this probability, by the product-limit estimate (Kaplan and Meier 1958).
 * Where the estimate never falls under it, the longest time seen, as a lower bound. Null for an empty list.
 */
export function reachedWith(probability: number, durations: readonly Duration[]): Lasting | null {
  if (durations.length === 0) return null;
  const sorted = durations.toSorted(
    (a, b) => a.seconds - b.seconds || Number(a.censored) - Number(b.censored),
  );
  let surviving = 1;
  for (const [i, { seconds, censored }] of sorted.entries()) {
    if (censored) continue;
    surviving *= 1 - 1 / (sorted.length - i);
    if (surviving < probability - 1e-12) return { seconds, isLowerBound: false };
  }
  return { seconds: sorted[sorted.length - 1].seconds, isLowerBound: true };
}
