import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';

const PATH = '/microphone-of-the-journey.wav';

/**
 * Puts a sound into the app's microphone without losing a sample. The browser's own fake device runs on a thread that loses
 * sound whenever the machine halts (holes of half a second were seen), and a judge of milliseconds then rightly judges the
 * hole. Here the microphone is still opened, asked and closed as it is; what the audio clock reads from it is the file.
 */
export async function hearFile(page: Page, file: string): Promise<void> {
  await page.route(`**${PATH}`, (route) =>
    route.fulfill({ body: readFileSync(file), contentType: 'audio/wav' }),
  );
  await page.addInitScript((path) => {
    AudioContext.prototype.createMediaStreamSource = function (this: AudioContext) {
      const heard = this.createGain();
      void fetch(path)
        .then((response) => response.arrayBuffer())
        .then((bytes) => this.decodeAudioData(bytes))
        .then((buffer) => {
          const player = this.createBufferSource();
          player.buffer = buffer;
          player.connect(heard);
          player.start();
        });
      return heard as unknown as MediaStreamAudioSourceNode;
    };
  }, PATH);
}
