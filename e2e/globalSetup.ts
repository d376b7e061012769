import { chromium as chromiumType, type FullConfig } from '@playwright/test';
import { chromium } from './chromium.ts';
import { STATES } from './states.ts';

/** Makes once what journeys share: browsers whose first visit is over, by the doors that a player uses. */
export default async function globalSetup({ projects }: FullConfig): Promise<void> {
  const baseURL = projects[0].use.baseURL ?? '';
  const browser = await chromiumType.launch(chromium());
  const context = await browser.newContext({ baseURL });
  const page = await context.newPage();
  const choose = async (name: string) => {
    await page.getByRole('radio', { name, exact: true }).click();
    await page.getByRole('radio', { name, exact: true, checked: true }).waitFor();
  };
  const save = (path: string) => context.storageState({ path, indexedDB: true });
  await page.goto('/welcome');
  await choose('simulated player');
  await page.getByRole('button', { name: 'Play the first swell' }).click();
  await page.locator('main[data-phase="armed"]').waitFor();
  // A beat that is seen is drawn thirty times a second, in every journey.
  await page.getByRole('button', { name: /^Metronome: light/ }).click();
  await page.getByRole('button', { name: /^Metronome: off/ }).waitFor();
  await page.goto('/case');
  await choose('simulated player');
  await save(STATES.standIn);
  await choose('quickly');
  await save(STATES.quick);
  await choose('microphone');
  await save(STATES.microphone);
  await browser.close();
}
