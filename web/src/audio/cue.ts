import type { DeskOutput } from './desk.ts';

/** Over what any saxophone sounds: no listener takes it for a note. */
const CUE_HZ = 3000;
const GAIN = 0.05;
const FADE_SECONDS = 0.02;
const LENGTH_SECONDS = 0.09;
/** Two of them, so far apart. */
const APART_SECONDS = 0.22;

/** Two soft high tones: something else comes next. */
export function playCue({ context, room }: DeskOutput): void {
  for (const start of [context.currentTime + 0.05, context.currentTime + 0.05 + APART_SECONDS]) {
    const gain = context.createGain();
    gain.gain.setValueAtTime(0, start);
    gain.gain.linearRampToValueAtTime(GAIN, start + FADE_SECONDS);
    gain.gain.linearRampToValueAtTime(0, start + LENGTH_SECONDS);
    const tone = context.createOscillator();
    tone.frequency.value = CUE_HZ;
    tone.connect(gain).connect(room);
    tone.start(start);
    tone.stop(start + LENGTH_SECONDS);
    tone.onended = () => gain.disconnect();
  }
}
