import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { encodeWav } from '@inner-hum/core/formats';
import { playClimb, playDrone, playFaultySwell, playPairedRound, playSoftAndLoud, SOUNDS } from './sounds.ts';

/** Writes what the fake microphones of the journeys will play. */
export default async function makeSounds(): Promise<void> {
  mkdirSync(dirname(SOUNDS.faultySwell), { recursive: true });
  writeFileSync(SOUNDS.faultySwell, await encodeWav(playFaultySwell(), 16));
  writeFileSync(SOUNDS.drone, await encodeWav({ sampleRateHz: 48000, samples: playDrone() }, 16));
  writeFileSync(SOUNDS.climb, await encodeWav(playClimb(), 16));
  writeFileSync(SOUNDS.pairedRound, await encodeWav(playPairedRound(), 16));
  writeFileSync(
    SOUNDS.silence,
    await encodeWav({ sampleRateHz: 48000, samples: new Float32Array(48000 * 60) }, 16),
  );
  writeFileSync(SOUNDS.softAndLoud, await encodeWav({ sampleRateHz: 48000, samples: playSoftAndLoud() }, 16));
}
