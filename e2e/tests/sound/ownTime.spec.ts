import type { Page } from '@playwright/test';
import { expect, inPhase, microphoneBeeping, STATES, test } from '../../browser.ts';
import { SOUNDS } from '../../sounds.ts';

// Played without a click: the page waits for the player, and nothing is blamed for how long it took.

test.use({ launchOptions: microphoneBeeping(), storageState: STATES.microphone });

/** What is told of the take that was just played, and how long each of its notes was held, in seconds. */
async function heldSeconds(page: Page, name: RegExp): Promise<number[]> {
  await page.goto('/takes');
  await page.getByRole('link', { name }).first().click();
  await expect(page.getByTestId('take-ribbon')).toBeVisible();
  const column = await page.locator('thead th').allInnerTexts();
  const rows = await page.locator('tr[data-item]').all();
  return Promise.all(
    rows.map(async (row) => parseFloat(await row.locator('th, td').nth(column.indexOf('Held')).innerText())),
  );
}

test.describe('cascade', () => {
  test.use({ hears: SOUNDS.ownCascade });
  test('the upper note for five beats, the lower one for four: the page moves on when the player has', async ({
    page,
  }) => {
    // What is written is played faster than that: the tempo says only how long the rest is, in which the verdict is read.
    await page.goto('/stand/drill/overtoneCascade?note=65&to=65&tempoBpm=40');
    await expect(page.getByText('in my own time').first()).toBeVisible();
    await inPhase(page, 'playing').waitFor({ timeout: 60_000 });
    await expect(page.getByTestId('note-now').getByLabel('F 5')).toBeVisible();
    await expect(page.getByTestId('held')).toContainText('clear');
    await expect(page.getByTestId('note-now').getByLabel('F 4')).toBeVisible({ timeout: 10_000 });
    await inPhase(page, 'resting').waitFor({ timeout: 30_000 });
    await expect(page.getByTestId('headline')).toContainText('Fell seamlessly');
    const [upper, lower] = await heldSeconds(page, /Cascade/);
    expect(Math.abs(upper - (5 * 60) / 90)).toBeLessThanOrEqual(0.2);
    expect(Math.abs(lower - (4 * 60) / 90)).toBeLessThanOrEqual(0.2);
  });
});

test.describe('climb', () => {
  test.use({ hears: SOUNDS.ownClimb });
  test('every partial twice as long as it is written is no mistake', async ({ page }) => {
    await page.goto('/stand/drill/overtoneClimb?partial=3&tempoBpm=120&tries=1');
    await inPhase(page, 'playing').waitFor({ timeout: 60_000 });
    await inPhase(page, 'resting').waitFor({ timeout: 40_000 });
    await expect(page.getByTestId('headline')).toContainText('Climbed seamlessly 4 of 4');
    for (const seconds of await heldSeconds(page, /Climb/)) expect(Math.abs(seconds - 2)).toBeLessThan(0.25);
  });
});

test.describe('over the break', () => {
  test.use({ hears: SOUNDS.ownBreak });
  test('E for six beats and D for nine', async ({ page }) => {
    await page.goto('/stand/drill/breakDrill?tempoBpm=40');
    await inPhase(page, 'playing').waitFor({ timeout: 60_000 });
    await inPhase(page, 'resting').waitFor({ timeout: 40_000 });
    await expect(page.getByTestId('headline')).toHaveText('Moved seamlessly.');
    const [e, d] = await heldSeconds(page, /Over the break/);
    expect(Math.abs(e - 3)).toBeLessThanOrEqual(0.2);
    expect(Math.abs(d - 4.5)).toBeLessThanOrEqual(0.2);
  });
});

test.describe('widening swell', () => {
  test.use({ hears: SOUNDS.ownWidening });
  test('grows until the player moves, and is held against its marks along its own length', async ({
    page,
  }) => {
    await page.goto('/stand/drill/wideningUp?note=65&start=ownTime');
    await inPhase(page, 'playing').waitFor({ timeout: 60_000 });
    await inPhase(page, 'resting').waitFor({ timeout: 40_000 });
    await expect(page.getByTestId('headline')).toHaveText(/even\.$/);
  });
});
