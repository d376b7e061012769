import { expect, inPhase, playOut, test, visit } from '../../browser.ts';

test('in one’s own time by the simulated player: round and round until it stops, how long each note was held, and back into time', async ({
  page,
}) => {
  await visit(page, '/stand/drill/overtoneCascade?note=65&to=65&partial=3&rounds=untilStop&tries=1');
  await expect(page.getByText('alto · in my own time')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Metronome:/ })).toHaveCount(0);
  await expect(page.getByRole('radio', { name: 'in my own time', checked: true })).toBeVisible();
  await playOut(page);
  // Twelve rounds are ready; what it did not come to is not asked.
  await expect(page.getByTestId('headline')).toContainText('Fell seamlessly 8 of 8');
  await page.getByRole('link', { name: 'Details' }).click();
  await expect(page.locator('tr[data-item]')).toHaveCount(9);
  await expect(page.getByRole('columnheader', { name: 'Held' })).toBeVisible();
  await expect(page.getByRole('columnheader', { name: 'Clear after' })).toBeVisible();
  await expect(page.getByRole('columnheader', { name: 'On the beat' })).toHaveCount(0);

  // The same in time: counted from the first note, with a beat, four times round.
  await visit(page, '/stand/drill/overtoneCascade?note=65&to=65&partial=3&rounds=untilStop&tries=1');
  await page.getByRole('radio', { name: 'when I play' }).click();
  await expect(page.getByText('alto · 72 beats a minute')).toBeVisible();
  await inPhase(page, 'armed').waitFor();
  await page.getByRole('button', { name: 'Let the simulated player play' }).click();
  await inPhase(page, 'resting').waitFor({ timeout: 40_000 });
  await expect(page.getByTestId('headline')).toContainText('Fell seamlessly 11 of 11');
});

test('an own exercise in my own time, copied a half step lower as often as one likes', async ({ page }) => {
  await visit(page, '/shelf');
  await page.getByRole('button', { name: 'Write your own' }).click();
  await page.getByRole('radio', { name: 'in my own time' }).click();
  const lower = page.getByRole('button', { name: 'Duplicate a half step lower' });
  await lower.click();
  await lower.click();
  await expect(page.getByRole('button', { name: /^Phrase 3/, pressed: true })).toBeVisible();
  await page.getByRole('link', { name: 'Let the simulated player try it' }).click();
  await expect(page.getByText('in my own time').first()).toBeVisible();
  await inPhase(page, 'armed').waitFor();
  await expect(page.getByTestId('phrase-count')).toHaveText('1 of 3');
  await playOut(page);
  await expect(page.getByTestId('headline')).toHaveText(
    /^(3 notes, nothing stands out|[A-G].* \d: (in tune|\d+ cents? (flat|sharp)), at most \d+)/,
  );
});
