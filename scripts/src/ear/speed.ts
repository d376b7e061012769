import type { Ear } from './ears.ts';
import { quantile } from './score.ts';
import { makeTone, PLAIN_TONE } from './tone.ts';

const SAMPLE_RATE_HZ = 48000;
const SECONDS = 6;
const ROUNDS = 9;

/**
 * Processor seconds of each ear for one second of sound, and how many times as fast the first is as the second: every
 * ear in turn on the same three notes, again and again in this one run, for machines are noisy and only ratios travel.
 */
export function measureSpeed(ears: readonly Ear[]): { secondsPerSecond: number[]; ratio: number } {
  const sounds = [116.5, 233.1, 523.3].map(
    (f0Hz) =>
      makeTone({
        ...PLAIN_TONE,
        f0Hz,
        sampleRateHz: SAMPLE_RATE_HZ,
        seed: 2,
        seconds: SECONDS,
        harmonicToNoiseDb: 20,
        vibratoCents: 10,
      }).samples,
  );
  const work = (ear: Ear) => {
    const begun = process.cpuUsage();
    for (const samples of sounds) ear.listen(samples, SAMPLE_RATE_HZ);
    return process.cpuUsage(begun).user / 1e6 / (SECONDS * sounds.length);
  };
  for (const ear of ears) work(ear);
  const rounds = Array.from({ length: ROUNDS }, () => ears.map(work));
  return {
    secondsPerSecond: ears.map((_, i) =>
      quantile(
        rounds.map((round) => round[i]),
        0.5,
      ),
    ),
    ratio: quantile(
      rounds.map(([ours, theirs]) => theirs / ours),
      0.5,
    ),
  };
}
