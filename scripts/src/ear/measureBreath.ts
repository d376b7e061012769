import { listenTo } from '@inner-hum/core/hearing';
import { quantile } from './score.ts';
import { makeTone, PLAIN_TONE } from './tone.ts';

const SAMPLE_RATE_HZ = 48000;

export interface BreathRow {
  noiseToHarmonicDb: number;
  /** Size of the error of means over 100 ms. */
  medianDb: number;
  p95Db: number;
}

/** noiseToHarmonicDb against the noise that was put in, as means over 100 ms. */
export function measureBreath(): BreathRow[] {
  return [30, 20, 10, 5].map((harmonicToNoiseDb) => {
    const errors: number[] = [];
    const truths: number[] = [];
    for (const f0Hz of [98, 138.6, 233.1, 311.1, 466.2, 740, 1046.5]) {
      const tone = makeTone({
        ...PLAIN_TONE,
        f0Hz,
        sampleRateHz: SAMPLE_RATE_HZ,
        seed: 7,
        seconds: 2.3,
        harmonicToNoiseDb,
      });
      const { harmonic, noise } = tone.powers(500, 8000);
      const truth = 10 * Math.log10(noise / harmonic);
      truths.push(truth);
      const { columns } = listenTo(tone.samples, SAMPLE_RATE_HZ);
      for (let frame = 15; frame + 10 < 215; frame += 10) {
        const mean = columns.noiseToHarmonicDb
          .subarray(frame, frame + 10)
          .reduce((sum, value) => sum + value / 10, 0);
        errors.push(Math.abs(mean - truth));
      }
    }
    return {
      noiseToHarmonicDb: quantile(truths, 0.5),
      medianDb: quantile(errors, 0.5),
      p95Db: quantile(errors, 0.95),
    };
  });
}
