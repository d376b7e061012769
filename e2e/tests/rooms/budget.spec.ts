import { expect, playOut, demoTest as test, visit } from '../../browser.ts';

test('a descent is proposed at the tempo that the breath of the last weeks allows, and played at it', async ({
  page,
}) => {
  await visit(page, '/stand/drill/quietDescent');
  const proposal = page.getByTestId('budget');
  // Whether the fastest tempo of the drill is fast enough is for the invented player's breath to say.
  await expect(proposal).toContainText(
    /of your \d+ holds here last \d+\.\d s[.;] (At 80 this takes 21\.0 s|even at 120 this takes 14\.0 s)/,
  );
  const faster = proposal.getByRole('button', { name: /Play at \d+/ });
  const tempo = Number(/\d+/.exec(await faster.innerText())?.[0]);
  expect(tempo).toBeGreaterThan(80);
  expect(tempo).toBeLessThanOrEqual(120);
  await faster.click();
  await expect(page).toHaveURL(new RegExp(`tempoBpm=${tempo}`));
  await expect(proposal).toBeHidden();
  await playOut(page);
  await expect(page.getByTestId('headline')).toHaveText(/^B flat 3: \d+ dB under C sharp 4/);
  await page.getByRole('link', { name: 'Details' }).click();
  await expect(page.locator('tr[data-item]')).toHaveCount(4);
});
