import { expect, inPhase, microphonePlaying, STATES, test } from '../../browser.ts';
import { SOUNDS } from '../../sounds.ts';

test.use({ launchOptions: microphonePlaying(SOUNDS.drone), storageState: STATES.microphone });

test('a microphone is checked and chosen by name, kept, and told where it is not there', async ({ page }) => {
  await page.goto('/case#input');
  const which = page.getByLabel('Microphone', { exact: true });
  await expect(which).toHaveValue('');
  await page.getByRole('button', { name: 'Check it for four seconds' }).click();
  await expect(page.getByText('Play a note, then stop.')).toBeVisible();
  await expect(page.getByTestId('mic-check')).toContainText(/Loudest −\d+ dBFS, quietest −\d+ dBFS/, {
    timeout: 20_000,
  });
  // Names are there once the browser may use one.
  await expect(which.locator('option')).not.toHaveCount(1);
  const name = await which.locator('option').nth(1).innerText();
  await which.selectOption(name);
  await page.reload();
  await expect(which.locator('option:checked')).toHaveText(name);
  await page.goto('/stand');
  await expect(page.locator('[data-trouble="micOther"]')).toHaveCount(0);
  // Unplugged since: the system's own is used, and that is said.
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('inner-hum');
        opening.onsuccess = () => {
          const settings = opening.result.transaction('settings', 'readwrite').objectStore('settings');
          settings.get('settings').onsuccess = ({ target }) => {
            const row = (target as IDBRequest<Record<string, unknown>>).result;
            settings.put({ ...row, microphone: { id: 'gone', name: 'The good one' } }).onsuccess = () =>
              resolve();
          };
        };
        opening.onerror = () => reject(new Error('no database'));
      }),
  );
  await page.goto('/stand/swell');
  await expect(page.getByText('The chosen microphone is not plugged in', { exact: false })).toBeVisible();
  await expect(which.locator('option:checked')).toHaveText('The good one (not plugged in)');
  // Another one where it is missed, in the middle of what is played.
  await which.selectOption(name);
  await expect(page.locator('[data-trouble="micOther"]')).toHaveCount(0);
  await inPhase(page, 'armed').waitFor();
  await page.goto('/case#input');
  await expect(which.locator('option:checked')).toHaveText(name);
});
