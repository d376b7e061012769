import { DEMO_PORT } from '../playwright.config.ts';
import { chromium, expect, firstVisit, inPhase, test } from '../browser.ts';
import { SOUNDS } from '../sounds.ts';

test.use({ launchOptions: chromium() });

test('a whole cue trial: fixed beforehand, run by the Stand, told honestly at its end and not before', async ({
  page,
}) => {
  test.setTimeout(420_000);
  await firstVisit(page, 'stand-in player');
  await page.goto('/logbook/trials');
  await page.getByLabel('Question').selectOption('a question of my own');
  await expect(page.getByRole('button', { name: 'Name both ways first' })).toBeDisabled();
  await page.getByLabel('One way, in a word or two').fill('think high');
  await page.getByLabel('The other way').fill('think far');
  await page.getByRole('group', { name: 'Pairs' }).getByRole('button', { name: '6' }).click();
  await page.getByLabel('What decides').selectOption('Spread of pitch');
  await page.getByRole('button', { name: 'Begin: think high or think far' }).click();
  await inPhase(page, 'armed').waitFor();
  await expect(page.getByTestId('word')).toHaveText(/^think (high|far)$/);
  await page.keyboard.press('Space');
  await expect(page.getByTestId('phrase-count')).toContainText('3 of 12', { timeout: 90_000 });
  await expect(page.getByRole('link', { name: 'What it shows' })).toBeVisible({ timeout: 300_000 });
  await page.getByRole('link', { name: 'What it shows' }).click();
  const trial = page.getByTestId('trials').getByRole('listitem').first();
  await expect(trial).toContainText('“think high” or “think far”');
  await expect(trial).toContainText('1 sitting');
  await expect(trial.locator('[data-result]')).toHaveText(/no difference shown|in nine cases of ten/);
  await expect(trial.getByRole('img', { name: /^6 pairs as lines/ })).toBeVisible();
  await trial.getByRole('button', { name: 'Delete' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(trial).toBeVisible();
});

test('an aim in own words becomes a measure with a target, and leads the sheet until it is put away', async ({
  page,
}) => {
  await firstVisit(page, 'stand-in player');
  await page.goto('/logbook/aims');
  await page.getByLabel('Take one').selectOption('Soft low notes that answer at once');
  await page.getByLabel('Where').selectOption('B 3');
  await page.getByRole('button', { name: 'Lower target' }).click();
  await page.getByLabel('By', { exact: true }).fill('2031-03-14');
  await page.getByRole('button', { name: 'Set the aim' }).click();
  const aim = page.getByTestId('aims').getByRole('listitem');
  await expect(aim).toContainText('B 3');
  await expect(aim).toContainText('Nothing of this kind was played yet.');
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByTestId('aims')).toContainText('Soft low notes that answer at once, by 14 March');
  await expect(
    page.getByTestId('sheet').getByRole('listitem').filter({ hasText: 'Toward your aim' }),
  ).not.toHaveCount(0);
  await page.goto('/logbook/aims');
  await aim.getByRole('button', { name: 'Put it away' }).click();
  await expect(aim).toContainText('put away on');
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByTestId('sheet')).toBeVisible();
  await expect(page.getByTestId('aims')).toHaveCount(0);
});

test.describe('beside each other', () => {
  test.use({ baseURL: `http://127.0.0.1:${DEMO_PORT}` });

  test('two takes by ear, another player brought in, and a day as a page that opens from disk without a network', async ({
    page,
    browser,
  }, info) => {
    await page.goto('/takes/demo-scene-0?over=demo-scene-1');
    const listen = page.getByTestId('compare-listen');
    await listen.getByRole('button', { name: 'Hear this take' }).click({ timeout: 60_000 });
    await expect(listen.getByRole('status')).toContainText('Sounds: this take, at the same loudness.');
    await listen.getByRole('button', { name: 'Change over' }).click();
    await expect(listen.getByRole('status')).toContainText('Sounds: the other one');
    await listen.getByRole('button', { name: 'One of them, unnamed' }).click();
    await listen.getByRole('button', { name: 'the other one', exact: true }).click();
    await expect(listen.getByRole('status')).toHaveText(/./);
    await expect(page.getByTestId('colour')).toContainText(/Brightness: \d/);

    await page.goto('/takes');
    await page.getByText('Bring in recordings').click();
    await page.getByRole('button', { name: 'another player' }).click();
    const door = page.locator('input[type="file"]');
    await door.setInputFiles({ name: 'song.mp3', mimeType: 'audio/mpeg', buffer: Buffer.from('no sound') });
    await expect(page.getByTestId('bring-in')).toContainText('the browser cannot read that sound');
    await door.setInputFiles(SOUNDS.faultySwell);
    await expect(page.getByTestId('bring-in')).toContainText('1 take brought in', {
      timeout: 30_000,
    });
    await page.goto('/takes/demo-scene-0');
    const over = page.getByLabel('Lay another take over it');
    const other = await over.getByRole('option', { name: /Another player/ }).getAttribute('value');
    await over.selectOption(other);
    await expect(page.getByTestId('colour')).toContainText('Air in the tone');

    await page.goto('/logbook');
    await page
      .getByTestId('ink')
      .getByRole('link', { name: / takes?$/ })
      .last()
      .click();
    await page.getByTestId('day-takes').waitFor();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: 'with its sound' }).click();
    const file = info.outputPath('report.html');
    await (await download).saveAs(file);
    const away = await browser.newContext({ offline: true });
    const report = await away.newPage();
    const asked: string[] = [];
    const said: string[] = [];
    report.on('request', (request) => asked.push(request.url()));
    report.on('console', (message) => said.push(message.text()));
    await report.goto(`file://${file}`);
    await expect(report.getByRole('heading', { level: 1 })).toContainText(/\d{4}/);
    await expect(report.locator('article svg').first()).toBeVisible();
    const sound = report.locator('audio').first();
    await sound.evaluate((audio: HTMLAudioElement) => audio.load());
    await expect.poll(() => sound.evaluate((audio: HTMLAudioElement) => audio.duration)).toBeGreaterThan(3);
    expect(asked.filter((url) => !/^(file|data):/.test(url))).toEqual([]);
    expect(said).toEqual([]);
    await away.close();
  });
});
