import { beginSounding, expect, inPhase, test, trouble } from '../../browser.ts';

test('a page killed in the middle of a take gives it back on return', async ({ page, context }) => {
  await page.goto('/stand/swell');
  await beginSounding(page);
  const begun = Date.now();
  await page.waitForTimeout(3000);
  const played = (Date.now() - begun) / 1000;
  const devtools = await context.newCDPSession(page);
  // The crashed page never answers.
  void devtools.send('Page.crash').catch(() => undefined);
  await page.waitForEvent('crash');

  const back = await context.newPage();
  await back.goto('/takes');
  await back.getByRole('link', { name: /G/ }).first().click();
  await expect(back.getByText('recovered after an interruption')).toBeVisible();
  const held = await back.locator('[data-figure="holdSeconds"] td').first().innerText();
  // At most the last second is lost.
  expect(parseFloat(held)).toBeGreaterThan(played - 1.1);
});

test('two tabs may play at once: each keeps its take, and neither takes over the other’s', async ({
  page,
  context,
}) => {
  await page.goto('/stand/swell?beats=4');
  await beginSounding(page);
  // Opened in the middle of the other's take: what is being recorded there must not be "found again" here.
  const other = await context.newPage();
  await other.goto('/stand/swell?note=69&beats=2');
  await beginSounding(other);
  for (const tab of [page, other]) await inPhase(tab, 'resting').waitFor({ timeout: 30_000 });
  await other.goto('/takes');
  await expect(other.getByText('2 takes kept')).toBeVisible();
  await expect(other.getByText(/recovered after/)).toHaveCount(0);
});

for (const [name, hurt] of [
  [
    'breaks',
    () =>
      setTimeout(() =>
        Promise.reject(new Error('hurt')).catch((e: unknown) =>
          setTimeout(() => {
            throw e;
          }),
        ),
      ),
  ],
  [
    'hangs without a word',
    () =>
      setTimeout(() => {
        for (;;);
      }),
  ],
] as const)
  test(`a worker that ${name} in the middle of a take is replaced, and the take is kept`, async ({
    page,
  }) => {
    await page.goto('/stand/swell?beats=4');
    await beginSounding(page);
    await page.waitForTimeout(2600);
    const [worker] = page.workers();
    await worker.evaluate(hurt).catch(() => undefined);
    await expect(trouble(page, 'workerRestarted')).toBeVisible({ timeout: 20_000 });
    await beginSounding(page);
    await inPhase(page, 'resting').waitFor({ timeout: 90_000 });
    await page.goto('/takes');
    const takes = page.getByRole('link', { name: /G/ });
    await expect(takes).toHaveCount(2);
    await takes.last().click();
    await expect(page.getByText('recovered after')).toBeVisible();
    const held = await page.locator('[data-figure="holdSeconds"] td').first().innerText();
    expect(parseFloat(held)).toBeGreaterThan(2);
  });
