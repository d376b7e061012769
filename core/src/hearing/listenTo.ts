import { FrameTrack } from './frames.ts';
import { createListener } from './listener.ts';

/** All frames of a finished mono sound, by the same listener that hears it live. Errors as `Listener.push`. */
export function listenTo(
  samples: Float32Array,
  sampleRateHz: number,
  expectedTubeHz: number | null = null,
): FrameTrack {
  const track = new FrameTrack(Math.ceil((samples.length / sampleRateHz) * 100) + 8);
  const listener = createListener({ sampleRateHz, expectedTubeHz });
  listener.push(samples, track);
  listener.finish(track);
  return track;
}
