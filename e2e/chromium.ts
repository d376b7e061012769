import { existsSync } from 'node:fs';

const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--autoplay-policy=no-user-gesture-required',
];

/** Draws no window around the page: half the work of every page that opens. It has no sound to hear or to play. */
const SHELL = '/usr/bin/chromium-headless-shell';

/** Launch options for journeys in which nothing is heard: the same engine without its window, where Debian has it. */
export const chromiumShell = () => ({
  executablePath: existsSync(SHELL) ? SHELL : '/usr/bin/chromium',
  args: FLAGS,
});

/** Launch options for Debian's Chromium; more flags set its microphone. */
export const chromium = (...more: string[]) => ({
  executablePath: '/usr/bin/chromium',
  args: [...FLAGS, ...more],
});

/** A microphone that plays a WAV once, from the moment the app opens it. */
export const microphonePlaying = (file: string) =>
  chromium(
    '--use-fake-device-for-media-stream',
    '--use-fake-ui-for-media-stream',
    `--use-file-for-fake-audio-capture=${file}%noloop`,
  );

/** A microphone that beeps, for journeys to which what it plays is nothing. */
export const microphoneBeeping = () =>
  chromium('--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream');
