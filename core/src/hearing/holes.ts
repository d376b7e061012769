/** A stretch of time that says nothing about the player. */
export interface NonPlayerSpan {
  timeSeconds: number;
  lengthSeconds: number;
}

/** No microphone gives exact zeros for this long: even a quiet room moves its last bit. */
const LEAST_SECONDS = 0.002;
/** Longer ones are a muted input or the end of a file, which the listener hears as the silence they are. */
const MOST_SECONDS = 0.25;

/**
 * Holes that a busy machine or a loose device leaves in a sound: runs of exact zeros between sounding samples.
 * Samples mono; times on the sound's own clock.
 */
export function findHoles(samples: Float32Array, sampleRateHz: number): NonPlayerSpan[] {
  const holes: NonPlayerSpan[] = [];
  let start: number | null = null;
  for (let n = 0; n < samples.length; n++) {
    if (samples[n] === 0) {
      start ??= n;
      continue;
    }
    const lengthSeconds = start === null ? 0 : (n - start) / sampleRateHz;
    if (start !== null && start > 0 && lengthSeconds >= LEAST_SECONDS && lengthSeconds <= MOST_SECONDS)
      holes.push({ timeSeconds: start / sampleRateHz, lengthSeconds });
    start = null;
  }
  return holes;
}
