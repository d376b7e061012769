import { expect, inPhase, STATES, test, visit } from '../../browser.ts';

test.use({
  hasOwnBrowser: true,
  storageState: STATES.standIn,
  viewport: { width: 390, height: 844 },
  hasTouch: true,
});

test('a phone on the stand: first swell by touch, verdict, closer look, and back by the places below', async ({
  page,
}) => {
  await visit(page, '/stand/swell?note=67&beats=4');
  await inPhase(page, 'armed').waitFor();
  await page.getByRole('button', { name: 'Let the simulated player play' }).tap();
  await inPhase(page, 'playing').waitFor();
  // Note, ribbon and beat are on the screen together while the note sounds.
  const note = await page.getByRole('img', { name: 'G 4' }).first().boundingBox();
  const drawing = await page.getByRole('img', { name: /the written shape/ }).boundingBox();
  expect(note?.height).toBeGreaterThanOrEqual(120);
  expect((drawing?.y ?? 0) + (drawing?.height ?? 9999)).toBeLessThan(844);
  await inPhase(page, 'resting').waitFor({ timeout: 25_000 });
  await page.getByRole('link', { name: 'Details' }).tap();
  await page.getByTestId('take-ribbon').tap({ position: { x: 180, y: 150 } });
  await expect(page.getByRole('slider')).toHaveAttribute('aria-valuetext', /cents? (sharp|flat)/);
  await page.getByRole('link', { name: 'Stand' }).tap();
  await expect(page).toHaveURL(/\/stand$/);
  await page.getByRole('link', { name: 'Takes' }).tap();
  await expect(page.getByRole('link', { name: /^The tone as a ribbon/ })).toHaveCount(1);
  await page.getByRole('button', { name: 'Options' }).tap();
  await expect(page.getByText('1 take kept')).toBeVisible();
  // What has no place below is one tap farther.
  await page.getByText('More', { exact: true }).tap();
  await page.getByRole('link', { name: 'High notes' }).tap();
  await expect(page).toHaveURL(/\/high$/);
  await expect(page.getByRole('link', { name: 'Case', exact: true })).toBeHidden();
});
