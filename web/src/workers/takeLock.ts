const nameOf = (takeId: string) => `inner-hum-take-${takeId}`;

/**
 * Marks a take as being recorded here; the mark goes with the tab, whatever ends it. Returns its release.
 */
export function holdTakeLock(takeId: string): () => void {
  let release = () => {};
  const held = new Promise<void>((resolve) => (release = resolve));
  void navigator.locks.request(nameOf(takeId), () => held);
  return release;
}

/** Runs `work` if no tab is recording this take, and says whether it did. */
export function withAbandonedTake(takeId: string, work: () => Promise<void>): Promise<boolean> {
  return navigator.locks.request(nameOf(takeId), { ifAvailable: true }, async (lock) => {
    if (!lock) return false;
    await work();
    return true;
  });
}
