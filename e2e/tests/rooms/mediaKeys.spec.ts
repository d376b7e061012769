import { expect, playOut, STATES, test } from '../../browser.ts';

test.use({ storageState: STATES.quick });

test('the media keys pause, go on and move in the take that is listened to, and are let go with it', async ({
  page,
}) => {
  // What the page gives the browser's media keys, so that the journey can press them.
  await page.addInitScript(() => {
    const handlers: Record<string, MediaSessionActionHandler | null> = {};
    Object.assign(window, { mediaKeys: handlers });
    const { mediaSession } = navigator;
    const set = mediaSession.setActionHandler.bind(mediaSession);
    mediaSession.setActionHandler = (action, handler) => {
      handlers[action] = handler;
      set(action, handler);
    };
  });
  const press = (action: string) =>
    page.evaluate((name) => {
      const { mediaKeys } = window as unknown as { mediaKeys: Record<string, (() => void) | null> };
      mediaKeys[name]?.();
    }, action);
  const state = () => page.evaluate(() => navigator.mediaSession.playbackState);
  await page.goto('/stand/swell?note=67&beats=8');
  await playOut(page);
  await page.getByRole('link', { name: 'Details' }).click();
  await page.getByTestId('take-ribbon').waitFor();
  expect(await state()).toBe('none');
  await page.getByRole('button', { name: /^Listen/ }).click();
  await expect(page.getByRole('button', { name: /^Pause/ })).toBeVisible();
  expect(await state()).toBe('playing');
  expect(await page.evaluate(() => navigator.mediaSession.metadata?.artist)).toBe('Inner Hum');
  await press('pause');
  await expect(page.getByRole('button', { name: /^Listen/ })).toBeVisible();
  expect(await state()).toBe('paused');
  await press('seekforward');
  await expect(page.getByRole('button', { name: /^Pause/ })).toBeVisible();
  const at = Number(await page.getByRole('slider').getAttribute('aria-valuenow'));
  expect(at).toBeGreaterThan(4);
  await page.getByRole('link', { name: 'Takes', exact: true }).click();
  await page.getByRole('heading', { name: 'Takes' }).waitFor();
  expect(await state()).toBe('none');
});
