import { expect, demoTest as test, visit } from '../../browser.ts';
import { encodeWav } from '@inner-hum/core/formats';
import { playFaultySwell } from '../../sounds.ts';

test('two takes by ear, another player brought in, and a day as a page that opens from disk without a network', async ({
  page,
  browser,
}, info) => {
  await visit(page, '/takes/demo-scene-0?over=demo-scene-1');
  const listen = page.getByTestId('compare-listen');
  await listen.getByRole('button', { name: 'Play this take' }).click({ timeout: 60_000 });
  await expect(listen.getByRole('status')).toContainText('Playing: this take, at the same loudness.');
  await listen.getByRole('button', { name: 'Switch' }).click();
  await expect(listen.getByRole('status')).toContainText('Playing: the other one');
  // What has ended is gone on with from the beginning of the one not heard last.
  await listen.getByRole('button', { name: 'Stop' }).click();
  await expect(listen.getByRole('status')).not.toContainText('Playing');
  await listen.getByRole('button', { name: 'Switch' }).click();
  await expect(listen.getByRole('status')).toContainText('Playing: this take');
  await listen.getByRole('button', { name: 'Play one of them without its name' }).click();
  await listen.getByRole('button', { name: 'the other one', exact: true }).click();
  await expect(listen.getByRole('status')).toHaveText(/./);
  await expect(page.getByTestId('colour')).toContainText(/Brightness: \d/);

  await visit(page, '/takes');
  await page.getByText('Import recordings').click();
  await page.getByRole('radio', { name: 'another player' }).click();
  const door = page.locator('input[type="file"]');
  await door.setInputFiles({ name: 'song.mp3', mimeType: 'audio/mpeg', buffer: Buffer.from('no sound') });
  await expect(page.getByTestId('bring-in')).toContainText('the browser cannot read this audio');
  const { samples, sampleRateHz } = playFaultySwell();
  const wav = await encodeWav({ samples, sampleRateHz }, 16);
  await door.setInputFiles({ name: 'another.wav', mimeType: 'audio/wav', buffer: Buffer.from(wav) });
  await expect(page.getByTestId('bring-in')).toContainText('1 take imported', {
    timeout: 30_000,
  });
  await visit(page, '/takes/demo-scene-0');
  const over = page.getByLabel('Compare with another take');
  const other = await over.getByRole('option', { name: /Another player/ }).getAttribute('value');
  await over.selectOption(other);
  await expect(page.getByTestId('colour')).toContainText('Air in the tone');

  await visit(page, '/logbook');
  await page
    .getByTestId('ink')
    .getByRole('link', { name: / takes?$/ })
    .last()
    .click();
  await page.getByTestId('day-takes').waitFor();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'with audio' }).click();
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
