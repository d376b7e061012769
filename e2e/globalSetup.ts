import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { chromium as chromiumType, type FullConfig } from '@playwright/test';
import { encodeWav } from '@inner-hum/core/formats';
import { chromium } from './chromium.ts';
import { playClimb, playDrone, playFaultySwell, playPairedRound, playSoftAndLoud, SOUNDS } from './sounds.ts';
import { STATES } from './states.ts';

/** Makes once what journeys share: what fake microphones play, and browsers whose first visit is over. */
export default async function globalSetup({ projects }: FullConfig): Promise<void> {
  await makeSounds();
  await makeStates(projects[0].use.baseURL ?? '');
}

async function makeSounds() {
  mkdirSync(dirname(SOUNDS.faultySwell), { recursive: true });
  const write = async (file: string, samples: Float32Array<ArrayBuffer>) =>
    writeFileSync(file, await encodeWav({ sampleRateHz: 48000, samples }, 16));
  await write(SOUNDS.faultySwell, playFaultySwell().samples);
  await write(SOUNDS.climb, playClimb().samples);
  await write(SOUNDS.pairedRound, playPairedRound().samples);
  await write(SOUNDS.drone, playDrone());
  await write(SOUNDS.silence, new Float32Array(48000 * 60));
  await write(SOUNDS.softAndLoud, playSoftAndLoud());
}

/** By the doors that a player uses: three questions, then the Case. */
async function makeStates(baseURL: string) {
  const browser = await chromiumType.launch(chromium());
  const context = await browser.newContext({ baseURL });
  const page = await context.newPage();
  const choose = async (name: string) => {
    const button = page.getByRole('button', { name, exact: true });
    if ((await button.getAttribute('aria-pressed')) !== 'true') await button.click();
    await page.getByRole('button', { name, exact: true, pressed: true }).waitFor();
  };
  const save = (path: string) => context.storageState({ path, indexedDB: true });
  await page.goto('/welcome');
  await choose('stand-in player');
  await page.getByRole('button', { name: 'Play the first swell' }).click();
  await page.locator('main[data-phase="armed"]').waitFor();
  // A beat that is seen is drawn thirty times a second, in every journey.
  await page.getByRole('button', { name: /^Beat: seen/ }).click();
  await page.getByRole('button', { name: /^Beat: off/ }).waitFor();
  await page.goto('/case');
  await choose('stand-in player');
  await save(STATES.standIn);
  await choose('quickly');
  await save(STATES.quick);
  await choose('microphone');
  await save(STATES.microphone);
  await browser.close();
}
