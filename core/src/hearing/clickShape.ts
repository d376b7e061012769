/** Length of the metronome click. Short enough that masking it costs a take eight frames at most. */
export const CLICK_SECONDS = 0.02;

const FROM_HZ = 2200;
const TO_HZ = 7800;

/**
 * The metronome click: a rising chirp under a Hann envelope, peak 1. It sounds like a dry tick, and its
 * sweep gives it a correlation so sharp that it is found under a loud horn. Accented beats are the same
 * shape, louder, so that one search finds both.
 */
export function renderClick(sampleRateHz: number): Float32Array<ArrayBuffer> {
  const length = Math.round(CLICK_SECONDS * sampleRateHz);
  const click = new Float32Array(length);
  for (let n = 0; n < length; n++) {
    const t = n / sampleRateHz;
    const phase = 2 * Math.PI * (FROM_HZ * t + ((TO_HZ - FROM_HZ) * t * t) / (2 * CLICK_SECONDS));
    click[n] = (0.5 - 0.5 * Math.cos((2 * Math.PI * (n + 0.5)) / length)) * Math.sin(phase);
  }
  return click;
}
