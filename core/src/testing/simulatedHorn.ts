import { writtenMidi } from '../horn/index.ts';
import { createRandom, type Random } from '../signal/index.ts';
import type { NoteObservation, ObservedTake } from '../tendency/index.ts';

// A horn and a player as they are not in the model: heavier tails, a warm-up that is no exponential, gain that drifts, a bend that
// curves, notes that owe nothing to their neighbours. For tests and the bench.

export interface SimulatedHorn {
  lowest: number;
  highest: number;
  /** Cents at the middle of the scale, by note from the lowest. */
  cents: number[];
  /** Cents per 10 dB, and its curve. */
  bend: number[];
  /** Cents flat when cold. */
  cold: number;
}

export interface SimulatedPractice {
  days: number;
  takesPerDay: number;
  notesPerTake: number;
  /** Of one note: the scale of its t-distributed error (3 degrees of freedom). */
  noiseCents: number;
  /** Day against day. */
  dayCents: number;
  /** One note in so many is something else altogether. */
  oddOneIn: number;
}

export const USUAL_PRACTICE: SimulatedPractice = {
  days: 20,
  takesPerDay: 8,
  notesPerTake: 6,
  noiseCents: 4,
  dayCents: 5,
  oddOneIn: 40,
};

/** A horn with a bent map: a slope of its own in each register, and every note off by itself. */
export function simulatedHorn(seed: number, lowest = 58, highest = 90): SimulatedHorn {
  const random = createRandom(seed);
  const slopes = [0.6, -0.8, 1.5].map((slope) => slope * random.normal());
  const offsets = [8, 6, 10].map((size) => size * random.normal());
  const notes = highest - lowest + 1;
  const cents = Array.from({ length: notes }, (_, i) => {
    const midi = lowest + i;
    const register = midi < 74 ? 0 : midi < 86 ? 1 : 2;
    const from = [66, 80, 88][register];
    return offsets[register] + slopes[register] * (midi - from) + 6 * random.normal();
  });
  const bend = Array.from({ length: notes }, () => -7 + 2.5 * random.normal());
  return { lowest, highest, cents, bend, cold: 14 + 4 * random.normal() };
}

/** How much the bend curves, in cents at 10 dB. */
const CURVE = 1.2;

/** Student's t with 3 degrees of freedom, scaled to unit variance before its tails count: median absolute value as of a normal. */
function heavy(random: Random): number {
  const squares = random.normal() ** 2 + random.normal() ** 2 + random.normal() ** 2;
  return (0.882 * random.normal()) / Math.sqrt(Math.max(1e-6, squares / 3));
}

/** How flat the horn still is so many minutes into a sitting: a power law, with a longer tail than any exponential. */
const coldAfter = ({ cold }: SimulatedHorn, minutes: number) => cold / (1 + minutes / 4) ** 1.5;

/** A sitting lasts about so long; what a player calls warm. */
const WARM_MINUTES = 20;

/** What the map should say of a note at a level (tens of dB from the middle): of the warm horn. */
export function trueCents(horn: SimulatedHorn, midi: number, level: number): number {
  const i = midi - horn.lowest;
  return horn.cents[i] + horn.bend[i] * level - CURVE * level * level - coldAfter(horn, WARM_MINUTES);
}

const DAY_MS = 24 * 3600_000;
const MINUTE_MS = 60_000;

/** Practice on such a horn, day by day. `extraCents` moves notes from outside: a mouthpiece moved, a leak. */
export function simulatePractice(
  horn: SimulatedHorn,
  practice: SimulatedPractice,
  seed: number,
  extraCents: (midi: number, day: number) => number = () => 0,
): { day: string; takes: ObservedTake[] }[] {
  const random = createRandom(seed);
  let gain = 0;
  return Array.from({ length: practice.days }, (_, day) => {
    // The microphone is never quite where it was; the player's scale follows it, days late.
    gain = 0.7 * gain + 0.08 * random.normal();
    const dayCents = practice.dayCents * random.normal();
    const begins = DAY_MS * (20_000 + day) + 18 * 60 * MINUTE_MS;
    const takes = Array.from({ length: practice.takesPerDay }, (_, take): ObservedTake => {
      const minutes = 2.5 * take;
      const takeCents = 1.5 * random.normal();
      const first =
        horn.lowest + Math.floor(random.uniform() * (horn.highest - horn.lowest - practice.notesPerTake));
      const notes = Array.from({ length: practice.notesPerTake }, (_, i): NoteObservation => {
        const midi = first + i;
        const level = 1.1 * (2 * random.uniform() - 1);
        const at = midi - horn.lowest;
        const odd = random.uniform() * practice.oddOneIn < 1 ? 45 * random.normal() : 0;
        const cents =
          horn.cents[at] +
          horn.bend[at] * level -
          CURVE * level * level +
          dayCents +
          takeCents +
          extraCents(midi, day) -
          coldAfter(horn, minutes) +
          practice.noiseCents * heavy(random) +
          odd;
        return observed(midi, cents, level + gain);
      });
      return { startedAt: begins + minutes * MINUTE_MS, lengthSeconds: 60, notes };
    });
    return { day: new Date(begins).toISOString().slice(0, 10), takes };
  });
}

function observed(midi: number, cents: number, level: number): NoteObservation {
  return {
    writtenMidi: writtenMidi(midi),
    points: Math.abs(cents) > 70 ? [] : [{ cents, level }],
    responseMs: null,
    holdSeconds: null,
    noiseToHarmonicDb: null,
    centroidHarmonics: null,
    levelDb: 10 * level,
    softest: null,
    loudest: null,
    attack: null,
    start: 'clean',
  };
}
