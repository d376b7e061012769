import { buildSwell, DEFAULT_SCALE } from '@inner-hum/core/exercise';
import { listenTo } from '@inner-hum/core/hearing';
import { writtenMidi } from '@inner-hum/core/horn';
import { playExercise, WARM_UP } from '@inner-hum/core/standin';
import { PitchDetector } from 'pitchy';

const SAMPLE_RATE_HZ = 48000;
const HOP_SECONDS = 0.01;
/** 43 ms: the shortest window of a power of two in which pitchy hears the alto's lowest note. */
const WINDOW = 2048;
const REPEATS = 5;

export interface AnalysisSpeed {
  /** Seconds of sound for a second of work: pitch, clarity, level, colour and breath. */
  listenerRealTime: number;
  /** The same for pitchy, which gives pitch and clarity only. */
  pitchyRealTime: number;
}

/** Middle of a few timings, in seconds of work for one second of sound. */
function cost(seconds: number, work: () => void): number {
  const times = Array.from({ length: REPEATS }, () => {
    const begun = performance.now();
    work();
    return (performance.now() - begun) / 1000 / seconds;
  });
  return times.sort((a, b) => a - b)[Math.floor(REPEATS / 2)];
}

/** Both on the same swell, in turn, in this run: machines are noisy, only the ratio travels. */
export function measureAnalysis(): AnalysisSpeed {
  const { samples } = playExercise({
    exercise: buildSwell({
      note: writtenMidi(58),
      shape: 'growFade',
      beats: 12,
      tempoBpm: 60,
      start: 'playToStart',
    }),
    hornId: 'alto',
    a4Hz: 440,
    scale: DEFAULT_SCALE,
    profile: WARM_UP,
    sampleRateHz: SAMPLE_RATE_HZ,
    seed: 1,
    leadSeconds: 0,
    tailSeconds: 0,
  });
  const seconds = samples.length / SAMPLE_RATE_HZ;
  const pitchy = PitchDetector.forFloat32Array(WINDOW);
  const hop = Math.round(HOP_SECONDS * SAMPLE_RATE_HZ);
  const byPitchy = () => {
    for (let n = 0; n + WINDOW <= samples.length; n += hop)
      pitchy.findPitch(samples.subarray(n, n + WINDOW), SAMPLE_RATE_HZ);
  };
  const byListener = () => void listenTo(samples, SAMPLE_RATE_HZ);
  byPitchy();
  byListener();
  return {
    pitchyRealTime: 1 / cost(seconds, byPitchy),
    listenerRealTime: 1 / cost(seconds, byListener),
  };
}
