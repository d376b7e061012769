import type { Page } from '@playwright/test';
import sharp from 'sharp';

const WIDTH = 900;
const FRAMES_PER_SECOND = 5;
/** What is ready, and what was answered, can be read. */
const READY_MS = 1200;
const ANSWERED_MS = 4500;

/** Films the page while a take is played, from ready to its answer, as a looping picture (WebP) in real time. */
export async function filmTake(page: Page, file: string): Promise<void> {
  const frames: { picture: Buffer; atMs: number }[] = [];
  const shoot = async () => {
    const atMs = Date.now();
    const picture = await page.screenshot();
    frames.push({ picture, atMs });
    await page.waitForTimeout(Math.max(0, atMs + 1000 / FRAMES_PER_SECOND - Date.now()));
  };
  await shoot();
  await page.keyboard.press('Space');
  const answer = page.locator('[data-phase="paused"], [data-phase="resting"]');
  while ((await answer.count()) === 0) await shoot();
  await page.waitForTimeout(500);
  await shoot();
  const pictures = await Promise.all(
    frames.map(({ picture }) => sharp(picture).resize({ width: WIDTH }).png().toBuffer()),
  );
  const delay = frames.map(({ atMs }, i) => {
    if (i === 0) return READY_MS;
    return i + 1 < frames.length ? frames[i + 1].atMs - atMs : ANSWERED_MS;
  });
  await sharp(pictures, { join: { animated: true } })
    .webp({ quality: 75, effort: 4, minSize: true, mixed: true, loop: 0, delay })
    .toFile(file);
}
