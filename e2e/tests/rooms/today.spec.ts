import { expect, inPhase, test, visit } from '../../browser.ts';

test('a day’s sheet: minutes, a line put aside and one kept, played hands-free from line to line, and its account', async ({
  page,
}) => {
  await visit(page, '/stand/swell');
  await page.getByRole('link', { name: 'leave' }).click();
  await page.getByRole('link', { name: 'Today' }).click();
  const lines = page.getByTestId('sheet').getByRole('listitem');
  await expect(lines.first()).toContainText('Air, then note');
  await expect(lines.last()).toContainText('Play what you like');
  const ten = await lines.count();
  await page.getByRole('radio', { name: '5', exact: true }).click();
  await expect.poll(() => lines.count()).toBeLessThan(ten);
  const third = lines.nth(2);
  const name = await third.getAttribute('data-line');
  await third.getByRole('button', { name: 'Skip today' }).click();
  await expect(page.locator(`[data-line="${name}"]`)).toHaveCount(0);
  await page.getByRole('button', { name: 'Restore what was skipped' }).click();
  await expect(page.locator(`[data-line="${name}"]`)).toHaveCount(1);
  await page.locator(`[data-line="${name}"]`).getByRole('button', { name: 'Pin' }).click();
  await page.getByLabel('Focus').selectOption('overtones first');
  await expect(page.locator(`[data-line="${name}"]`)).toHaveCount(1);

  // The easy middle note; then, after a rest, the line after it, without a hand.
  await lines
    .nth(1)
    .getByRole('link', { name: /^Play: Long hold/ })
    .click();
  await expect(page).toHaveURL(/longHold.*sheet=opening/);
  // It begins by itself: hands are on the horn.
  await expect(page.getByTestId('sheet-start')).toContainText('begins by itself in');
  await inPhase(page, 'playing').waitFor({ timeout: 60_000 });
  await inPhase(page, 'resting').waitFor({ timeout: 40_000 });
  await expect(page.getByTestId('sheet-next')).toContainText('Next: ');
  await expect(page).not.toHaveURL(/longHold.*sheet=opening/, { timeout: 20_000 });
  await inPhase(page, 'armed').waitFor();
  await page.getByRole('button', { name: 'Wait' }).click();
  await expect(page.getByTestId('sheet-start')).toHaveCount(0);
  await page.getByRole('link', { name: 'leave' }).click();
  await expect(page).toHaveURL(/\/today$/);
  await expect(page.getByTestId('account')).toHaveText(/^[1-9] of \d+ lines, \d of 5 minutes\.$/);
  await expect(lines.nth(1)).toContainText('done');
  // What was asked is answered there as on the Stand.
  await expect(lines.nth(1).getByTestId('line-headline')).toHaveText(/^\d+ clicks, /);
  // Another visit goes on where this one stopped.
  await page.reload();
  await expect(lines.nth(1)).toContainText('done');
  await expect(page.getByRole('link', { name: 'Continue' })).toHaveAttribute('href', /airThenNote/);
  await page.getByRole('button', { name: 'Plan the rest again' }).click();
  await expect(page.locator('[data-line="opening/longHold"]')).toContainText('done');
});

test('a day of the own routine, from the sheet to its account, without a hand on the keys', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await visit(page, '/shelf');
  for (const drill of ['overtoneSwitch', 'swell'])
    await page
      .locator(`[data-shelf="${drill}"]`)
      .getByRole('button', { name: /favourites/ })
      .click();
  await page.getByRole('link', { name: 'Today' }).click();
  await page.getByLabel('Focus').selectOption('my own routine');
  const lines = page.getByTestId('sheet').getByRole('listitem');
  await expect(lines).toHaveCount(3);
  await expect(lines.first()).toContainText('Switch the fingers');
  await expect(lines.nth(1)).toContainText('From your own routine; not played yet.');
  await page.getByRole('link', { name: 'Start', exact: true }).click();
  // Both lines, their rests, and back.
  await expect(page).toHaveURL(/drill\/swell/, { timeout: 90_000 });
  await expect(page).toHaveURL(/\/today$/, { timeout: 120_000 });
  await expect(page.getByTestId('sheet-done')).toHaveText('Today’s sheet is done.');
  await expect(page.getByTestId('account')).toContainText(/^2 of 2 lines, \d of 10 minutes\./);
  await expect(lines.first().getByTestId('line-headline')).toContainText('Changed fingering seamlessly');
  // The day stands in the logbook, with what is written on it.
  await page.getByRole('link', { name: 'Logbook' }).click();
  await page
    .getByTestId('ink')
    .getByRole('link', { name: /minutes of tone, \d+ takes$/ })
    .click();
  await expect(page.getByTestId('day-account')).toContainText('notes on target');
  await expect(page.getByTestId('day-takes').getByRole('link')).not.toHaveCount(0);
  await page.getByLabel('Your notes for this day').fill('Übung ging leicht');
  await page.getByRole('button', { name: 'One degree warmer' }).click();
  await page.getByRole('link', { name: 'The month' }).click();
  await page.getByLabel('Search your notes').fill('ubung LEICHT');
  await expect(page.getByTestId('found-days').getByRole('listitem')).toHaveCount(1);
  await page.getByTestId('found-days').getByRole('link').click();
  await expect(page.getByRole('spinbutton', { name: 'Room temperature' })).toHaveValue('20');
});

test('a first-year player’s sheet waits with subtone, widening swells and altissimo until they are wanted', async ({
  page,
}) => {
  await visit(page, '/case');
  await page
    .getByRole('group', { name: 'How long have you played?' })
    .getByRole('radio', { name: 'first year' })
    .click();
  await page.getByRole('radio', { name: 'first year', checked: true }).waitFor();
  await visit(page, '/today');
  await page.getByRole('group', { name: 'Minutes' }).getByRole('radio', { name: '30' }).click();
  const sheet = page.getByTestId('sheet');
  await expect(sheet).toContainText('Air, then note');
  await expect(sheet).not.toContainText('Does it speak?');
  await expect(sheet).not.toContainText(/subtone/i);
  const notYet = page.getByTestId('not-yet');
  await notYet.getByText('Not on the sheet yet').click();
  await expect(notYet.getByRole('button')).toHaveCount(5);
  await expect(notYet).toContainText(
    'Altissimo, when 7 of 10 third and fourth partials in a row on B flat 3 or B3 go as written. None played yet.',
  );
  await notYet.getByRole('button', { name: 'Put on the sheet now' }).last().click();
  await expect(notYet.getByRole('button')).toHaveCount(4);
  await expect(sheet).toContainText('Does it speak?');
  await page.reload();
  await expect(sheet).toContainText('Does it speak?');
});

test('a path leads the sheet and says why; one goes on, back and away as one likes; the plan can be corrected', async ({
  page,
}) => {
  await visit(page, '/today');
  const path = page.getByTestId('path');
  await expect(path).toHaveCount(0);
  await page.getByLabel('Focus').selectOption({ label: 'first tone weeks' });
  await expect(path).toHaveAttribute('data-step', '0');
  await expect(path).toContainText('Step 1 of 6: A note that stands');
  await expect(path).toContainText('6 of 8 in a row as written are needed. Practised on 0 of 5 days.');
  await expect(page.getByTestId('sheet')).toContainText('Step 1 of your path.');
  await path.getByRole('button', { name: 'Next step now' }).click();
  await expect(path).toContainText('Out of the air');
  await page.reload();
  await expect(path).toHaveAttribute('data-step', '1');
  await page.getByLabel('Focus').selectOption({ label: 'three zones' });
  await expect(path).toHaveCount(0);
  // Whoever comes back stands where they stood.
  await page.getByLabel('Focus').selectOption({ label: 'first tone weeks' });
  await expect(path).toHaveAttribute('data-step', '1');
  await path.getByRole('button', { name: 'Back one step' }).click();
  await expect(path).toHaveAttribute('data-step', '0');

  await page.getByLabel('Focus').selectOption({ label: 'three zones' });
  await page.getByRole('link', { name: 'Why these lines?' }).click();
  const known = page.getByTestId('learned');
  await expect(known).toContainText('Not tried yet.');
  const wish = known.getByRole('group', { name: 'long tones, the low notes' });
  await wish.getByRole('radio', { name: 'less' }).click();
  await page.reload();
  await expect(wish.getByRole('radio', { name: 'less' })).toBeChecked();
  await wish.getByRole('radio', { name: 'as planned' }).click();
  await expect(wish.getByRole('radio', { name: 'as planned' })).toBeChecked();
});
