import { join } from 'node:path';
import { buildSwell, DEFAULT_SCALE } from '@inner-hum/core/exercise';
import { writtenMidi } from '@inner-hum/core/horn';
import { playExercise, playPhrase, STEADY_HAND } from '@inner-hum/core/standin';

const folder = join(import.meta.dirname, '.sounds');

export const SOUNDS = {
  faultySwell: join(folder, 'faulty-swell.wav'),
  silence: join(folder, 'silence.wav'),
  softAndLoud: join(folder, 'soft-and-loud.wav'),
};

/** Time for the page to open the microphone and make the exercise ready before the note comes. */
const LEAD_SECONDS = 4;

/** 18 cents flat at the loud end, one stair, peak half a beat late, a jump to partial 2 six seconds in. */
export function playFaultySwell() {
  return playExercise({
    exercise: buildSwell({
      note: writtenMidi(67),
      shape: 'growFade',
      beats: 8,
      tempoBpm: 60,
      start: 'playToStart',
    }),
    hornId: 'alto',
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    profile: {
      ...STEADY_HAND,
      breathDbSoft: -24,
      breathDbLoud: -34,
      tendencyCents: -10.2,
      bendCentsPer10Db: -9,
      peakLateBeats: 0.5,
      stairs: [{ atBeat: 1.5, holdSeconds: 1 }],
      jumps: [{ atSeconds: 6, lengthSeconds: 0.5, toPartial: 2 }],
    },
    sampleRateHz: 48000,
    seed: 33,
    leadSeconds: LEAD_SECONDS,
    tailSeconds: 1,
  });
}

/** A quiet room, B4 held at -44 dBFS, a rest, B4 at -18 dBFS: what calibration asks for. */
export function playSoftAndLoud() {
  const held = (levelDb: number, leadSeconds: number, tailSeconds: number) => ({
    soundingHz: 440 * 2 ** ((71 - 9 - 69) / 12),
    partial: 1,
    lengthSeconds: 2.5,
    secondsPerBeat: 1,
    levelDbAtBeat: () => levelDb,
    turnBeat: null,
    scale: DEFAULT_SCALE,
    profile: STEADY_HAND,
    sampleRateHz: 48000,
    seed: 8,
    leadSeconds,
    tailSeconds,
  });
  return playPhrase([held(-44, 6, 2), held(-18, 1, 3)]);
}
