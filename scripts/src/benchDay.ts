import { chromium } from '@playwright/test';
import { measureHours } from './benchHours.ts';
import { CHROMIUM, startServer } from './ownServer.ts';

const PORT = 4187;
/** About what two hours of practice bring. */
const TAKES = 240;

/** Plays two hours' worth of takes, a quarter of an hour long, and prints what they leave in memory. */
export async function benchDay(): Promise<void> {
  const server = await startServer(PORT);
  const browser = await chromium.launch(CHROMIUM);
  const { pageMb, processMb, seconds } = await measureHours(browser, server.url, TAKES);
  await browser.close();
  server.stop();
  const mb = (values: readonly number[]) => values.map((value) => value.toFixed(1)).join(', ');
  console.log(`after ${TAKES / 3}, ${(2 * TAKES) / 3} and ${TAKES} takes (${seconds.toFixed(0)} s), MB:`);
  console.log(`heap of the page ${mb(pageMb)}; all that its process holds ${mb(processMb)}`);
}
