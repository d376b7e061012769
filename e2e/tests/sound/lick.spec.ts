import { expect, inPhase, microphoneBeeping, STATES, test } from '../../browser.ts';
import { typeNote, writeOwn } from '../../builder.ts';
import { SOUNDS } from '../../sounds.ts';

test.use({ launchOptions: microphoneBeeping(), hears: SOUNDS.lick, storageState: STATES.microphone });

test('a lick by own fingers and two overblown ones is written, played to the microphone and judged', async ({
  page,
}) => {
  await writeOwn(page);
  const press = () => page.getByRole('button', { name: 'Note', exact: true }).first().click();
  await typeNote(page, 'D6');
  await press();
  await page.getByLabel('Fingering').selectOption({ label: 'G 5 with the octave key, overblown' });
  await press();
  await typeNote(page, 'E6');
  await page.getByLabel('Fingering').selectOption({ label: 'A 5 with the octave key, overblown' });
  await page.getByRole('link', { name: 'Play', exact: true }).click();
  await inPhase(page, 'playing').waitFor({ timeout: 60_000 });
  await inPhase(page, 'resting').waitFor({ timeout: 60_000 });
  await expect(page.getByTestId('headline')).toContainText(/^(Moved|Changed) /);
  await page.goto('/ladder?fingered=81&partial=3');
  await expect(page.getByRole('button', { name: /^A 5, partial 3.*spoke 1 of 1/ })).toBeVisible();
});
