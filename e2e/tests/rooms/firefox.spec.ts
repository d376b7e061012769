import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { FIREFOX, openFirefox, type Firefox } from '../../firefox.ts';

// Another browser's engine: the first visit, a judged swell, its take, the map, and everything out and in again.

test.skip(!existsSync(FIREFOX), 'Firefox is not installed here');

/** Presses what is called so: a link, a button, or what a label belongs to. */
const press = (firefox: Firefox, name: string) =>
  firefox.until((wanted: string) => {
    const all = [...document.querySelectorAll<HTMLElement>('a, button, label, summary')];
    const found = all.find((each) => each.innerText.trim() === wanted && each.offsetParent !== null);
    found?.click();
    return found !== undefined;
  }, name);
const reads = (firefox: Firefox, text: string) =>
  firefox.until((wanted: string) => document.body.innerText.includes(wanted), text);
const inPhase = (firefox: Firefox, phase: string) =>
  firefox.until(
    (wanted: string) => document.querySelector(`main[data-phase="${wanted}"]`) !== null,
    phase,
    60_000,
  );

test('Firefox: a first visit leads to a judged swell, its take, the map, and an archive out and in', async ({
  baseURL,
}) => {
  const firefox = await openFirefox();
  try {
    await firefox.goto(`${baseURL}/`);
    await press(firefox, 'simulated player');
    await press(firefox, 'Play the first swell');
    await inPhase(firefox, 'armed');
    // Without a sound card its clock of sound stands still; the quick simulated player has a clock of its own.
    await firefox.goto(`${baseURL}/case`);
    await press(firefox, 'quickly');
    await firefox.until(
      () =>
        [...document.querySelectorAll('label')].some(
          (label) => label.innerText.trim() === 'quickly' && label.querySelector('input')?.checked === true,
        ),
      null,
    );
    await firefox.goto(`${baseURL}/stand/swell?note=67&beats=4`);
    await inPhase(firefox, 'armed');
    await firefox.press(' ');
    await inPhase(firefox, 'resting');
    await reads(firefox, 'dB from pp to ff');
    await press(firefox, 'Details');
    await reads(firefox, 'In words');
    // Its last part stands: a page that is left while its code is still fetched rightly says that it was not.
    await firefox.until(() => document.querySelector('.recharts-surface') !== null, null);
    await firefox.goto(`${baseURL}/map`);
    await reads(firefox, 'Where is my tone uneven?');
    await firefox.goto(`${baseURL}/case/keeping`);
    await press(firefox, 'Export');
    await reads(firefox, '1 take exported');
    const archive = () => readdirSync(firefox.downloads).find((name) => name.endsWith('.zip'));
    await expect.poll(archive).toBeDefined();
    await firefox.setFiles('input[type=file]', [join(firefox.downloads, archive() ?? '')]);
    await press(firefox, 'Add to what is here');
    await reads(firefox, '1 was here already');
    expect(firefox.errors).toEqual([]);
  } finally {
    await firefox.close();
  }
});
