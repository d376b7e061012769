import { expect, inPhase, playOut, STATES, test, visit } from '../../browser.ts';

test.use({ storageState: STATES.quick });

test('“Listen to me”: played out, what was heard is told and used, and a later one stands beside it', async ({
  page,
}) => {
  await visit(page, '/case/hearing');
  await expect(page.getByText('In about four minutes', { exact: false })).toBeVisible();
  await page.getByRole('link', { name: 'Begin' }).click();
  await inPhase(page, 'armed').waitFor();
  await playOut(page);
  await expect(page.getByTestId('headline')).toContainText('From B flat 3 to F 6');
  await visit(page, '/case/hearing');
  const hearing = page.getByTestId('hearing');
  await expect(page.getByText('It speaks from B♭3 to F6.', { exact: false })).toBeVisible();
  await expect(page.getByText('2 of 2 overtones spoke.', { exact: false })).toBeVisible();
  await expect(hearing).toContainText('plan as for “advanced”');
  await hearing.getByRole('button', { name: 'Use this' }).click();
  await expect(hearing).toContainText('Set. It can be changed in the Case.');
  await visit(page, '/case#tolerance');
  await expect(
    page
      .getByRole('group', { name: 'How long have you played?' })
      .getByRole('radio', { name: 'advanced', checked: true }),
  ).toBeVisible();
});
