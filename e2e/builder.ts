import type { Page } from '@playwright/test';

/** A new exercise of the player's own, in the player's own time, with one note. */
export async function writeOwn(page: Page): Promise<void> {
  await page.goto('/shelf');
  await page.getByRole('button', { name: 'Write your own' }).click();
  await page.getByTestId('items').waitFor();
  await page.getByRole('radio', { name: 'in my own time' }).click();
}

/** Types the name of the note that is chosen; one click. */
export async function typeNote(page: Page, note: string): Promise<void> {
  await page.getByRole('button', { name: /^Note: .*Press to type$/ }).click();
  await page.keyboard.type(note);
  await page.keyboard.press('Enter');
}
