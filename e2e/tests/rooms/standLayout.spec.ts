import type { Page } from '@playwright/test';
import { begin, expect, inPhase, STATES, test, visit } from '../../browser.ts';

/** Where the ribbon stands, and how far down what can be pressed reaches. */
const measured = (page: Page) =>
  page.evaluate(() => {
    const { x, y, width, height } =
      document.querySelector('.ribbon-frame')?.getBoundingClientRect() ?? new DOMRect();
    const pressed = [...document.querySelectorAll('main button, main a, main input, main select')]
      .map((each) => each.getBoundingClientRect())
      .filter((box) => box.width > 0 && box.height > 0);
    return {
      ribbon: { x, y, width, height },
      lowest: Math.max(...pressed.map(({ bottom }) => bottom)),
      page: { width: document.documentElement.scrollWidth, height: document.documentElement.scrollHeight },
    };
  });

for (const [width, height] of [
  [1280, 800],
  [1024, 768],
  [390, 844],
])
  for (const address of [
    '/stand/swell?note=67&beats=4',
    '/stand/drill/pairedSwells?note=58&to=58&tempoBpm=160&start=countIn',
    '/stand/drill/overtoneHits?tries=1&start=ownTime',
  ])
    test(`${address}: nothing moves from ready to verdict at ${width} x ${height}`, async ({
      browser,
      baseURL,
    }) => {
      const context = await browser.newContext({
        baseURL: baseURL ?? '',
        storageState: address.includes('countIn') ? STATES.standIn : STATES.quick,
        viewport: { width, height },
        serviceWorkers: 'block',
      });
      const page = await context.newPage();
      await visit(page, address);
      await inPhase(page, 'armed').waitFor();
      const ready = await measured(page);
      // The drawing has its share of the window.
      expect(ready.ribbon.height).toBeGreaterThan(width > 390 ? 0.5 * height : 0.25 * height);
      const phases = address.includes('countIn')
        ? (['counting', 'playing', 'resting'] as const)
        : (['resting'] as const);
      await begin(page);
      for (const phase of phases) {
        await inPhase(page, phase).waitFor();
        const now = await measured(page);
        for (const side of ['x', 'y', 'width', 'height'] as const)
          expect(Math.abs(now.ribbon[side] - ready.ribbon[side]), `${phase} ${side}`).toBeLessThanOrEqual(2);
        expect(now.page, phase).toEqual({ width, height });
        if (phase === 'resting') expect(now.lowest).toBeLessThanOrEqual(height);
      }
      expect(ready.page).toEqual({ width, height });
      expect(ready.lowest).toBeLessThanOrEqual(height);
      await context.close();
    });

test('whatever was pressed last, the space bar and the pedal start; a field that Tab went to keeps its keys', async ({
  page,
}) => {
  await visit(page, '/stand/swell?note=67&beats=4');
  await inPhase(page, 'armed').waitFor();
  await page.getByRole('button', { name: 'Half a step up' }).click();
  await page.getByRole('radio', { name: 'Swell, loud to soft' }).click();
  await expect(page).toHaveURL(/note=68&shape=fade/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Swell, loud to soft');
  await inPhase(page, 'armed').waitFor();
  await page.keyboard.press('Space');
  await inPhase(page, 'resting').waitFor();
  // The shape that was pressed last is still chosen: the key pressed no button.
  await expect(page).toHaveURL(/shape=fade/);
  await page.getByRole('button', { name: 'Change' }).click();
  await page.getByRole('spinbutton', { name: 'Tempo' }).click();
  await page.keyboard.press('PageDown');
  await inPhase(page, 'resting').waitFor();
  await page.getByRole('button', { name: 'Change' }).click();
  await page.getByRole('radio', { name: 'Swell, loud to soft' }).focus();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Shift+Tab');
  await page.keyboard.press('ArrowRight');
  await expect(page).toHaveURL(/shape=grow/);
  await expect(inPhase(page, 'armed')).toBeVisible();
});

test('a number is typed, stepped, held and tapped, and stays within its bounds', async ({ page }) => {
  await visit(page, '/stand/swell?note=67');
  await inPhase(page, 'armed').waitFor();
  const tempo = page.getByRole('spinbutton', { name: 'Tempo' });
  await tempo.fill('96');
  await expect(page).not.toHaveURL(/tempoBpm/);
  await tempo.press('Enter');
  await expect(page).toHaveURL(/tempoBpm=96/);
  await tempo.fill('9');
  await page.getByRole('heading', { level: 1 }).click();
  await expect(tempo).toHaveValue('30');
  await expect(page).toHaveURL(/tempoBpm=30/);
  await tempo.press('ArrowUp');
  await tempo.press('Shift+ArrowUp');
  await expect(page).toHaveURL(/tempoBpm=41/);
  await tempo.fill('77');
  await tempo.press('Escape');
  await expect(tempo).toHaveValue('41');
  // Held, it goes on by itself; pressing it once more does not lose a step.
  await page.getByRole('button', { name: 'Faster' }).hover();
  await page.mouse.down();
  await expect.poll(async () => Number(await tempo.inputValue())).toBeGreaterThan(50);
  await page.mouse.up();
  await expect(async () => {
    expect(page.url()).toContain(`tempoBpm=${await tempo.inputValue()}`);
  }).toPass();
  // Tapped every half second: the button, its key, then the pedal, which starts nothing meanwhile.
  await page.clock.install();
  await page.clock.pauseAt(Date.now() + 10_000);
  await page.getByRole('button', { name: 'Tap' }).click();
  for (const key of ['t', 'PageDown', 'Space', 'PageDown']) {
    await page.clock.runFor(500);
    await page.keyboard.press(key);
  }
  await expect(tempo).toHaveValue('120');
  await expect(inPhase(page, 'armed')).toBeVisible();
  await page.clock.resume();
  // A note by its name, by octaves, and no lower than the horn.
  await page.getByRole('button', { name: 'Note: octave up' }).click();
  await expect(page).toHaveURL(/note=79/);
  await expect(page.getByRole('button', { name: 'Note: octave up' })).toBeDisabled();
  await page.getByRole('button', { name: /^Note: .*Press to type/ }).click();
  await page.getByRole('textbox', { name: 'Note' }).fill('bb3');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/note=58/);
  await expect(page.getByRole('button', { name: 'Half a step down' })).toBeDisabled();
});
