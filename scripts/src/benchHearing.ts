import { columnValue, listenTo, pitchWindowSeconds } from '@inner-hum/core/hearing';
import { createRandom } from '@inner-hum/core/signal';
import { PitchDetector } from 'pitchy';
import { makeTone, TONE_KINDS, TONE_PITCHES_HZ, TONE_SECONDS, type ExactTone } from './benchTones.ts';

const SAMPLE_RATE_HZ = 48000;
const HOP_SECONDS = 0.01;
/** Left out at both ends: settled sound only. */
const EDGE_SECONDS = 0.15;
const GROSS_CENTS = 50;
const PITCHY_WINDOW = 2048;
const PITCHY_CLARITY = 0.8;

/** One ear's pitch at a moment, or null: asked every 10 ms. */
type Ear = (samples: Float32Array) => (frame: number) => number | null;

const EARS: Record<string, Ear> = {
  'Inner Hum'(samples) {
    const { columns } = listenTo(samples, SAMPLE_RATE_HZ);
    return (frame) => columnValue(columns.f0Hz, frame);
  },
  pitchy(samples) {
    const detector = PitchDetector.forFloat32Array(PITCHY_WINDOW);
    return (frame) => {
      const start = Math.round(frame * HOP_SECONDS * SAMPLE_RATE_HZ) - PITCHY_WINDOW / 2;
      if (start < 0 || start + PITCHY_WINDOW > samples.length) return null;
      const [hz, clarity] = detector.findPitch(
        samples.subarray(start, start + PITCHY_WINDOW),
        SAMPLE_RATE_HZ,
      );
      return clarity >= PITCHY_CLARITY && hz > 40 ? hz : null;
    };
  },
};

export interface HearingRow {
  kind: string;
  ear: string;
  missedPercent: number;
  grossPercent: number;
  octavePercent: number;
  medianCents: number;
  p95Cents: number;
  /** Median error that no unbiased estimator in the same window can better; null without noise. */
  boundCents: number | null;
}

function boundCents(tone: ExactTone, f0Hz: number): number | null {
  if (tone.noiseSigma === 0) return null;
  const count = pitchWindowSeconds(f0Hz) * SAMPLE_RATE_HZ;
  const variance = (24 * tone.noiseSigma ** 2) / (count * (count * count - 1) * tone.weightedPower);
  const omega = (2 * Math.PI * f0Hz) / SAMPLE_RATE_HZ;
  // Median of the size of a normal error is 0.6745 of its deviation.
  return (0.6745 * 1200 * Math.log2(Math.E) * Math.sqrt(variance)) / omega;
}

const quantile = (values: number[], share: number) =>
  values.toSorted((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? NaN;

/** Every ear on every kind of exact tone, settled sound, at 48 kHz. */
export function measureHearing(): HearingRow[] {
  return TONE_KINDS.flatMap((kind) => {
    const tones = TONE_PITCHES_HZ.map((hz, i) => makeTone(kind, hz, SAMPLE_RATE_HZ, 10 + i));
    const bounds = tones.flatMap((tone, i) => boundCents(tone, TONE_PITCHES_HZ[i]) ?? []);
    return Object.entries(EARS).map(([ear, listen]) => {
      let frames = 0;
      let missed = 0;
      let octaves = 0;
      const errors: number[] = [];
      for (const tone of tones) {
        const pitchAt = listen(tone.samples);
        const last = Math.round((TONE_SECONDS - EDGE_SECONDS) / HOP_SECONDS);
        for (let frame = Math.round(EDGE_SECONDS / HOP_SECONDS); frame <= last; frame++) {
          frames++;
          const heard = pitchAt(frame);
          const truth = tone.f0HzAt(frame * HOP_SECONDS);
          if (heard === null || truth === null) {
            missed++;
            continue;
          }
          const cents = Math.abs(1200 * Math.log2(heard / truth));
          errors.push(cents);
          const fromOctave = Math.abs(cents - 1200 * Math.max(1, Math.round(cents / 1200)));
          if (fromOctave < GROSS_CENTS) octaves++;
        }
      }
      const gross = errors.filter((cents) => cents > GROSS_CENTS).length;
      const fine = errors.filter((cents) => cents <= GROSS_CENTS);
      return {
        kind: kind.name,
        ear,
        missedPercent: (100 * missed) / frames,
        grossPercent: (100 * gross) / frames,
        octavePercent: (100 * octaves) / frames,
        medianCents: quantile(fine, 0.5),
        p95Cents: quantile(fine, 0.95),
        boundCents: bounds.length > 0 ? quantile(bounds, 0.5) : null,
      };
    });
  });
}

/** Share of frames in which an ear hears a pitch in the hiss of a quiet room, in per cent. */
export function measureFalsePitch(): { ear: string; percent: number }[] {
  const random = createRandom(4);
  const room = Float32Array.from({ length: 10 * SAMPLE_RATE_HZ }, () => 10 ** (-65 / 20) * random.normal());
  return Object.entries(EARS).map(([ear, listen]) => {
    const pitchAt = listen(room);
    const frames = Array.from({ length: 960 }, (_, i) => i + 20);
    return { ear, percent: (100 * frames.filter((frame) => pitchAt(frame) !== null).length) / frames.length };
  });
}
