import { expect, inPhase, test, visit } from '../../browser.ts';

test('a whole cue trial: fixed beforehand, run by the Stand, told honestly at its end and not before', async ({
  page,
}) => {
  await visit(page, '/logbook/trials');
  await page.getByLabel('Question').selectOption('a question of my own');
  const one = page.getByLabel('One way, in a word or two');
  const other = page.getByLabel('The other way');
  // What is missing is said where it is missing, and the first of it has the focus.
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByText('Name this way in a word or two.')).toHaveCount(2);
  await expect(one).toBeFocused();
  await one.fill('think high');
  await other.fill('Think high ');
  await expect(page.getByRole('alert')).toHaveText('Both ways are the same. Name two different ones.');
  await other.fill('think far');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByRole('group', { name: 'Pairs' }).getByRole('radio', { name: '6' }).click();
  await page.getByLabel('What decides').selectOption('Pitch variation');
  await page.getByRole('button', { name: 'Begin: think high or think far' }).click();
  await inPhase(page, 'armed').waitFor();
  await expect(page.getByTestId('word')).toHaveText(/^think (high|far)$/);
  await page.keyboard.press('Space');
  await expect(page.getByTestId('phrase-count')).toHaveText(/^([3-9]|1[0-2]) of 12$/, { timeout: 90_000 });
  await expect(page.getByRole('link', { name: 'Result' })).toBeVisible({ timeout: 300_000 });
  await page.getByRole('link', { name: 'Result' }).click();
  const trial = page.getByTestId('trials').getByRole('listitem').first();
  await expect(trial).toContainText('“think high” or “think far”');
  await expect(trial).toContainText('1 session');
  await expect(trial.locator('[data-result]')).toHaveText(/no clear difference|in nine cases of ten/);
  await expect(trial.getByRole('img', { name: /^6 pairs as lines/ })).toBeVisible();
  await trial.getByRole('button', { name: 'Delete' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(trial).toBeVisible();
});

test('an aim in own words becomes a measure with a target, and leads the sheet until it is put away', async ({
  page,
}) => {
  await visit(page, '/logbook/aims');
  await page.getByRole('button', { name: 'Set the aim' }).click();
  await expect(page.getByText('Say in your own words what you want to reach.')).toBeVisible();
  await page.getByLabel('Choose one').selectOption('Soft low notes that respond at once');
  await page.getByLabel('Where').selectOption('B 3');
  await page.getByRole('button', { name: 'Lower target' }).click();
  const by = page.getByLabel('By', { exact: true });
  await by.fill('2021-03-14');
  await page.getByRole('button', { name: 'Set the aim' }).click();
  await expect(page.getByText('This day has passed. Choose a later one, or none.')).toBeVisible();
  await by.fill('2031-03-14');
  await page.getByRole('button', { name: 'Set the aim' }).click();
  const aim = page.getByTestId('aims').getByRole('listitem');
  await expect(aim).toContainText('B 3');
  await expect(aim).toContainText('Nothing of this kind was played yet.');
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByTestId('aims')).toContainText('Soft low notes that respond at once, by 14 March');
  await expect(
    page.getByTestId('sheet').getByRole('listitem').filter({ hasText: 'Toward your aim' }),
  ).not.toHaveCount(0);
  await visit(page, '/logbook/aims');
  await aim.getByRole('button', { name: 'Archive' }).click();
  await expect(aim).toContainText('archived on');
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByTestId('sheet')).toBeVisible();
  await expect(page.getByTestId('aims')).toHaveCount(0);
});
