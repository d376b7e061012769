import { expect, inPhase, NOBODY, test, visit } from '../../browser.ts';

test.use({ storageState: NOBODY });

/** Each screen in another language, as a device would ask for it. */
const VISITS = [
  {
    screen: 'a desk',
    size: { width: 1280, height: 800 },
    locale: 'en-GB',
    horn: 'tenor',
    standIn: 'simulated player',
    begin: 'Play the first swell',
    closer: 'Details',
    told: 'In words',
    saying: /G 4, pp – .* long\. It began .* at p/,
    rooms: ['Today', 'Ladder', 'Case'],
  },
  {
    screen: 'a tablet upright',
    size: { width: 768, height: 1024 },
    locale: 'de-AT',
    horn: 'Bariton (tiefes A)',
    standIn: 'simulierter Spieler',
    begin: 'Den ersten Schwellton spielen',
    closer: 'Einzelheiten',
    told: 'In Worten',
    saying: /G 4, pp – .* \d,\d s lang\. Der Ton begann .* bei p/,
    rooms: ['Heute', 'Leiter', 'Koffer'],
  },
  {
    screen: 'a phone',
    size: { width: 390, height: 844 },
    locale: 'it-IT',
    horn: 'soprano',
    standIn: 'esecutore simulato',
    begin: 'Suona la prima messa di voce',
    closer: 'Dettagli',
    told: 'A parole',
    saying: /Sol 4, pp – .* \d,\d s in tutto\. È cominciata .* a p/,
    rooms: ['Oggi', 'Leggio', 'Registrazioni'],
  },
];

for (const { screen, size, locale, horn, standIn, begin, closer, told, saying, rooms } of VISITS)
  test.describe(`on ${screen}, ${locale}`, () => {
    test.use({ hasOwnBrowser: true, viewport: size, locale });

    test('a first visit leads to a judged take, and from there into the rooms', async ({ page }) => {
      const inWidth = async () =>
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(
          size.width,
        );
      await page.goto('/');
      await inWidth();
      await page.getByRole('radio', { name: horn, exact: true }).click();
      await page.getByRole('radio', { name: standIn }).click();
      await page.getByRole('button', { name: begin }).click();
      await inPhase(page, 'armed').waitFor();
      await inWidth();
      await page.keyboard.press('Space');
      await inPhase(page, 'resting').waitFor({ timeout: 40_000 });
      await inWidth();
      await page.getByRole('link', { name: closer }).click();
      await page.getByText(told).click();
      await expect(page.getByTestId('told')).toContainText(saying);
      await expect(page.locator('html')).toHaveAttribute('lang', locale.slice(0, 2));
      for (const room of rooms) {
        await page.getByRole('link', { name: room, exact: true }).first().click();
        await page.getByRole('main').waitFor();
        await inWidth();
      }
    });
  });

test('the language is the player’s to choose, and note names stay as they were chosen', async ({ page }) => {
  await page.goto('/welcome');
  await page.getByRole('radio', { name: 'Deutsch' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Ein Ton, von leise zu laut und zurück.');
  await page.getByRole('button', { name: 'Den ersten Schwellton spielen' }).click();
  await visit(page, '/case');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Koffer');
  await page.getByRole('radio', { name: 'Italiano' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Custodia');
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Custodia');
  await visit(page, '/stand/swell?note=71');
  // The German H, chosen with the first language.
  await expect(page.getByRole('main')).toContainText('H');
  await visit(page, '/words#partial');
  await expect(page.locator('#partial')).toBeFocused();
  await expect(page.locator('#partial')).toContainText('Parziale');
});
