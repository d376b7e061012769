import type { CDPSession, Page } from '@playwright/test';

/** What slows a page lasts as long as the session that asked for it. */
const sessions = new WeakMap<Page, CDPSession>();

/** Makes a page as slow as on a machine so many times as slow; what computes beside it keeps its speed. Chromium only. */
export async function slowDown(page: Page, rate: number): Promise<void> {
  const session = sessions.get(page) ?? (await page.context().newCDPSession(page));
  sessions.set(page, session);
  await session.send('Emulation.setCPUThrottlingRate', { rate });
}

/**
 * A page `SLOWED` times as slow, where that is asked for: what is drawn late is pressed while it is old there, as on
 * a loaded machine now and then. Elsewhere the page as it is.
 */
export async function slowed(page: Page): Promise<Page> {
  const rate = Number(process.env.SLOWED ?? 1);
  if (rate > 1) await slowDown(page, rate);
  return page;
}
