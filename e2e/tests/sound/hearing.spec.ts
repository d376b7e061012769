import { expect, inPhase, microphoneBeeping, STATES, test } from '../../browser.ts';
import { SOUNDS } from '../../sounds.ts';

test.use({
  launchOptions: microphoneBeeping(),
  storageState: STATES.microphone,
  hears: SOUNDS.hearing,
});

test('“Listen to me” through the microphone: what spoke is told, and its softest and loudest become the scale', async ({
  page,
}) => {
  await page.goto('/stand/drill/firstHearing?beats=2&tempoBpm=120');
  await inPhase(page, 'playing').waitFor({ timeout: 60_000 });
  await expect(page.getByTestId('headline')).toContainText('Spoke 12 of 13; from B flat 3 to F 6', {
    timeout: 120_000,
  });
  await page.goto('/case/hearing');
  await expect(page.getByText('It speaks from B♭3 to F6.', { exact: false })).toBeVisible();
  await expect(page.getByText('1 of 2 overtones spoke.', { exact: false })).toBeVisible();
  const hearing = page.getByTestId('hearing');
  await expect(hearing).toContainText('plan as for “a few years”');
  // Written from pp to ff, played on a scale of -48 to -14 dBFS: two thirds of it at least, and inside it.
  const told = /Softest and loudest at this place: −(\d+) and −(\d+) dBFS/.exec(await hearing.innerText());
  const [soft, loud] = [-Number(told?.[1]), -Number(told?.[2])];
  expect(soft).toBeGreaterThanOrEqual(-49);
  expect(soft).toBeLessThanOrEqual(-38);
  expect(loud).toBeGreaterThanOrEqual(-24);
  expect(loud).toBeLessThanOrEqual(-13);
  await hearing.getByRole('button', { name: 'Use this' }).click();
  await expect(hearing).toContainText('Set. It can be changed in the Case.');
  await page.goto('/case#microphone');
  await expect(page.getByText(/Calibrated on/)).toBeVisible();
});
