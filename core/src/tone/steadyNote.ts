import { columnValue, FRAME_SECONDS, type FrameTrack } from '../hearing/index.ts';
import { centsBetween, frequencyHz, nearestMidi, type SoundingMidi } from '../horn/index.ts';
import { median } from '../stats/index.ts';

/** A note is meant when it is held for so long, and hardly leaves its place. */
const HELD_SECONDS = 0.5;
const FRAMES = Math.round(HELD_SECONDS / FRAME_SECONDS);
const LEAST_PITCHED = 0.9;
const LEAST_CLARITY = 0.6;
const SPREAD_CENTS = 80;

/**
 * The note that was held through the last half second of a track, played or sung; null where there is none: a gap, a glide, noise.
 * `a4Hz`: what A4 sounds at; frames before `fromFrame` are not looked at.
 */
export function steadyNote({ columns, count }: FrameTrack, a4Hz: number, fromFrame = 0): SoundingMidi | null {
  if (count - fromFrame < FRAMES) return null;
  const pitchesHz: number[] = [];
  for (let i = count - FRAMES; i < count; i++) {
    const f0Hz = columnValue(columns.f0Hz, i);
    if (f0Hz !== null && columns.clarity[i] > LEAST_CLARITY) pitchesHz.push(f0Hz);
  }
  if (pitchesHz.length < LEAST_PITCHED * FRAMES) return null;
  const middleHz = median(pitchesHz);
  if (middleHz === null || pitchesHz.some((hz) => Math.abs(centsBetween(hz, middleHz)) > SPREAD_CENTS))
    return null;
  const midi = nearestMidi(middleHz, a4Hz);
  return Math.abs(centsBetween(middleHz, frequencyHz(midi, a4Hz))) <= SPREAD_CENTS ? midi : null;
}

/** A note moved by octaves until it is between two others; null where no octave of it is. Voices and horns differ by octaves. */
export function octaveWithin(midi: number, least: number, most: number): number | null {
  let note = midi;
  while (note < least) note += 12;
  while (note > most) note -= 12;
  return note < least ? null : note;
}
