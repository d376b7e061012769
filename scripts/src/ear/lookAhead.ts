import { createListener, FRAME_SECONDS, FrameTrack } from '@inner-hum/core/hearing';
import { makeTone, PLAIN_TONE } from './tone.ts';

const SAMPLE_RATE_HZ = 48000;
const PUSH = 48;

/** How long after its middle a frame is told, at worst, in ms: over and under 242 Hz while settled, and when not. */
export function measureLookAhead(): { above242Ms: number; below242Ms: number; unsettledMs: number } {
  const worst = { above242Ms: 0, below242Ms: 0, unsettledMs: 0 };
  for (const f0Hz of [65.4, 98, 138.6, 233.1, 466.2, 1046.5]) {
    const { samples } = makeTone({
      ...PLAIN_TONE,
      f0Hz,
      sampleRateHz: SAMPLE_RATE_HZ,
      seed: 1,
      harmonicToNoiseDb: 20,
      seconds: 1.6,
      sounding: [[0.3, 1.5]],
    });
    const listener = createListener({ sampleRateHz: SAMPLE_RATE_HZ });
    const track = new FrameTrack();
    for (let n = 0; n < samples.length; n += PUSH) {
      const before = track.count;
      listener.push(samples.subarray(n, n + PUSH), track);
      for (let frame = before; frame < track.count; frame++) {
        const seconds = frame * FRAME_SECONDS;
        const lateMs = 1000 * ((n + PUSH) / SAMPLE_RATE_HZ - seconds);
        const kind =
          seconds < 0.45 || seconds > 1.4 ? 'unsettledMs' : f0Hz < 242 ? 'below242Ms' : 'above242Ms';
        worst[kind] = Math.max(worst[kind], lateMs);
      }
    }
  }
  return worst;
}
