import { begin, expect, inPhase, test, visit } from '../../browser.ts';

/** Plays what is on the Stand to its end. */
async function playRound(page: import('@playwright/test').Page, phrases: number) {
  await begin(page);
  await expect(page.getByTestId('phrase-count')).toHaveText(`${phrases} of ${phrases}`, { timeout: 60_000 });
  await inPhase(page, 'resting').waitFor({ timeout: 90_000 });
}

test('a chart run fills the map: the note opens, the rest is asked for, another mouthpiece has a map of its own', async ({
  page,
}) => {
  await visit(page, '/map');
  await expect(page.getByText('Play anything that is judged')).toBeVisible();
  await expect(page.getByRole('button', { name: 'G 4: not heard yet' })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Chart run, \d+ minutes$/ })).toHaveAttribute(
    'href',
    /chartRun\?notes=\d+(\.\d+){20}/,
  );
  await visit(page, '/stand/drill/chartRun?notes=67.69.71.74&tempoBpm=200');
  await playRound(page, 4);
  await page.getByRole('link', { name: 'leave' }).click();
  await expect(page).toHaveURL(/\/map$/);
  const note = page.getByRole('button', {
    name: /^G 4: .* when soft, .* at medium within \d+ cents, .* when loud$/,
  });
  await note.click();
  await expect(page).toHaveURL(/note=67/);
  await expect(page.getByTestId('note-panel')).toContainText(/at medium \(±\d+\).*from 1 day\./);
  await note.press('ArrowRight');
  await expect(page.locator('[data-note="68"]')).toBeFocused();
  await page.getByTestId('note-takes').getByRole('link').first().click();
  await expect(page).toHaveURL(/\/takes\//);
  await page.goBack();
  await page.getByRole('button', { name: 'Back to the whole map' }).click();
  // What is known is not asked for again; sounding notes stand a sixth lower on the alto.
  await expect(page.getByRole('link', { name: /^Chart run/ })).not.toHaveAttribute('href', /\b71\b/);
  await page.getByRole('radio', { name: 'sounding' }).click();
  await expect(page.getByRole('button', { name: /^B flat 3: .* when soft/ })).toBeVisible();
  await page.getByRole('radio', { name: 'written', exact: true }).click();
  await page.getByText('The map as a table').click();
  await expect(page.getByRole('row', { name: /G 4/ })).toContainText('±');

  await expect(page.getByTestId('evenness')).toHaveText('');
  await visit(page, '/case');
  await page.getByRole('button', { name: 'Another mouthpiece' }).click();
  await page.getByLabel('What is the other one called').fill('the open one');
  await page.getByLabel('What is the other one called').press('Enter');
  await expect(page.getByLabel('Mouthpiece on the horn')).toBeVisible();
  await visit(page, '/map');
  await expect(page.getByText('Play anything that is judged')).toBeVisible();
  // A new set-up begins a new map, the one before it as its background until something else is chosen.
  await expect(page.getByLabel('Compare with')).toHaveValue('alto.first|');
  await page.getByLabel('Compare with').selectOption('nothing');
  await expect(page).toHaveURL(/over=nothing/);
});

test('the mouthpiece moved and measured: three notes, three notes again, this horn’s own millimetre', async ({
  page,
}) => {
  await visit(page, '/map/mouthpiece');
  await expect(page.getByTestId('advice')).toHaveText(/Too few notes are known/);
  await expect(page.getByText(/An estimate from the length of the tubes/)).toBeVisible();
  await expect(page.getByText(/Play for 4 more minutes first/)).toBeVisible();
  await page.getByRole('link', { name: 'Move the mouthpiece' }).click();
  await expect(page.getByRole('spinbutton', { name: 'Pulled out by' })).toHaveValue('1');
  await visit(page, '/stand/drill/mouthpieceMove?pull=30&tempoBpm=150');
  await begin(page);
  await expect(page.getByTestId('phrase-count')).toHaveText('2 of 2', { timeout: 40_000 });
  await inPhase(page, 'paused').waitFor({ timeout: 20_000 });
  await page.keyboard.press('Space');
  await inPhase(page, 'resting').waitFor({ timeout: 40_000 });
  await page.getByRole('link', { name: 'leave' }).click();
  await expect(page).toHaveURL(/\/map\/mouthpiece/);
  await expect(
    page.getByText(/Measured on .* by moving it 3\.0 mm: your horn follows with \d+ %/),
  ).toBeVisible();
  await expect(page.getByTestId('retested')).toContainText(/moved \d+\.\d cents/);
});
