import { mkdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Browser, type Page } from '@playwright/test';
import { filmTake } from './filmTake.ts';
import { CHROMIUM, startServer } from './ownServer.ts';

// One current picture of each main view, from the demo data, one of them moving, into docs/screenshots; with names only those pictures.
const names = process.argv.slice(2);
const isWanted = (name: string) => names.length === 0 || names.includes(name);
const folder = join(import.meta.dirname, '../../docs/screenshots');
const PORT = 4185;

const server = await startServer(PORT, '--demo');

interface Look {
  width: number;
  height: number;
  colorScheme: 'light' | 'dark';
}
const DESK: Look = { width: 1280, height: 800, colorScheme: 'light' };
const STAGE: Look = { ...DESK, colorScheme: 'dark' };
const PHONE: Look = { width: 390, height: 844, colorScheme: 'light' };

/** Half a beat after beat six of eight, with the fade well begun. */
const INTO_THE_SWELL_MS = 6300;

async function inLook(
  browser: Browser,
  { width, height, colorScheme }: Look,
  work: (page: Page) => Promise<void>,
) {
  const context = await browser.newContext({
    viewport: { width, height },
    colorScheme,
    baseURL: server.url,
  });
  const page = await context.newPage();
  await page.goto('/takes');
  await page.getByRole('heading', { level: 1, name: 'Takes' }).waitFor({ timeout: 120_000 });
  await page.waitForTimeout(800);
  await work(page);
  await context.close();
}

async function shoot(page: Page, name: string) {
  if (!isWanted(name)) return;
  await page.screenshot({ path: join(folder, `${name}.png`) });
  console.log(name);
}

/** A day as its player would send it, opened from disk. */
async function shootReport(page: Page) {
  await page.goto('/logbook');
  await page
    .getByTestId('ink')
    .getByRole('link', { name: / takes?$/ })
    .last()
    .click();
  await page.getByTestId('day-takes').waitFor();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export as a page' }).first().click();
  const file = join(tmpdir(), 'inner-hum-report.html');
  await (await download).saveAs(file);
  const report = await page.context().newPage();
  await report.goto(`file://${file}`);
  await shoot(report, 'report');
  await report.close();
}

async function openSwell(page: Page, note: number) {
  await page.goto(`/stand/swell?note=${note}`);
  await page.locator('[data-phase="armed"]').waitFor();
}

async function playSwell(page: Page, note: number) {
  await openSwell(page, note);
  await page.keyboard.press('Space');
  await page.locator('[data-phase="playing"]').waitFor();
  await page.waitForTimeout(INTO_THE_SWELL_MS);
}

mkdirSync(folder, { recursive: true });
const browser = await chromium.launch(CHROMIUM);
try {
  await inLook(browser, DESK, async (page) => {
    await shoot(page, 'takes');
    await page.goto('/today');
    await page.getByTestId('sheet').waitFor();
    await page.waitForTimeout(500);
    await shoot(page, 'today');
    await page.goto('/stand');
    await page.waitForTimeout(7000);
    await shoot(page, 'free-desk');
    // A swell with a fault shows more of the ribbon than a good one.
    if (isWanted('stand-watching')) {
      await page.goto('/case');
      await page.getByRole('radio', { name: 'with a jump in loudness' }).click();
      await page.waitForTimeout(300);
      await openSwell(page, 67);
      await filmTake(page, join(folder, 'stand-watching.webp'));
      console.log('stand-watching');
    }
    await page.goto('/case');
    await page.waitForTimeout(500);
    await shoot(page, 'case');
    await page.goto('/shelf');
    await page.locator('.engraving svg').nth(4).waitFor();
    await page.waitForTimeout(500);
    await shoot(page, 'shelf');
    await page.goto('/ladder');
    await page.getByTestId('ladder').getByRole('button').first().waitFor();
    await page.waitForTimeout(500);
    await shoot(page, 'ladder');
    await page.goto('/map');
    await page.getByTestId('sticks-out').waitFor();
    await page.waitForTimeout(500);
    await shoot(page, 'map');
    await page.goto('/map/findings');
    await page.getByRole('heading', { level: 2 }).first().waitFor();
    await page.waitForTimeout(500);
    await shoot(page, 'likely-causes');
    await page.goto('/high');
    await page.getByTestId('high-figures').waitFor();
    await page.waitForTimeout(500);
    await shoot(page, 'high-notes');
    // The month before is whole.
    await page.goto('/logbook');
    await page.getByTestId('ink').waitFor();
    await page.getByRole('button', { name: 'Month before' }).click();
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.waitForTimeout(500);
    await shoot(page, 'logbook');
    await page
      .getByTestId('ink')
      .getByRole('link', { name: / takes$/ })
      .last()
      .click();
    await page.getByTestId('day-takes').waitFor();
    await page.waitForTimeout(500);
    await shoot(page, 'logbook-day');
    await page.goto('/logbook/trends?measure=responseMs&zone=low');
    await page.getByTestId('changes').waitFor();
    await page.locator('.recharts-surface').first().waitFor();
    await page.waitForTimeout(500);
    await shoot(page, 'trend');
    await page.goto('/logbook/aims');
    await page.getByTestId('aims').waitFor();
    await page.waitForTimeout(500);
    await shoot(page, 'aims');
    await page.goto('/logbook/trials');
    await page.getByTestId('trials').getByRole('img').first().waitFor();
    await page.getByTestId('trials').evaluate((list) => list.scrollIntoView({ block: 'center' }));
    await page.waitForTimeout(500);
    await shoot(page, 'trials');
    await page.goto('/takes/demo-scene-7?over=demo-scene-6');
    await page.getByTestId('compare-listen').waitFor();
    await page.waitForTimeout(500);
    await shoot(page, 'compare');
    await shootReport(page);
  });
  await inLook(browser, STAGE, async (page) => {
    if (!isWanted('stand-blind')) return;
    await openSwell(page, 58);
    await page.keyboard.press('2');
    await page.getByRole('radio', { name: /Blind/, checked: true }).waitFor();
    await playSwell(page, 58);
    await shoot(page, 'stand-blind');
  });
  await inLook(browser, PHONE, async (page) => {
    if (!isWanted('phone-stand')) return;
    await playSwell(page, 70);
    await shoot(page, 'phone-stand');
  });
} finally {
  await browser.close();
  server.stop();
}
