import { columnValue, listenTo } from '@inner-hum/core/hearing';
import { PitchDetector } from 'pitchy';
import { HOP_SECONDS, type PitchAt } from './score.ts';

/** Something that hears pitch: asked every 10 ms, the frame's time being the middle of what was looked at. */
export interface Ear {
  name: string;
  /** Hears the whole sound; the work is done in here. */
  listen(samples: Float32Array, sampleRateHz: number): PitchAt;
}

/** 43 ms at 48 kHz: the shortest window of a power of two in which these methods hear the baritone's lowest notes. */
export const PEER_WINDOW = 2048;

export const OURS: Ear = {
  name: 'Inner Hum',
  listen(samples, sampleRateHz) {
    const { columns } = listenTo(samples, sampleRateHz);
    return (frame) => columnValue(columns.f0Hz, frame);
  },
};

/** An ear that is given one window at a time; null where it hears nothing. */
export function windowEar(
  name: string,
  detector: (sampleRateHz: number) => (window: Float32Array) => number | null,
): Ear {
  return {
    name,
    listen(samples, sampleRateHz) {
      const detect = detector(sampleRateHz);
      const frames = Math.floor(samples.length / sampleRateHz / HOP_SECONDS);
      const heard = Array.from({ length: frames }, (_, frame) => {
        const start = Math.round(frame * HOP_SECONDS * sampleRateHz) - PEER_WINDOW / 2;
        const whole = start >= 0 && start + PEER_WINDOW <= samples.length;
        return whole ? detect(samples.subarray(start, start + PEER_WINDOW)) : null;
      });
      return (frame) => heard[frame] ?? null;
    },
  };
}

const LOWEST_HZ = 40;
export const HIGHEST_HZ = 3000;

/** A pitch within the range of the horns, from an ear that says how sure it is. */
export function trusted(hz: number, sureness: number, least: number): number | null {
  return sureness >= least && hz > LOWEST_HZ && hz < HIGHEST_HZ ? hz : null;
}

export const PITCHY: Ear = windowEar('pitchy', (sampleRateHz) => {
  const detector = PitchDetector.forFloat32Array(PEER_WINDOW);
  return (window) => trusted(...detector.findPitch(window, sampleRateHz), 0.8);
});
