/** A stretch of time that says nothing about the player. */
export interface NonPlayerSpan {
  timeSeconds: number;
  lengthSeconds: number;
}

/** No microphone gives exact zeros for this long: even a quiet room moves its last bit. */
const LEAST_SECONDS = 0.002;
/** A longer one is a hole only where the sound breaks off: else it has sunk into a silence, which the listener hears as what it is. */
const SHORT_SECONDS = 0.25;
/** It breaks off where its last so much is no softer, by this share of amplitude, than so much before it. */
const EDGE_SECONDS = 0.003;
const BEFORE_SECONDS = 0.05;
const EDGE_SHARE = 0.4;

/**
 * Holes that a busy machine, a loose device or a muted input leaves in a sound: runs of exact zeros after sounding samples; long ones only
 * where the sound does not sink into them, as it does where a gate shuts. Samples mono; times on the sound's own clock.
 */
export function findHoles(samples: Float32Array, sampleRateHz: number): NonPlayerSpan[] {
  const holes: NonPlayerSpan[] = [];
  const rms = (from: number, to: number) => {
    let sum = 0;
    for (let n = Math.max(0, from); n < to; n++) sum += samples[n] * samples[n];
    return Math.sqrt(sum / Math.max(1, to - Math.max(0, from)));
  };
  const breaksOff = (at: number) => {
    const edge = at - Math.round(EDGE_SECONDS * sampleRateHz);
    return rms(edge, at) > EDGE_SHARE * rms(edge - Math.round(BEFORE_SECONDS * sampleRateHz), edge);
  };
  let start: number | null = null;
  for (let n = 0; n <= samples.length; n++) {
    if (samples[n] === 0) {
      start ??= n;
      continue;
    }
    if (start !== null && start > 0) {
      const lengthSeconds = (n - start) / sampleRateHz;
      const isShort = lengthSeconds <= SHORT_SECONDS && n < samples.length;
      if (lengthSeconds >= LEAST_SECONDS && (isShort || breaksOff(start)))
        holes.push({ timeSeconds: start / sampleRateHz, lengthSeconds });
    }
    start = null;
  }
  return holes;
}
