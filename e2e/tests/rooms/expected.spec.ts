import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { demoTest, expect, STATES, test, visit } from '../../browser.ts';

/** Drops files on the page, as a hand would that carries them from the system's own window. */
async function drop(page: Page, files: { name: string; type: string; bytes: Buffer }[]): Promise<void> {
  const transfer = await page.evaluateHandle(
    (given) => {
      const carried = new DataTransfer();
      for (const { name, type, base64 } of given)
        carried.items.add(
          new File([Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0))], name, { type }),
        );
      return carried;
    },
    files.map(({ name, type, bytes }) => ({ name, type, base64: bytes.toString('base64') })),
  );
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.locator('body').dispatchEvent('dragover', { dataTransfer: transfer });
  await expect(page.getByText('Drop it: exercises', { exact: false })).toBeVisible();
  await page.locator('body').dispatchEvent('drop', { dataTransfer: transfer });
}

/** A tone of three seconds between two of silence, as a recorder would store it. */
function toneWav(seconds: number): Buffer {
  const rateHz = 44100;
  const samples = Array.from({ length: (seconds + 4) * rateHz }, (_, i) => {
    const at = i / rateHz - 2;
    if (at < 0 || at > seconds) return 0;
    return [1, 2, 3, 4].reduce((sum, n) => sum + Math.sin(2 * Math.PI * 261.6 * n * at) / n, 0);
  });
  const wav = Buffer.alloc(44 + 2 * samples.length);
  wav.write('RIFF', 0);
  wav.writeUInt32LE(36 + 2 * samples.length, 4);
  wav.write('WAVEfmt ', 8);
  wav.writeUInt32LE(16, 16);
  wav.writeUInt16LE(1, 20);
  wav.writeUInt16LE(1, 22);
  wav.writeUInt32LE(rateHz, 24);
  wav.writeUInt32LE(2 * rateHz, 28);
  wav.writeUInt16LE(2, 32);
  wav.writeUInt16LE(16, 34);
  wav.write('data', 36);
  wav.writeUInt32LE(2 * samples.length, 40);
  samples.forEach((sample, i) => wav.writeInt16LE(Math.round(8000 * sample), 44 + 2 * i));
  return wav;
}

test.use({ storageState: STATES.quick });

test('files dropped anywhere go to the room that takes them: an exercise, a score, a recording, an archive', async ({
  page,
}) => {
  await visit(page, '/shelf/family/swell');
  await page.getByRole('button', { name: 'Make a copy of my own' }).click();
  await page.getByLabel('What the exercise is called').waitFor();
  await visit(page, '/shelf');
  const [exercise] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export your own' }).click(),
  ]);
  await visit(page, '/logbook');
  await drop(page, [
    { name: 'given.json', type: 'application/json', bytes: readFileSync(await exercise.path()) },
  ]);
  await expect(page).toHaveURL(/\/shelf$/);
  await expect(page.getByText('1 exercise imported', { exact: false })).toBeVisible();

  const score = `<?xml version="1.0"?><score-partwise version="4.0"><part-list><score-part id="P1"><part-name>Alto</part-name></score-part></part-list><part id="P1"><measure number="1"><attributes><divisions>1</divisions><time><beats>4</beats><beat-type>4</beat-type></time></attributes><note><pitch><step>G</step><octave>4</octave></pitch><duration>4</duration></note></measure></part></score-partwise>`;
  await visit(page, '/today');
  await drop(page, [{ name: 'line.musicxml', type: '', bytes: Buffer.from(score) }]);
  await expect(page).toHaveURL(/\/shelf$/);
  await expect(page.getByText('Make an exercise')).toBeVisible();

  await visit(page, '/map');
  await drop(page, [
    {
      name: 'memo.wav',
      type: 'audio/wav',
      bytes: toneWav(3),
    },
  ]);
  await expect(page).toHaveURL(/\/takes$/);
  await expect(page.getByTestId('bring-in').getByText('1 take imported', { exact: false })).toBeVisible();

  await visit(page, '/case/keeping');
  const [archive] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export', exact: true }).click(),
  ]);
  await visit(page, '/words');
  await drop(page, [{ name: 'inner-hum.zip', type: '', bytes: readFileSync(await archive.path()) }]);
  await expect(page).toHaveURL(/\/case\/keeping$/);
  await expect(page.getByRole('button', { name: 'Add to what is here' })).toBeVisible();

  await drop(page, [{ name: 'photo.jpg', type: 'image/jpeg', bytes: Buffer.from('no picture') }]);
  await expect(page.getByText('Inner Hum cannot use this file', { exact: false })).toBeVisible();
});

test('the keys of a room are shown by one of them, and escape closes them before it leaves the room', async ({
  page,
}) => {
  await visit(page, '/stand/swell');
  await page.locator('main[data-phase="armed"]').waitFor();
  await page.keyboard.press('?');
  const keys = page.getByRole('dialog', { name: 'Keys of this room' });
  await expect(keys).toContainText('start, end the take, or continue');
  await expect(keys).toContainText('Tap the tempo');
  // Cautions once read are found again here.
  await expect(keys).toContainText('Throat');
  await page.keyboard.press('Escape');
  await expect(keys).toHaveCount(0);
  await expect(page).toHaveURL(/\/stand\/swell/);
  await visit(page, '/shelf');
  await page.getByRole('heading', { level: 1 }).waitFor();
  await page.keyboard.press('?');
  await expect(keys).toContainText('search everything');
  await page.keyboard.press('?');
  await expect(keys).toHaveCount(0);
});

test('what was deleted can be brought back for ten seconds, and no longer', async ({ page }) => {
  await page.clock.install();
  const remove = async () => {
    await visit(page, '/shelf/family/swell');
    await page.getByRole('button', { name: 'Make a copy of my own' }).click();
    await page.getByRole('button', { name: 'Delete', exact: true }).click();
    await expect(page).toHaveURL(/\/shelf$/);
  };
  await remove();
  const undo = page.getByRole('button', { name: 'Undo' });
  await page.clock.fastForward(8000);
  await undo.click();
  await expect(page.getByText('Single swell').nth(1)).toBeVisible();
  await remove();
  await expect(undo).toBeVisible();
  await page.clock.fastForward(11_000);
  await expect(undo).toBeHidden();
});

demoTest('each time anew: what is deleted after another undo has run out', async ({ page }) => {
  await page.clock.install();
  await visit(page, '/logbook/trials');
  const remove = page.getByTestId('trials').getByRole('button', { name: 'Delete', exact: true });
  const undo = page.getByRole('button', { name: 'Undo' });
  await remove.first().waitFor();
  const before = await remove.count();
  await remove.first().click();
  await expect(undo).toBeVisible();
  await page.clock.fastForward(11_000);
  await expect(undo).toBeHidden();
  await remove.first().click();
  await undo.click();
  await expect(remove).toHaveCount(before - 1);
});

demoTest(
  'what can be shared goes to the system where the system can, and else to the downloads',
  async ({ page }) => {
    await page.addInitScript(() => {
      const shared: string[] = [];
      Object.assign(window, { shared });
      navigator.canShare = () => true;
      navigator.share = (data) => {
        shared.push(...(data?.files ?? []).map(({ name, size }) => `${name} ${size > 1000}`));
        return Promise.resolve();
      };
    });
    await page.goto('/map');
    await page.getByRole('button', { name: 'Share' }).click();
    await expect
      .poll(() => page.evaluate(() => (window as unknown as { shared: string[] }).shared))
      .toEqual([expect.stringMatching(/\.html true$/)]);
  },
);

demoTest('in the colours that the system forces, the map is drawn in them', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await visit(page, '/map');
  await page.getByRole('button', { name: /^G 4/ }).first().waitFor();
  const colours = await page.evaluate(() => {
    const probe = document.body.appendChild(document.createElement('span'));
    probe.style.color = 'CanvasText';
    return getComputedStyle(probe).color;
  });
  expect(await page.locator(`main svg [fill="${colours}"]`).count()).toBeGreaterThan(10);
});

demoTest('an address that no room has says so, and leads on', async ({ page }) => {
  for (const address of ['/nothing', '/stand/drill/nothing', '/shelf/family/nothing?note=60']) {
    await visit(page, address);
    await expect(page.getByRole('heading', { level: 1, name: 'There is nothing here' })).toBeVisible();
    await expect(page).toHaveTitle(/There is nothing here/);
  }
  await page.getByRole('main').getByRole('link', { name: 'Shelf' }).click();
  await expect(page).toHaveURL(/\/shelf$/);
});
