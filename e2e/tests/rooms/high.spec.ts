import { readFileSync } from 'node:fs';
import { begin, expect, inPhase, playOut, STATES, test, visit } from '../../browser.ts';

test('two fingerings of a high note tried, the better one settled on, shown on the Stand, printed and saved', async ({
  page,
}) => {
  await visit(page, '/high');
  await expect(page.getByTestId('high-state')).toHaveText('Start here; yours will differ.');
  await page.getByRole('link', { name: 'Does it speak?' }).click();
  await expect(page).toHaveURL(/highTries.*keys=oct\.L1\.L3\.R1\.sideBb/);
  await expect(page.getByText(/^Throat: do not squeeze it/)).toBeVisible();
  await page.getByRole('button', { name: 'OK' }).click();
  for (const keys of ['oct.L1.L3.R1.sideBb', 'oct.L2']) {
    await visit(page, `/stand/drill/highTries?note=91&keys=${keys}&tries=8&tempoBpm=180`);
    await playOut(page);
  }
  await page.getByRole('link', { name: 'leave' }).click();
  await expect(page).toHaveURL(/\/high\?note=91&keys=oct\.L2$/);
  await expect(page.getByTestId('high-figures')).toContainText(/\d of 8 tries \(\d+ to \d+ %\)/);
  await expect(page.getByTestId('high-told')).toHaveText('Another one you tried speaks more often.');
  await page.getByRole('button', { name: /^octave key, left 1, left 3.*spoke \d of 8/ }).click();
  await expect(page.getByTestId('high-told')).toHaveText(
    'It speaks more often than every other one you tried.',
  );
  await page.getByRole('button', { name: 'Choose this one' }).click();
  await expect(page.getByTestId('high-state')).toHaveText('Your choice.');

  // Another fingering by pressing keys in the picture; on the chart, off it, and back.
  await page.getByRole('checkbox', { name: 'right 2' }).click();
  await expect(page.getByTestId('high-state')).toHaveText('Not on your chart yet.');
  await page.getByRole('button', { name: 'Add to the chart' }).click();
  await expect(page.getByTestId('high-state')).toHaveText('On your chart.');
  await page.getByRole('button', { name: 'Remove from the chart' }).click();
  await expect(page.getByTestId('high-state')).toHaveText('Not on your chart yet.');
  await page.getByRole('button', { name: 'Restore removed fingerings' }).click();
  await expect(page.getByTestId('high-state')).toHaveText('On your chart.');

  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export as CSV' }).click();
  const text = readFileSync(await (await saved).path(), 'utf8');
  expect(text.split('\r\n')[0]).toContain('writtenMidi,note,keys,preferred,tries,spoke,speakRatePercent');
  expect(text).toMatch(/91,G6,oct L1 L3 R1 sideBb,true,8,/);
  await page.getByRole('link', { name: 'Print the chart' }).click();
  await expect(page.getByTestId('high-sheet')).toContainText(/spoke \d of 8/);

  // Any exercise that holds the note now shows the keys the player settled on; the cautions of today are read.
  await visit(page, '/stand/drill/highSwell?note=91');
  await inPhase(page, 'armed').waitFor();
  await expect(page.getByText(/^Throat: do not squeeze it/)).toHaveCount(0);
  await expect(
    page.getByTestId('fingered').getByRole('img', { name: /left 1, left 3, right 1, side B flat/ }),
  ).toBeVisible();
});

test.describe('in real time', () => {
  test.use({ storageState: STATES.standIn });

  test('full to subtone and back, seen on the bench against its window, which can be moved', async ({
    page,
  }) => {
    await visit(page, '/ladder');
    await page.getByRole('link', { name: 'Subtone' }).click();
    await page.getByRole('button', { name: 'D 4: 0 of 0' }).click();
    await expect(page.getByRole('link', { name: 'Full, subtone, and back' })).toHaveAttribute(
      'href',
      /note=62/,
    );
    await page.getByRole('link', { name: 'Full, subtone, and back' }).click();
    await expect(page).toHaveURL(/fullToSubtone.*note=62/);
    await visit(page, '/stand/drill/fullToSubtone?note=62&to=62&tempoBpm=120');
    await begin(page);
    // Seen while it is asked for, however short that is.
    await page.getByTestId('tone').getByText('subtone', { exact: true }).waitFor();
    await inPhase(page, 'resting').waitFor({ timeout: 90_000 });
    await page.getByRole('link', { name: 'leave' }).click();
    await expect(page).toHaveURL(/\/ladder\/subtone\?note=62/);
    await expect(page.getByTestId('subtone-last')).toHaveText(
      /^A subtone: \d+ dB airier, \d+ dB softer, \d+ % as bright\./,
    );
    await expect(page.getByRole('img', { name: /D 4 against its full tone: 1 of 1/ })).toBeVisible();
    await page.getByText('What counts as a subtone').click();
    const airier = page.getByRole('spinbutton', { name: 'Airier by at least' });
    await expect(airier).toHaveValue('6');
    await page.getByRole('button', { name: 'Airier by at least: more' }).click();
    await expect(airier).toHaveValue('7');
    await page.getByRole('button', { name: 'as usual' }).click();
    await expect(airier).toHaveValue('6');
  });
});
