const PREFIX = 'inner-hum-take-';
const nameOf = (takeId: string) => `${PREFIX}${takeId}`;

/**
 * Marks a take as being recorded here; the mark goes with the tab, whatever ends it. Returns its release.
 */
export function holdTakeLock(takeId: string): () => void {
  let release = () => {};
  const held = new Promise<void>((resolve) => (release = resolve));
  // Where the browser refuses storage it refuses locks too: nothing is stored that would want one.
  navigator.locks.request(nameOf(takeId), () => held).catch(() => undefined);
  return release;
}

/** A page or worker that was ended by force lets go of its locks only after a while. */
const PATIENCE_MS = 5000;

/** Runs `work` as soon as nobody is recording this take; not at all if somebody goes on doing so. */
export async function withAbandonedTake(takeId: string, work: () => Promise<void>): Promise<void> {
  try {
    await navigator.locks.request(nameOf(takeId), { signal: AbortSignal.timeout(PATIENCE_MS) }, work);
  } catch (error) {
    if (!(error instanceof DOMException && (error.name === 'TimeoutError' || error.name === 'AbortError')))
      throw error;
  }
}

/** Whether a take is being recorded, in this tab or another one of this origin. */
export async function isTakeRunning(): Promise<boolean> {
  const { held = [] } = await navigator.locks.query();
  return held.some(({ name }) => name?.startsWith(PREFIX));
}
