/** How far opening has come, 0 to 1, and what it is doing: shown by the page itself until the first room stands. */
export function showOpening(share: number, words?: string): void {
  const opening = document.getElementById('opening');
  const bar = opening?.querySelector('progress');
  if (bar) bar.value = 100 * share;
  const line = opening?.querySelector('span');
  if (line && words !== undefined) line.textContent = words;
}

/** Lets the page paint before something that takes its time. */
export const painted = () => new Promise<void>((done) => requestAnimationFrame(() => setTimeout(done)));
