import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { test as setup } from '@playwright/test';
import { encodeWav } from '@inner-hum/core/formats';
import {
  playAirAndNote,
  playClimb,
  playDrone,
  playFaultySwell,
  playHearing,
  playInOwnTime,
  playLick,
  playLoudDescent,
  playPairedRound,
  playSoftAndLoud,
  SOUNDS,
} from '../sounds.ts';

setup('what the fake microphones play', async () => {
  mkdirSync(dirname(SOUNDS.faultySwell), { recursive: true });
  const write = async (file: string, samples: Float32Array<ArrayBuffer>) =>
    writeFileSync(file, await encodeWav({ sampleRateHz: 48000, samples }, 16));
  await write(SOUNDS.faultySwell, playFaultySwell().samples);
  await write(SOUNDS.climb, playClimb().samples);
  await write(SOUNDS.pairedRound, playPairedRound().samples);
  await write(SOUNDS.drone, playDrone());
  await write(SOUNDS.silence, new Float32Array(48000 * 60));
  await write(SOUNDS.softAndLoud, playSoftAndLoud());
  await write(SOUNDS.loudDescent, playLoudDescent().samples);
  await write(SOUNDS.lick, playLick().samples);
  await write(SOUNDS.hearing, playHearing());
  await write(SOUNDS.airAndNote, playAirAndNote().samples);
  const own = (...of: Parameters<typeof playInOwnTime>) => playInOwnTime(...of).samples;
  await write(SOUNDS.ownCascade, own('overtoneCascade', { note: 65, to: 65, tempoBpm: 90 }, [5, 4]));
  await write(SOUNDS.ownClimb, own('overtoneClimb', { partial: 3, tempoBpm: 120 }, [4, 4, 4, 4, 4]));
  await write(SOUNDS.ownBreak, own('breakDrill', { tempoBpm: 120 }, [6, 9]));
  await write(SOUNDS.ownWidening, own('wideningUp', { note: 65, start: 'ownTime' }, [6.5, 3]));
});
