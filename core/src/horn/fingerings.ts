import { fingeringOf, type Fingering } from './keys.ts';
import type { WrittenMidi } from './pitch.ts';

const A3 = 57;
const D5 = 74;
const C_SHARP_6 = 85;
const OCTAVE = 12;

/** Fingerings of the first register by written note, the regular one first. */
const LOW: Record<number, readonly string[]> = {
  57: ['L1 L2 L3 thumbA R1 R2 R3 lowC'],
  58: ['L1 L2 L3 lowBb R1 R2 R3 lowC'],
  59: ['L1 L2 L3 lowB R1 R2 R3 lowC'],
  60: ['L1 L2 L3 R1 R2 R3 lowC'],
  61: ['L1 L2 L3 lowC# R1 R2 R3 lowC'],
  62: ['L1 L2 L3 R1 R2 R3'],
  63: ['L1 L2 L3 R1 R2 R3 Eb'],
  64: ['L1 L2 L3 R1 R2'],
  65: ['L1 L2 L3 R1'],
  66: ['L1 L2 L3 R2', 'L1 L2 L3 R1 altF#'],
  67: ['L1 L2 L3'],
  68: ['L1 L2 L3 G#'],
  69: ['L1 L2'],
  70: ['L1 L2 sideBb', 'L1 bis', 'L1 R1', 'L1 R2'],
  71: ['L1'],
  72: ['L2', 'L1 sideC'],
  73: ['', 'oct L3'],
};

/** Beside the first register with the octave key. */
const ALSO: Record<number, readonly string[]> = { 74: ['palmD'] };

/** Over C#6; F#6 and G6 need keys that not every horn has, and front fingerings that every one has. */
const HIGH: Record<number, readonly string[]> = {
  86: ['oct palmD'],
  87: ['oct palmD palmEb'],
  88: ['oct palmD palmEb sideE', 'oct frontF L2 L3'],
  89: ['oct palmD palmEb palmF sideE', 'oct frontF L2'],
  90: ['oct palmD palmEb palmF sideE highF#', 'oct frontF L2 sideBb'],
  91: ['oct palmD palmEb palmF sideE highG'],
};

const read = (written: string): Fingering => fingeringOf(written.split(' '));

/**
 * The fingerings of a written note, the regular one first, then common alternates; none above G6, where every horn and player
 * has their own. The same on all horns; A3 is the baritone's.
 */
export function fingeringsOf(note: WrittenMidi): Fingering[] {
  if (note >= A3 && note < D5) return LOW[note].map(read);
  // The alternate of C#5 is fingered with the octave key already: an octave higher it is no other one.
  if (note >= D5 && note <= C_SHARP_6)
    return [
      ...LOW[note - OCTAVE].filter((written) => !written.includes('oct')).map((keys) => read(`oct ${keys}`)),
      ...(ALSO[note] ?? []).map(read),
    ];
  return (HIGH[note] ?? []).map(read);
}

/** The regular fingering of a written note; empty above G6. */
export function regularFingering(note: WrittenMidi): Fingering {
  return fingeringsOf(note).at(0) ?? [];
}
